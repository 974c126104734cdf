import { handLaws } from "#tests/hand-laws";
import { type Anatomy, type PartType, placeOperationId } from "@/core/anatomy/types";
import type { FamilyTemplate } from "@/core/families/template";
import { beforeBuried, type SeatState } from "@/core/teardown/before-buried";
import { buildOrder } from "@/core/teardown/build-order";
import { missingBefore } from "@/core/teardown/left-over";
import { removalOrder } from "@/core/teardown/removal-order";

/** The skeleton's name where it is not the family's usual one. */
export function frameOf({ frames, chosen }: Pick<FamilyTemplate, "frames" | "chosen">): string | null {
  const frame = frames ? chosen[frames.id]! : null;
  return frame === frames?.choices[0].id ? null : frame;
}

/** The laws of the hand by operation; every name in them has to be there. */
export function lawsOf({ family, anatomy, chosen, frames }: FamilyTemplate): ReadonlyMap<string, ReadonlySet<string>> {
  const seats = new Set(anatomy.positions.map(({ id }) => id));
  const acts = new Set(anatomy.operations.map(({ id }) => id));
  const operation = (name: string) => {
    if (!seats.has(name) && !acts.has(name)) throw new Error(`${family} has neither a seat nor an act ${name}`);
    return seats.has(name) ? placeOperationId(name) : name;
  };
  return new Map(
    [...handLaws(family, frameOf({ frames, chosen }), chosen)].map(([id, before]) => [operation(id), new Set([...before].map(operation))]),
  );
}

export const buildOf = (anatomy: Anatomy) => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  return built.value.steps;
};
type Steps = ReturnType<typeof buildOf>;

/** Every complaint a build raises that goes in this order. */
function alarms(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, steps: Steps, order: readonly string[]): string[] {
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const states = new Map<string, SeatState>(
    anatomy.positions.map(({ id }) => [
      id,
      {
        seated: false,
        verdict: "ok",
        renewed: false,
        declined: false,
        unrepaired: false,
        found: { orientation: "", lies: null },
        foundCount: 1,
      },
    ]),
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

/**
 * Builds a reel in orders drawn at random among those that the laws of the hand allow. @returns what was complained of, and how many orders were not
 * the one Zorbek gives.
 */
export function anyOrders(template: FamilyTemplate, count: number, random: () => number): { found: string[]; others: number } {
  const { anatomy, parts } = template;
  const types = new Map(parts.map((part) => [part.id, part]));
  const steps = buildOf(anatomy);
  const ids = steps.map(({ operation }) => operation.id);
  const after = lawsOf(template);
  const given = ids.join(" ");
  const needs = new Map(steps.map((step) => [step.operation.id, step.needs]));
  const waits = ids.map((id) => [id, [...(after.get(id) ?? [])]] as const);
  const found: string[] = [];
  let others = 0;
  for (let n = 0; n < count; n++) {
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
  return { found, others };
}
