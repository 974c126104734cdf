import type { Batch, PartType } from "@/core/anatomy/types";
import { isOwed, isSettled } from "@/core/teardown/owed";
import type { Step } from "@/core/teardown/step";

/** One act of the hands going in: the steps it does, in their order, and what it is called. */
export interface BuildAct {
  readonly operationIds: readonly string[];
  readonly batch: Batch | null;
}

type BuildStep = Pick<Step, "operation" | "position" | "needs" | "state" | "notDue" | "note">;

/** Seats a check of this build proves: those it names, by way of tightenings and states, and what they sit on in their assembly. */
export function provedSeats(steps: readonly BuildStep[]): ReadonlySet<string> {
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const proved = new Set<string>();
  const prove = (id: string, assemblyId: string | null, seen: Set<string>) => {
    const step = byId.get(id);
    if (!step || seen.has(id)) return;
    seen.add(id);
    const { operation, position, needs } = step;
    if (operation.kind === "gate") return;
    if (operation.kind !== "place" || !position) {
      for (const before of [...operation.after, ...(operation.positionId ? [`place-${operation.positionId}`] : [])])
        prove(before, assemblyId, seen);
      return;
    }
    if (assemblyId !== null && position.assemblyId !== assemblyId) return;
    proved.add(position.id);
    for (const before of needs) prove(before, position.assemblyId, seen);
  };
  for (const { operation, notDue, state } of steps)
    if (operation.kind === "gate" && !notDue && state !== "done") for (const id of operation.after) prove(id, null, new Set());
  return proved;
}

/** What has to be said at a step and stands alone: what can hurt, and what goes wrong here that no check will show. Empty for most. */
export function buildWord(step: BuildStep, types: ReadonlyMap<string, PartType>, proved: ReadonlySet<string>): string {
  const { operation, position } = step;
  if (operation.caution !== undefined) return operation.caution;
  if (operation.kind !== "place" || !position) return "";
  if (position.caution !== undefined) return position.caution;
  if (types.get(position.partTypeId)?.flies) return "flies";
  return position.trap !== undefined && !proved.has(position.id) ? position.trap : "";
}

/**
 * The act that begins with a step: a check, or a step left for later, stands alone; else the steps of its batch that can follow at once, with the pressing in, the states
 * and the tightening that belong to them, up to the next check. One word stands in an act, not two.
 */
export function buildActFrom(
  steps: readonly BuildStep[],
  batches: readonly Batch[],
  types: ReadonlyMap<string, PartType>,
  firstId: string,
): BuildAct {
  const first = steps.find(({ operation }) => operation.id === firstId);
  // A check stands alone, and so does what was left for later: it is done, or left off by a word.
  if (!first || first.operation.kind === "gate" || isOwed(first)) return { operationIds: [firstId], batch: null };
  const batchOf = (step: BuildStep) =>
    step.position ? batches.find(({ positionIds }) => positionIds.includes(step.position!.id)) : undefined;
  const done = new Set(steps.filter(isSettled).map(({ operation }) => operation.id));
  const waits = ({ operation, needs }: BuildStep) => needs.filter((id) => !done.has(id) && id !== operation.id);
  const proved = provedSeats(steps);
  const act = [firstId];
  done.add(firstId);
  let batch = batchOf(first) ?? null;
  let word = buildWord(first, types, proved);
  for (const step of steps) {
    const { operation } = step;
    // What was left for later is done by itself, not in passing.
    if (done.has(operation.id) || step.state === "failed" || step.state === "skipped") continue;
    // Nothing is passed over a check that could be made now.
    if (operation.kind === "gate") {
      if (!waits(step).length) break;
      continue;
    }
    if (waits(step).length) continue;
    const saying = buildWord(step, types, proved);
    if (saying && word && saying !== word) continue;
    const own = batchOf(step);
    const belongs =
      operation.kind === "place" ? batch !== null && own?.id === batch.id : tiesTo(step, act) || (batch === null && act.length === 1);
    // What is no part's placing before the first part leads on to it: a state is set, a spool pressed in, then the plate goes on.
    const leads =
      operation.kind === "place" &&
      batch === null &&
      !steps.some((one) => act.includes(one.operation.id) && one.operation.kind === "place");
    if (!belongs && !leads) continue;
    if (leads) batch = own ?? null;
    word ||= saying;
    act.push(operation.id);
    done.add(operation.id);
  }
  return { operationIds: act, batch };
}

/** A step without a placing of its own that follows one of the act: the tightening of its screws, the pressing in of its part. */
const tiesTo = ({ operation, needs }: BuildStep, act: readonly string[]): boolean =>
  operation.kind !== "place" && (needs.some((id) => act.includes(id)) || operation.after.some((id) => act.includes(id)));

/**
 * The next act: a check that can be made comes first; then it goes on in the assembly that was touched last; else the computed order. Null when
 * nothing is left.
 */
export function nextBuildAct(
  steps: readonly BuildStep[],
  batches: readonly Batch[],
  types: ReadonlyMap<string, PartType>,
  lastAssemblyId: string | null,
): BuildAct | null {
  const settled = new Set(steps.filter(isSettled).map(({ operation }) => operation.id));
  const open = steps.filter(({ state, notDue }) => (state === "waiting" || state === "failed") && !notDue);
  const failed = open.find(({ state }) => state === "failed");
  const ready = open.filter(({ needs }) => needs.every((id) => settled.has(id)));
  const next =
    failed ??
    ready.find(({ operation }) => operation.kind === "gate") ??
    // The order of the build decides what is free to come next; hands stay where they are among it while no check lies between.
    firstHere(ready, steps, lastAssemblyId) ??
    ready[0] ??
    // What was left for later comes before whatever would cover it.
    steps.find((step) => isOwed(step) && step.needs.every((id) => settled.has(id))) ??
    open[0];
  return next ? buildActFrom(steps, batches, types, next.operation.id) : null;
}

function firstHere(ready: readonly BuildStep[], steps: readonly BuildStep[], lastAssemblyId: string | null): BuildStep | undefined {
  if (lastAssemblyId === null) return undefined;
  const gateAt = steps.findIndex(({ operation, state, notDue }) => operation.kind === "gate" && state !== "done" && !notDue);
  const before = new Set((gateAt < 0 ? steps : steps.slice(0, gateAt)).map(({ operation }) => operation.id));
  return ready.find(({ operation, position }) => before.has(operation.id) && position?.assemblyId === lastAssemblyId);
}

/** Every act from here to the end, each check passing: for counting, and for showing what is still to come. */
export function allBuildActs(steps: readonly BuildStep[], batches: readonly Batch[], types: ReadonlyMap<string, PartType>): BuildAct[] {
  let now: readonly BuildStep[] = steps;
  const acts: BuildAct[] = [];
  let lastAssemblyId: string | null = null;
  for (let act = nextBuildAct(now, batches, types, null); act; act = nextBuildAct(now, batches, types, lastAssemblyId)) {
    acts.push(act);
    const did = new Set(act.operationIds);
    now = now.map((step) => (did.has(step.operation.id) ? { ...step, state: "done" as const } : step));
    lastAssemblyId = now.findLast(({ operation, position }) => did.has(operation.id) && position)?.position?.assemblyId ?? lastAssemblyId;
    if (acts.length > 400) throw new Error("allBuildActs: a step waits for one that never comes");
  }
  return acts;
}
