import { describe, expect, it } from "vitest";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { beforeBuried, type SeatState } from "@/core/teardown/before-buried";
import { buildOrder } from "@/core/teardown/build-order";
import { missingBefore } from "@/core/teardown/left-over";
import { reachOf } from "@/core/teardown/reach";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { everyBuild } from "./families";
import type { FamilyTemplate } from "./template";

/** Every complaint a build would raise on its way, from the first step of the given order to the last, and how often each seat was looked over. */
function walk(anatomy: Anatomy, parts: readonly PartType[], off: ReadonlySet<string>) {
  const types = new Map(parts.map((part) => [part.id, part]));
  const built = buildOrder(
    anatomy,
    removalOrder(anatomy).filter((id) => off.has(id)),
  );
  if (!built.ok) return { alarms: [built.message], looked: new Map<string, number>() };
  const done = new Set<string>();
  const states = new Map<string, SeatState>(
    [...off].map((id) => [id, { seated: false, verdict: "ok", renewed: false, found: { orientation: "", lies: null }, foundCount: 1 }]),
  );
  const alarms: string[] = [];
  const looked = new Map<string, number>();
  for (const { operation, position, needs } of built.value.steps) {
    for (const id of missingBefore(needs, done)) alarms.push(`${operation.words}: first ${id}`);
    if (operation.kind === "place" && position) {
      const look = beforeBuried(anatomy, types, position.id, states);
      for (const words of [...(look?.faults ?? []), ...(look?.doubts ?? [])]) alarms.push(`${operation.words}: ${words}`);
      for (const row of look?.rows ?? []) looked.set(row.positionId, (looked.get(row.positionId) ?? 0) + 1);
      states.set(position.id, { ...states.get(position.id)!, seated: true });
    }
    done.add(operation.id);
  }
  return { alarms, looked };
}

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
    const alarms = depths.flatMap(([depth, seats]) => walk(anatomy, parts, seats).alarms.map((alarm) => `${depth}: ${alarm}`));
    expect(alarms).toEqual([]);
  });

  it("looks over each bearing, tension washer and drag washer once, before it is covered", () => {
    const kinds = new Map(parts.map(({ id, shape }) => [id, shape.kind]));
    const watched = anatomy.positions.filter(({ partTypeId }) =>
      ["bearing", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer"].includes(kinds.get(partTypeId)!),
    );
    const { looked } = walk(anatomy, parts, all);
    expect(watched.length).toBeGreaterThan(0);
    expect(Object.fromEntries(looked)).toEqual(Object.fromEntries(watched.map(({ id }) => [id, 1])));
  });
});
