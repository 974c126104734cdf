import { describe, expect, it } from "vitest";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { everyBuild } from "@/core/families/families";
import { batchesOf } from "@/core/hands/batches";
import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { depthOf } from "@/core/service/depth";
import { buildOrder } from "@/core/teardown/build-order";
import { planOpening } from "@/core/teardown/opening";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { buildCautions, remedyCautions, remedyOn, stripCautions } from "./act-cautions";
import { hazards } from "./cautions";

/** What a part can do to whoever handles it, told apart from the rules under test. Source: common practice. */
function dangersOf(type: PartType): RegExp[] {
  const { shape, material } = type;
  const springy = ["coil-spring", "wire-spring", "wave-spring", "clip"].includes(shape.kind);
  return [
    ...(springy ? [/fl(y|ies)|eye protection|glasses|tension/i] : []),
    ...(shape.kind === "magnet" || material === "magnet" ? [/magnet/i] : []),
    ...(type.liningUnproven ? [/asbestos/] : []),
  ];
}

/** Every act of a depth, off and back, with what is said before it. */
function acts(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, open: ReadonlySet<string>) {
  const opening = planOpening(anatomy, { whole: open, seats: new Set(), looked: new Set() });
  const batches = batchesOf(anatomy, types);
  const expected = removalOrder(anatomy).filter((id) => opening.off.has(id));
  const seat = new Map(anatomy.positions.map((position) => [position.id, position]));
  const typeAt = (id: string) => types.get(seat.get(id)!.partTypeId)!;
  const off = allStripActs({ anatomy, types, batches, expected }).map(({ positionIds }) => ({
    positionIds,
    said: stripCautions(
      positionIds.map((id) => ({ position: seat.get(id)!, type: typeAt(id) })),
      false,
    ),
  }));
  const order = buildOrder(anatomy, expected);
  if (!order.ok) throw new Error(order.message);
  const steps = order.value.steps.map((step) => ({ ...step, state: "waiting" as const, notDue: false, note: "" }));
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const back = allBuildActs(steps, batches, types).map(({ operationIds }) => {
    const done = operationIds.map((id) => byId.get(id)!);
    return {
      positionIds: done.flatMap(({ operation, position }) => (operation.kind === "place" && position ? [position.id] : [])),
      said: buildCautions(
        done.map(({ operation, position }) => ({ operation, position, type: position ? typeAt(position.id) : null, product: null })),
        false,
      ),
    };
  });
  return { off, back, typeAt };
}

const builds = familyIds.flatMap((family) => everyBuild(family).map(({ name, template }) => ({ family, name, template })));

describe.each(builds)("$family ($name)", ({ template: { anatomy, parts } }) => {
  // An old reel: nobody knows what its linings are.
  const types = new Map(
    parts.map((part) => [part.id, part.shape.kind === "friction-washer" ? { ...part, liningUnproven: true as const } : part]),
  );
  const serviced = anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
  const depths: [string, ReadonlySet<string>][] = [
    ["full", new Set(serviced)],
    ["quick", new Set(anatomy.assemblies.filter(({ quick }) => quick).map(({ id }) => id))],
    ...serviced.map((id): [string, ReadonlySet<string>] => [id, new Set([id])]),
  ];

  it("says every danger of every part before the act that moves it, off and back, at every depth and in every batch", () => {
    for (const [depth, open] of depths) {
      const { off, back, typeAt } = acts(anatomy, types, open);
      for (const { positionIds, said } of [...off, ...back])
        for (const id of positionIds) for (const danger of dangersOf(typeAt(id))) expect(said.join(" "), `${depth}: ${id}`).toMatch(danger);
    }
  });

  it("warns of the loaded line at each gate that draws one, and at no other; a reel with a drag has such a gate", () => {
    const gates = anatomy.operations.filter(({ kind }) => kind === "gate");
    const warned = gates.filter((operation) =>
      buildCautions([{ operation, position: null, type: null, product: null }], false).includes(hazards.pull),
    );
    expect(warned).toEqual(gates.filter(({ pullsLine }) => pullsLine));
    // What a bench pulls at: the drag over its range, or at strike. Source: common practice.
    const drawn = gates.filter(({ words }) => /(drag|star|knob) .*(locked|range)|strike it pulls/.test(words));
    expect(warned).toEqual(drawn);
    const drag = [...types.values()].some(({ shape, role }) => shape.kind === "friction-washer" || role === "drag-unit");
    expect(warned.length > 0).toBe(drag);
    // Other words change nothing.
    for (const operation of warned)
      expect(
        buildCautions([{ operation: { ...operation, words: "As it should" }, position: null, type: null, product: null }], false),
      ).toContain(hazards.pull);
  });

  it("says it at each remedy that would touch an old lining, and at none that would not", () => {
    const linings = new Set([...types.values()].filter(({ liningUnproven }) => liningUnproven).map(({ role }) => role));
    for (const fault of commonKnowledge.faults) {
      const touches = [...fault.remedy.partRoles, fault.needs ?? ""].some((role) => linings.has(role));
      expect(remedyCautions(fault, types.values()), fault.id).toEqual(touches ? [hazards.lining] : []);
      const { words } = remedyOn(fault, types.values());
      if (touches) expect(words, fault.id).not.toMatch(/dress|wash|grease|clean|part the stack/i);
      else expect(words, fault.id).toBe(fault.remedy.words);
    }
    // A fault says by itself no more than concerns every reel: the lining's caution comes from the lining.
    for (const fault of commonKnowledge.faults) expect(fault.caution ?? "", fault.id).not.toMatch(/asbestos/);
  });

  it("opens no more for a quick service than for a full one", () => {
    const wanted = (depth: "quick" | "full") =>
      depthOf(anatomy, types, {
        family: "star-drag-bridge",
        depth,
        faults: [],
        complaints: [],
        sections: [],
        newParts: [],
        said: new Map(),
      }).open;
    for (const id of wanted("quick").keys()) expect(wanted("full").has(id)).toBe(true);
  });
});
