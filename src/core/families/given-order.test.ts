import { describe, expect, it } from "vitest";
import { givenOrder } from "#tests/given-order";
import { reachOf } from "@/core/teardown/reach";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { everyBuild, families } from "./families";
import type { FamilyTemplate } from "./template";

const builds = familyIds.flatMap((family) =>
  everyBuild(family).map(({ name, template }): [string, string, FamilyTemplate] => [family, name, template]),
);

/** Assemblies of a build that are drawn otherwise than usual: only in these can a single part's depth differ from the usual build's. */
function drawnOtherwise(family: FamilyId, { anatomy }: FamilyTemplate): ReadonlySet<string> {
  const usual = families[family].anatomy;
  if (anatomy === usual) return new Set(anatomy.assemblies.map(({ id }) => id));
  const drawn = (of: FamilyTemplate["anatomy"], assembly: string) =>
    JSON.stringify(of.positions.filter(({ assemblyId }) => assemblyId === assembly));
  return new Set(anatomy.assemblies.flatMap(({ id }) => (drawn(anatomy, id) === drawn(usual, id) ? [] : [id])));
}

describe.each(builds)("%s (%s), built in the order given", (family, name, template) => {
  const { anatomy, parts } = template;
  const otherwise = name === builds.find(([of]) => of === family)![1] ? null : drawnOtherwise(family as FamilyId, template);
  const all = new Set(anatomy.positions.map(({ id }) => id));
  const depths: [depth: string, seats: ReadonlySet<string>][] = [
    ["to the last screw", all],
    ...(["handle", "tail", "frame"] as const).map((side): [string, ReadonlySet<string>] => [
      `the ${side} side`,
      reachOf(
        anatomy,
        anatomy.positions
          .filter(({ assemblyId }) => anatomy.assemblies.find(({ id }) => id === assemblyId)!.side === side)
          .map(({ id }) => id),
      ),
    ]),
    ...anatomy.assemblies.map(({ id, name }): [string, ReadonlySet<string>] => [
      name,
      reachOf(
        anatomy,
        anatomy.positions.filter(({ assemblyId }) => assemblyId === id).map((seat) => seat.id),
      ),
    ]),
    ...anatomy.positions
      .filter(({ assemblyId }) => otherwise === null || otherwise.has(assemblyId))
      .map(({ id, name }): [string, ReadonlySet<string>] => [`only as far as ${name}`, reachOf(anatomy, [id])]),
  ];
  // Many parts are reached by the very same way.
  const ways = new Map(depths.map(([depth, seats]) => [[...seats].sort().join(), [depth, seats] as const]));

  it("raises no alarm at any depth: all of it, a side, an assembly, as far as any one part", () => {
    const alarms = [...ways.values()].flatMap(([depth, seats]) =>
      givenOrder(anatomy, parts, seats).alarms.map((alarm) => `${depth}: ${alarm}`),
    );
    expect(alarms).toEqual([]);
  });

  it("looks over each bearing, tension washer and drag washer once, before it is covered", () => {
    const kinds = new Map(parts.map(({ id, shape }) => [id, shape.kind]));
    const watched = anatomy.positions.filter(({ partTypeId }) =>
      ["bearing", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer"].includes(kinds.get(partTypeId)!),
    );
    const { looked } = givenOrder(anatomy, parts, all);
    expect(watched.length).toBeGreaterThan(0);
    expect(Object.fromEntries(looked)).toEqual(Object.fromEntries(watched.map(({ id }) => [id, 1])));
  });
});
