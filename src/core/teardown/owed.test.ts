import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { batchesOf } from "@/core/hands/batches";
import { nextBuildAct } from "@/core/hands/build-acts";
import { familyIds } from "@/core/vocabulary/families";
import { buildOrder } from "./build-order";
import { isOwed, isSettled } from "./owed";
import { removalOrder } from "./removal-order";
import type { Step } from "./step";

const builds = familyIds.flatMap((family) =>
  everyBuild(family).map(({ name, template }, i) => ({ family, name, template, isUsual: i === 0 })),
);

/** All that a step stands on, by whatever road. */
function standsOn(steps: readonly Step[], id: string): Set<string> {
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const seen = new Set<string>();
  const walk = (one: string) => {
    for (const before of byId.get(one)?.needs ?? [])
      if (!seen.has(before)) {
        seen.add(before);
        walk(before);
      }
  };
  walk(id);
  return seen;
}

describe.each(builds)("what is left for later: $family ($name)", ({ template: { anatomy, parts }, isUsual }) => {
  const types = new Map(parts.map((part) => [part.id, part]));
  const expected = removalOrder(anatomy);
  const order = buildOrder(anatomy, expected);
  if (!order.ok) throw new Error(order.message);
  const start: Step[] = order.value.steps.map((step) => ({
    ...step,
    state: "waiting",
    note: "",
    act: null,
    at: null,
    well: null,
    notDue: false,
  }));
  const batches = batchesOf(anatomy, types);
  const places = start.filter(({ operation }) => operation.kind === "place");
  // The usual build has each of its parts left for later; of the others, which differ from it in one choice, so many of them evenly spread.
  const some = isUsual ? places : places.filter((_, i) => i % Math.ceil(places.length / 8) === 0);

  /** The main key until it offers what was left, or nothing more: a hand that presses Space. */
  function run(steps: readonly Step[], owed: string): readonly Step[] {
    let now = steps;
    for (let presses = 0; presses < 400; presses++) {
      const act = nextBuildAct(now, batches, types, null);
      if (!act || act.operationIds.includes(owed)) return now;
      const done = new Set(act.operationIds);
      now = now.map((step) => (done.has(step.operation.id) ? { ...step, state: "done" } : step));
    }
    throw new Error("no end");
  }

  it("nothing that stands on it is offered before it, and it is offered before the end; left off by a word it is out of the way", () => {
    for (const { operation } of some) {
      const skipped = start.map((step) => (step.operation.id === operation.id ? { ...step, state: "skipped" as const } : step));
      const stopped = run(skipped, operation.id);
      const left = stopped.find((step) => step.operation.id === operation.id)!;
      expect(isOwed(left) && !isSettled(left)).toBe(true);
      for (const step of stopped)
        if (step.state === "done")
          expect(standsOn(start, step.operation.id).has(operation.id), `${step.operation.id} over ${operation.id}`).toBe(false);
      // The hand comes back to it, however much waits, and to nothing beside it: what stands on it is never fitted in the same press.
      expect(nextBuildAct(stopped, batches, types, null)?.operationIds).toEqual([operation.id]);
      const off = stopped.map((step) => (step === left ? { ...step, note: "the customer wants it off" } : step));
      const end = run(off, "");
      expect(end.filter((step) => !isSettled(step))).toEqual([]);
    }
  });
});
