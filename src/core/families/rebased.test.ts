import { describe, expect, it } from "vitest";
import { givenOrder } from "#tests/given-order";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import type { Anatomy } from "@/core/anatomy/types";
import { familyIds } from "@/core/vocabulary/families";
import { families } from "./families";
import { lackingSeats, rebased } from "./rebased";

/** A model as an older program made it: some seats were not known then, nor what hangs on them. */
function older(anatomy: Anatomy, unknown: ReadonlySet<string>): Anatomy {
  const known = (ids: readonly string[]) => ids.filter((id) => !unknown.has(id) && !unknown.has(id.replace(/^place-/, "")));
  return {
    ...anatomy,
    positions: anatomy.positions
      .filter(({ id }) => !unknown.has(id))
      .map((seat) => ({ ...seat, restsOn: known(seat.restsOn), heldBy: known(seat.heldBy), passesThrough: known(seat.passesThrough) })),
    operations: anatomy.operations.map((operation) => ({ ...operation, after: known(operation.after), before: known(operation.before) })),
    batches: anatomy.batches
      .map((batch) => ({ ...batch, positionIds: known(batch.positionIds) }))
      .filter(({ positionIds }) => positionIds.length > 1),
    assemblies: anatomy.assemblies.map((assembly) => (assembly.freedBy ? { ...assembly, freedBy: known(assembly.freedBy) } : assembly)),
  };
}

describe.each(familyIds)("a %s from an older program", (family) => {
  const template = families[family];
  const { anatomy, parts } = template;
  // Every fifth seat that carries no other assembly was not known.
  const carriers = new Set(anatomy.assemblies.map(({ carrier }) => carrier));
  const unknown = new Set(
    anatomy.positions
      .filter(({ id, ridesOn, insideOf }, at) => at % 5 === 3 && !carriers.has(id) && !ridesOn && !insideOf)
      .map(({ id }) => id),
  );

  it("takes over what it lacks, keeps its own words, and goes together as such reels do", () => {
    const old = older(anatomy, unknown);
    const own = { ...old, positions: old.positions.map((seat, at) => (at === 0 ? { ...seat, trap: "Ours sticks: tap it." } : seat)) };
    expect(lackingSeats(own, template).map(({ id }) => id)).toEqual(anatomy.positions.flatMap(({ id }) => (unknown.has(id) ? [id] : [])));
    const now = rebased(own, template, (part) => part.id);
    expect(lackingSeats(now, template)).toEqual([]);
    expect(now.positions.map(({ id }) => id)).toEqual(anatomy.positions.map(({ id }) => id));
    expect(now.positions.find(({ id }) => id === own.positions[0]!.id)?.trap).toBe("Ours sticks: tap it.");
    expect(checkAnatomy(now, parts)).toEqual([]);
    expect(givenOrder(now, parts, new Set(now.positions.map(({ id }) => id))).alarms).toEqual([]);
    // Nothing changes where nothing is lacking.
    expect(rebased(now, template, (part) => part.id)).toEqual(now);
  });
});
