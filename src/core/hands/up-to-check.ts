import type { PartType } from "@/core/anatomy/types";
import { isSettled } from "@/core/teardown/owed";
import type { Step, StepAtBuild } from "@/core/teardown/step";
import { waitsForNew } from "@/core/teardown/verdicts";

/** The act that was done last; null while nothing is. */
export function lastDone<S extends Step>(steps: readonly S[]): S | null {
  let last: S | null = null;
  for (const step of steps) if (step.at && (!last?.at || step.at >= last.at)) last = step;
  return last;
}

/** A step that is asked about before it is done: its new piece is not here, or a fault of its old one was proved. */
const asksFirst = ({ operation, well }: Pick<Step, "operation" | "well">): boolean =>
  operation.kind === "place" && well !== null && (waitsForNew(well) || well.toRenew.length > 0);

/** Everything up to the next check that can be done in order from here: what "done to here" says. */
export function upToCheck(steps: readonly Step[]): string[] {
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
