import type { Step } from "./step";

/**
 * How many pieces a check counts in the reel as it is on this bench: those of its seats that go in, without what stays out on purpose. A reel built
 * otherwise, or half opened, has its own number.
 * @returns null for a check that counts nothing, or nothing of what came off.
 */
export function piecesCounted(check: Step["operation"], steps: readonly Step[]): number | null {
  const counts = new Set(check.counts);
  const there = steps.filter(
    ({ operation, position, well, notDue }) =>
      operation.kind === "place" && position !== null && counts.has(position.id) && !notDue && well?.leftOutReason == null,
  );
  return there.length || null;
}

/** A check with the number it takes. */
export const withCount = (step: Step, steps: readonly Step[]): Step => {
  const count = step.operation.kind === "gate" && step.operation.counts ? piecesCounted(step.operation, steps) : null;
  return count === null ? step : { ...step, operation: { ...step.operation, words: `${step.operation.words}: ${count} in` } };
};
