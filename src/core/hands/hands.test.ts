import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { machinesOf } from "@/core/anatomy/anatomy-of-edition";
import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { buildOrder } from "@/core/teardown/build-order";
import { foldRiders, planOpening, ridersOf } from "@/core/teardown/opening";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { batchesOf } from "./batches";
import { allBuildActs, buildWord, nextBuildAct, provedSeats } from "./build-acts";
import { actFrom, allStripActs, mayComeOff, nextStripAct, type StripGuide, stripWord } from "./strip-acts";

const nothingReached = { whole: new Set<string>(), seats: new Set<string>(), looked: new Set<string>() };

interface Case {
  readonly name: string;
  readonly anatomy: Anatomy;
  readonly guide: StripGuide;
}
const typesOf = (id: (typeof familyIds)[number]) => new Map(families[id].parts.map((part) => [part.id, part]));

/** Every way an assembly or some of them can be opened: each alone, the quick ones, all that is serviced, and what any one seat needs. */
function casesOf(id: (typeof familyIds)[number]): Case[] {
  const types = typesOf(id);
  return machinesOf(families[id].anatomy).flatMap(({ name: edition, anatomy }) => {
    const make = (name: string, open: ReadonlySet<string>, seats: ReadonlySet<string> = new Set()): Case => {
      const { off, ridesOn } = planOpening(anatomy, { whole: open, seats, looked: new Set() });
      const machine = foldRiders(anatomy, ridesOn);
      const guide = {
        anatomy: machine,
        types,
        batches: batchesOf(machine, types),
        expected: removalOrder(machine).filter((seat) => off.has(seat)),
      };
      return { name: [id, edition, name].filter(Boolean).join(", "), anatomy, guide };
    };
    const ids = (some: typeof anatomy.assemblies) => new Set(some.map((assembly) => assembly.id));
    return [
      make("full", ids(anatomy.assemblies.filter(({ stays }) => !stays))),
      make("everything", ids(anatomy.assemblies), new Set(anatomy.positions.map((position) => position.id))),
      make("quick", ids(anatomy.assemblies.filter(({ quick }) => quick))),
      ...anatomy.assemblies.map((assembly) => make(assembly.name, new Set([assembly.id]))),
      ...anatomy.positions.map((position) => make(`for the ${position.name}`, new Set(), new Set([position.id]))),
    ];
  });
}
const cases = familyIds.flatMap(casesOf);
/** One test for each family, through all its cases; a failure names the case. */
const eachCase = (title: string, work: (one: Case) => void) =>
  it.each(familyIds)(`%s: ${title}`, (id) => {
    for (const one of casesOf(id))
      try {
        work(one);
      } catch (error) {
        throw new Error(`${one.name}: ${error instanceof Error ? error.message : String(error)}`, { cause: error });
      }
  });
const stepsOf = (anatomy: Anatomy, removed: readonly string[]) => {
  const order = buildOrder(foldRiders(anatomy, ridersOf(anatomy, new Set(removed))), removed);
  if (!order.ok) throw new Error(order.message);
  return order.value.steps.map((step) => ({ ...step, state: "waiting" as const, notDue: false, note: "" }));
};

describe("handful by handful", () => {
  eachCase("comes off part by part once, each when nothing that comes off holds it any more", ({ guide }) => {
    const acts = allStripActs(guide);
    const taken = acts.flatMap(({ positionIds }) => positionIds);
    expect([...taken].sort()).toEqual([...guide.expected].sort());
    const mayGo = mayComeOff(guide);
    const off = new Set<string>();
    for (const id of taken) {
      expect(mayGo(id, off), id).toBe(true);
      off.add(id);
    }
  });

  eachCase("says one word at most in each act, and none is passed by", ({ guide }) => {
    const byId = new Map(guide.anatomy.positions.map((position) => [position.id, position]));
    for (const { positionIds } of allStripActs(guide)) {
      const words = positionIds.map((id) => stripWord(byId.get(id)!, guide.types.get(byId.get(id)!.partTypeId)));
      expect(new Set(words.filter(Boolean)).size).toBeLessThanOrEqual(1);
    }
  });

  eachCase("goes back step by step once, each after what it needs, every check by itself", ({ anatomy, guide }) => {
    const removed = allStripActs(guide).flatMap(({ positionIds }) => positionIds);
    const steps = stepsOf(anatomy, removed);
    const acts = allBuildActs(steps, guide.batches, guide.types);
    const done = acts.flatMap(({ operationIds }) => operationIds);
    expect([...done].sort()).toEqual(steps.map(({ operation }) => operation.id).sort());
    const byId = new Map(steps.map((step) => [step.operation.id, step]));
    const before = new Set<string>();
    for (const { operationIds } of acts) {
      const own = operationIds.map((id) => byId.get(id)!);
      if (own.some(({ operation }) => operation.kind === "gate")) expect(operationIds).toHaveLength(1);
      const proved = provedSeats(steps.map((step) => (before.has(step.operation.id) ? { ...step, state: "done" as const } : step)));
      expect(new Set(own.map((step) => buildWord(step, guide.types, proved)).filter(Boolean)).size).toBeLessThanOrEqual(1);
      for (const step of own) {
        for (const need of step.needs) expect(before.has(need), `${step.operation.id} before ${need}`).toBe(true);
        before.add(step.operation.id);
      }
    }
  });

  it("has in every family a batch only of seats it has, each seat in one", () => {
    for (const id of familyIds) {
      const seats = families[id].anatomy.positions.map((position) => position.id);
      const batched = batchesOf(families[id].anatomy, typesOf(id)).flatMap(({ positionIds }) => positionIds);
      expect(new Set(batched).size, id).toBe(batched.length);
      for (const seat of batched) expect(seats).toContain(seat);
    }
  });
});

