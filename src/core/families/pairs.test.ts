import { describe, expect, it } from "vitest";
import { coveringArray } from "#tests/covering-array";
import { givenOrder } from "#tests/given-order";
import { reachOf } from "@/core/teardown/reach";
import { familyIds } from "@/core/vocabulary/families";
import { everyFrame, familyWith } from "./families";

describe("rows that hold every pair", () => {
  it("are fewer than all ways and leave no pair out", () => {
    const answers = [
      ["a", "b", "c"],
      ["d", "e", "f"],
      ["g", "h", "i"],
      ["j", "k"],
    ];
    const rows = coveringArray(answers);
    expect(rows.length).toBeLessThan(20);
    for (const [a, of] of answers.entries())
      for (const [b, more] of answers.entries())
        if (a < b) for (const x of of) for (const y of more) expect(rows.some((row) => row[a] === x && row[b] === y)).toBe(true);
  });
});

describe.each(familyIds)("%s, in reels that hold every pair of its choices", (family) => {
  const reels = everyFrame(family).flatMap(({ variants, frames, chosen }) => {
    const answers = variants.map(({ id, choices }) => (id === frames?.id ? [chosen[id]!] : choices.map((choice) => choice.id)));
    return coveringArray(answers).map((row) => familyWith(family, Object.fromEntries(variants.map(({ id }, i) => [id, row[i]!]))));
  });

  it("goes together in the order given without an alarm, serviced full and quick", () => {
    const alarms = reels.flatMap(({ anatomy, parts, chosen }) => {
      const quick = new Set(anatomy.assemblies.filter((assembly) => assembly.quick).map(({ id }) => id));
      const depths = {
        full: new Set(anatomy.positions.map(({ id }) => id)),
        quick: reachOf(
          anatomy,
          anatomy.positions.filter(({ assemblyId }) => quick.has(assemblyId)).map(({ id }) => id),
        ),
      };
      return Object.entries(depths).flatMap(([depth, off]) =>
        givenOrder(anatomy, parts, off).alarms.map((alarm) => `${Object.values(chosen).join(", ")}, ${depth}: ${alarm}`),
      );
    });
    expect(alarms).toEqual([]);
  });

  it("gives a number to one part alone, whichever way it is built", () => {
    const parts = new Map<string, string>();
    for (const { id, number } of reels.flatMap((reel) => reel.parts))
      expect(parts.set(number, parts.get(number) ?? id).get(number), number).toBe(id);
  });

  it("has every seat of its parts and waits for nothing that is not there", () => {
    for (const { anatomy, parts, chosen } of reels) {
      const seats = new Set(anatomy.positions.map(({ id }) => id));
      const acts = new Set([...anatomy.operations.map(({ id }) => id), ...[...seats].map((id) => `place-${id}`)]);
      const named = [
        ...anatomy.positions.flatMap(({ restsOn, heldBy, passesThrough }) => [...restsOn, ...heldBy, ...passesThrough]),
        ...anatomy.assemblies.flatMap(({ freedBy }) => freedBy ?? []),
        ...anatomy.batches.flatMap(({ positionIds }) => positionIds),
      ];
      expect(
        named.filter((id) => !seats.has(id)),
        JSON.stringify(chosen),
      ).toEqual([]);
      expect(anatomy.operations.flatMap(({ after, before }) => [...after, ...before]).filter((id) => !acts.has(id))).toEqual([]);
      const used = new Set(anatomy.positions.map(({ partTypeId }) => partTypeId));
      expect(parts.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
      expect(new Set(parts.map(({ number }) => number)).size).toBe(parts.length);
    }
  });
});
