import { describe, expect, it } from "vitest";
import { givenOrder } from "#tests/given-order";
import { reachOf } from "@/core/teardown/reach";
import { familyIds } from "@/core/vocabulary/families";
import { everyBuild } from "./families";
import type { FamilyTemplate } from "./template";

const builds = familyIds.flatMap((family) =>
  everyBuild(family).map(({ name, template }): [string, string, FamilyTemplate] => [family, name, template]),
);

describe.each(builds)("%s (%s), built in the order given", (_family, _name, { anatomy, parts }) => {
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
    ...anatomy.positions.map(({ id, name }): [string, ReadonlySet<string>] => [`only as far as ${name}`, reachOf(anatomy, [id])]),
  ];

  it("raises no alarm at any depth: all of it, a side, an assembly, as far as any one part", () => {
    const alarms = depths.flatMap(([depth, seats]) => givenOrder(anatomy, parts, seats).alarms.map((alarm) => `${depth}: ${alarm}`));
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
