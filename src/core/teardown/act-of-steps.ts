import type { Step, StepState } from "./step";

/** What was done of a step, and in which act of the hands. */
export interface StepDone {
  readonly state: StepState;
  /** The first step of the act of the hands it was part of: an undo takes all of it back. Null while it waits. */
  readonly act: string | null;
  readonly at: string | null;
}

/** Steps with some of them in another state; one that is in it already stays as it is. */
export function withSteps<S extends Pick<Step, "operation" | "state">>(
  steps: readonly S[],
  operationIds: readonly string[],
  done: StepDone,
): readonly S[] {
  const ids = new Set(operationIds);
  return steps.map((step) => (ids.has(step.operation.id) && step.state !== done.state ? { ...step, ...done } : step));
}

/** Checks that failed on what is open again: they wait until it is together. */
export const failedWithout = (steps: readonly Pick<Step, "operation" | "state" | "needs">[], opened: readonly string[]): string[] =>
  steps.flatMap(({ operation, state, needs }) => (state === "failed" && needs.some((id) => opened.includes(id)) ? [operation.id] : []));

/** The steps that were done in one act of the hands with this one, itself among them; none while it waits. */
export function stepsOfAct(
  steps: readonly (Pick<Step, "act"> & { readonly operation: { readonly id: string } })[],
  operationId: string,
): string[] {
  const act = steps.find(({ operation }) => operation.id === operationId)?.act ?? null;
  return act === null ? [] : steps.filter((step) => step.act === act).map(({ operation }) => operation.id);
}
