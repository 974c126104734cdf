import { describe, expect, it } from "vitest";
import { type Anatomy, type PartType, placeOperationId } from "@/core/anatomy/types";
import { beforeBuried, type SeatState } from "@/core/teardown/before-buried";
import { buildOrder } from "@/core/teardown/build-order";
import { missingBefore } from "@/core/teardown/left-over";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { families } from "./families";

/** A repeatable stream of numbers in [0, 1): mulberry32. */
function stream(seed: number): () => number {
  let at = seed >>> 0;
  return () => {
    at = (at + 0x6d2b79f5) >>> 0;
    let t = Math.imul(at ^ (at >>> 15), 1 | at);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * What hands cannot do otherwise, read off a machine by itself: nothing goes on what is not there, through a hole that is not there, or under
 * what holds it; an act comes after what it tightens, tests or sets, and before what would cover it.
 */
function predicates(anatomy: Anatomy): ReadonlyMap<string, ReadonlySet<string>> {
  const after = new Map<string, Set<string>>();
  const first = (before: string, then: string) => after.set(then, (after.get(then) ?? new Set()).add(before));
  for (const { id, restsOn, ridesOn, passesThrough, heldBy } of anatomy.positions) {
    for (const below of [...restsOn, ...passesThrough, ...(ridesOn ? [ridesOn] : [])]) first(placeOperationId(below), placeOperationId(id));
    for (const holder of heldBy) first(placeOperationId(id), placeOperationId(holder));
  }
  for (const operation of anatomy.operations) {
    for (const before of operation.after) first(before, operation.id);
    for (const then of operation.before) first(operation.id, then);
  }
  return after;
}

const build = (anatomy: Anatomy) => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  return built.value.steps;
};

type Steps = ReturnType<typeof build>;

/** Every complaint a build raises that goes in this order. */
function alarms(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, steps: Steps, order: readonly string[]): string[] {
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const states = new Map<string, SeatState>(
    anatomy.positions.map(({ id }) => [id, { seated: false, verdict: "ok", renewed: false, orientation: "", foundCount: 1 }]),
  );
  const done = new Set<string>();
  const found: string[] = [];
  for (const id of order) {
    const { operation, position, needs } = byId.get(id)!;
    for (const missing of missingBefore(needs, done)) found.push(`${operation.words}: first ${missing}`);
    if (operation.kind === "place" && position) {
      const look = beforeBuried(anatomy, types, position.id, states);
      for (const words of [...(look?.faults ?? []), ...(look?.doubts ?? [])]) found.push(`${operation.words}: ${words}`);
      states.set(position.id, { ...states.get(position.id)!, seated: true });
    }
    done.add(id);
  }
  return found;
}

describe.each(familyIds)("%s", (family) => {
  const { anatomy, parts } = families[family];
  const types = new Map(parts.map((part) => [part.id, part]));
  const steps = build(anatomy);
  const ids = steps.map(({ operation }) => operation.id);

  it("raises no alarm in a thousand orders that hands could as well have taken", () => {
    const after = predicates(anatomy);
    const random = stream(20261126);
    const given = ids.join(" ");
    const needs = new Map(steps.map((step) => [step.operation.id, step.needs]));
    const waits = ids.map((id) => [id, [...(after.get(id) ?? [])]] as const);
    const found: string[] = [];
    let others = 0;
    for (let n = 0; n < 1000; n++) {
      const left = new Set(ids);
      const order: string[] = [];
      while (left.size) {
        const free = waits.filter(([id, before]) => left.has(id) && !before.some((one) => left.has(one)));
        const [next] = free[Math.floor(random() * free.length)]!;
        left.delete(next);
        order.push(next);
      }
      if (order.join(" ") !== given) others++;
      // The look before a cover is dear; one order in forty takes it, all of them are held against the rules of order.
      const done = new Set<string>();
      for (const id of order) {
        for (const missing of missingBefore(needs.get(id)!, done)) found.push(`${n}: ${id} before ${missing}`);
        done.add(id);
      }
      if (n % 40 === 0) found.push(...alarms(anatomy, types, steps, order));
    }
    expect(found).toEqual([]);
    expect(others).toBeGreaterThan(990);
  });

  it("raises its own alarm for each part that goes in after what needs it", () => {
    const needs = new Map(steps.map((step) => [step.operation.id, step.needs]));
    for (const { id, restsOn, heldBy } of anatomy.positions)
      for (const [early, late] of [...restsOn.map((below) => [below, id]), ...heldBy.map((holder) => [id, holder])] as [string, string][]) {
        const [first, then] = [placeOperationId(early), placeOperationId(late)];
        const wrong = ids.filter((one) => one !== first);
        wrong.splice(wrong.indexOf(then) + 1, 0, first);
        const done = new Set(wrong.slice(0, wrong.indexOf(then)));
        expect(missingBefore(needs.get(then)!, done), `${early} after ${late}`).toContain(first);
      }
  });
});
