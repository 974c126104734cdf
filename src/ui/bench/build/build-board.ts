import type { PartType } from "@/core/anatomy/types";
import { isSettled } from "@/core/teardown/owed";
import type { StepAtBuild } from "@/core/teardown/step";
import { wantsNew } from "@/core/teardown/verdicts";
import type { QueuedPress } from "@/ui/act/press-queue";

interface Input {
  readonly operationIds?: readonly string[];
  readonly operationId?: string;
}

/** After everything the server has timed: a press of this page is the newest. */
const justNow = (press: QueuedPress): string => `~${press.id}`;

/** Takes one press as the server will; one that the steps have already changes nothing. */
export function buildPress(steps: readonly StepAtBuild[], press: QueuedPress): readonly StepAtBuild[] {
  const { operationIds = [], operationId } = press.input as Input;
  const set = (ids: ReadonlySet<string>, state: StepAtBuild["state"], act: string) =>
    steps.map((step) => (ids.has(step.operation.id) && step.state !== state ? { ...step, state, act, at: justNow(press) } : step));
  if (press.act === "steps-done") return set(new Set(operationIds), "done", operationIds[0] ?? "");
  if (press.act === "gate-failed" && operationId) return set(new Set([operationId]), "failed", operationId);
  if (press.act === "step-skipped" && operationId) return set(new Set([operationId]), "skipped", operationId);
  if (press.act === "step-undone" && operationId) {
    const act = steps.find(({ operation }) => operation.id === operationId)?.act;
    if (act === undefined || act === null) return steps;
    return steps.map((step) => (step.act === act ? { ...step, state: "waiting" as const, act: null, at: null } : step));
  }
  return steps;
}

/** Takes one press on the oil points as the server will. */
export function oilPress<P extends { readonly positionId: string; readonly state: "waiting" | "oiled" | "left-out" }>(
  points: readonly P[],
  press: QueuedPress,
): readonly P[] {
  if (press.act !== "oil-points") return points;
  const { positionIds, state } = press.input as { positionIds: readonly string[]; state: P["state"] };
  const marked = new Set(positionIds);
  return points.map((point) => (marked.has(point.positionId) && point.state !== state ? { ...point, state } : point));
}

/** The act that was done last; null while nothing is. */
export function lastDone(steps: readonly StepAtBuild[]): StepAtBuild | null {
  let last: StepAtBuild | null = null;
  for (const step of steps) if (step.at && (!last?.at || step.at >= last.at)) last = step;
  return last;
}

/** A step that is asked about before it is done: its new piece is not here, or a fault of its old one was proved. */
const asksFirst = ({ operation, well }: StepAtBuild): boolean =>
  operation.kind === "place" && well !== null && ((wantsNew(well.verdict) && !well.renewed) || well.toRenew.length > 0);

/** Everything up to the next check that can be done in order from here: what "done to here" says. */
export function upToCheck(steps: readonly StepAtBuild[]): string[] {
  const done = new Set(steps.filter(isSettled).map(({ operation }) => operation.id));
  const ids: string[] = [];
  for (const step of steps) {
    if (done.has(step.operation.id)) continue;
    if (step.operation.kind === "gate" || step.state !== "waiting" || asksFirst(step)) break;
    if (!step.needs.every((id) => done.has(id))) break;
    ids.push(step.operation.id);
    done.add(step.operation.id);
  }
  return ids;
}

/** A step as its cautions are looked for. */
export const fittedOf =
  (partTypes: Readonly<Record<string, PartType>>) =>
  ({ operation, position, lubricant }: StepAtBuild) => ({
    operation,
    position,
    type: position ? (partTypes[position.partTypeId] ?? null) : null,
    product: lubricant?.product ?? null,
  });