describe("hands that follow themselves", () => {
  const { guide } = cases.find(({ name }) => name === "star-drag-bridge, full")!;
  const assemblyOf = (id: string) => guide.anatomy.positions.find((position) => position.id === id)!.assemblyId;

  it("stay in the assembly they touched, as long as something of it can come off", () => {
    let changes = 0;
    let here: string | null = null;
    for (const { positionIds } of allStripActs(guide)) {
      const next = assemblyOf(positionIds[0]!);
      if (here !== null && next !== here) changes++;
      here = assemblyOf(positionIds.at(-1)!);
    }
    expect(changes).toBeLessThanOrEqual(8);
  });

  it("work towards an assembly somebody names, by what holds it", () => {
    const off = new Set<string>();
    let lastAssemblyId: string | null = null;
    const order: string[] = [];
    for (let i = 0; i < 30; i++) {
      const act = nextStripAct(guide, off, { lastAssemblyId, towardsAssemblyId: "tail" });
      if (!act || guide.expected.filter((id) => assemblyOf(id) === "tail").every((id) => off.has(id))) break;
      for (const id of act.positionIds) off.add(id);
      order.push(...act.positionIds);
      lastAssemblyId = assemblyOf(order.at(-1)!);
    }
    // Its own screws are all that is in the way: nothing else was touched.
    expect(new Set(order.map(assemblyOf))).toEqual(new Set(["tail"]));
  });

  it("take one part alone where it differs, and the rest of the batch after it", () => {
    const act = actFrom(guide, "handle-nut", new Set(["lock-screw"]));
    expect(act.positionIds).toEqual(["handle-nut", "handle", "handle-spacer"]);
    expect(actFrom(guide, "handle-spacer", new Set(["lock-screw", "handle-nut", "handle"])).positionIds).toEqual(["handle-spacer"]);
  });

  it("make a check that can be made before anything else goes on", () => {
    const removed = allStripActs(guide).flatMap(({ positionIds }) => positionIds);
    const all = stepsOf(families["star-drag-bridge"].anatomy, removed);
    const gate = all.findIndex((step) => step.operation.id === "gate-dog");
    const steps = all.map((step, at) => (at < gate ? { ...step, state: "done" as const } : step));
    expect(nextBuildAct(steps, guide.batches, guide.types, "stack")!.operationIds).toEqual(["gate-dog"]);
  });
});

describe("how deep a reel is opened", () => {
  eachCase("takes off all that is in the way and nothing that is not", ({ anatomy, guide }) => {
    const off = new Set(guide.expected);
    const here = new Set(guide.anatomy.positions.map((position) => position.id));
    const free = (id: string) =>
      seatConstraints(guide.anatomy).every(({ before, after }) => before !== id || off.has(after) || !here.has(after) || staysIn(after));
    const staysIn = (id: string) => {
      const position = anatomy.positions.find((one) => one.id === id)!;
      return position.stays === true || position.inPlace === true;
    };
    for (const id of off) expect(free(id), id).toBe(true);
  });

  it("leaves on its carrier what is not serviced: a side plate comes off with its magnets, its dial and its track (common practice)", () => {
    const { anatomy } = families["baitcaster-low-profile"];
    const { off, ridesOn } = planOpening(anatomy, { ...nothingReached, whole: new Set(["spool"]) });
    expect(off.has("side-plate")).toBe(true);
    for (const id of ["magnet-front", "magnet-rear", "magnet-dial", "brake-drum"]) expect(ridesOn.get(id), id).toBe("side-plate");
    for (const id of ["gear-plate", "main-gear", "frame", "worm"]) expect(off.has(id), id).toBe(false);
  });

  it("takes a noisy line roller by its own few pieces, and dry spool bearings by the spool (common practice)", () => {
    const spinning = planOpening(families.spinning.anatomy, { ...nothingReached, seats: new Set(["roller", "roller-bearing"]) });
    expect(spinning.off.size).toBeLessThanOrEqual(6);
    expect(spinning.off.has("rotor")).toBe(false);
    const star = planOpening(families["star-drag-bridge"].anatomy, { ...nothingReached, seats: new Set(["head-bearing", "tail-bearing"]) });
    // The spool comes out, and for it the head plate's screws; no click, no gear, no handle.
    expect([...star.off].filter((id) => !id.startsWith("head-screw-")).sort()).toEqual(["head-bearing", "spool", "tail-bearing"]);
  });

  it("widens and never narrows as more is asked for", () => {
    fc.assert(
      fc.property(fc.constantFrom(...familyIds), fc.array(fc.nat(), { maxLength: 4 }), fc.nat(), (id, picks, one) => {
        const { anatomy } = families[id];
        const pick = (n: number) => anatomy.assemblies[n % anatomy.assemblies.length]!.id;
        const some = new Set(picks.map(pick));
        const fewer = planOpening(anatomy, { ...nothingReached, whole: some }).off;
        const more = planOpening(anatomy, { ...nothingReached, whole: new Set([...some, pick(one)]) }).off;
        for (const seat of fewer) expect(more.has(seat), `${id}: ${seat}`).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});
