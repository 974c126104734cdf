import { type Batch, seatOfPlacing } from "@/core/anatomy/types";
import type { Observation } from "@/core/proving/observation";
import { buildOrder } from "@/core/teardown/build-order";
import { withCount } from "@/core/teardown/counted";
import { type LikelyTrap, likelyTraps } from "@/core/teardown/likely-traps";
import { notDue } from "@/core/teardown/not-due";
import { foldRiders, ridersOf } from "@/core/teardown/opening";
import { isOwed } from "@/core/teardown/owed";
import { stillHold } from "@/core/teardown/proved";
import type { Step, StepState } from "@/core/teardown/step";
import { getCurrentModelVersion, type ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import { listObservations } from "@/data/diagnosis/observations";
import type { Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { openingOf } from "./opening";
import { wellsToRenew } from "./renewals";
import { unopenedUnit } from "./ways";

export interface Build {
  /** What hands do as one, as far as this job opens the reel. */
  readonly batches: readonly Batch[];
  readonly steps: readonly Step[];
  /** Where the hands are: the first step neither done nor skipped; null when all are. */
  readonly current: Step | null;
  readonly failedGate: Step | null;
  readonly conflict: string | null;
  /** Parts that go in the other way round than the reverse of their removal, and whether no order has fewer. */
  readonly inversions: number;
  readonly proven: boolean;
}

/** Where the hands are: at the check that failed, at the next step, at last at what was left for later. */
export const currentOf = (steps: readonly Step[], failedGate: Step | null): Step | null =>
  failedGate ?? steps.find((step) => step.state === "waiting" && !step.notDue) ?? steps.find(isOwed) ?? null;

/** The rebuild of a job: the computed order with what was done of it. */
export function getBuild(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): Build {
  const wells = wellsToRenew(db, job, version);
  const { batches } = openingOf(db, job, version);
  const out = new Set(wells.map((well) => well.positionId));
  // What rides on a part goes in with it; what came off it by itself does not.
  const machine = foldRiders(version.anatomy, ridersOf(version.anatomy, out));
  const order = buildOrder(machine, [...out]);
  if (!order.ok) return { batches, steps: [], current: null, failedGate: null, conflict: order.message, inversions: 0, proven: true };
  const rows = new Map(
    (
      db.prepare("SELECT operation_id, state, note, act, at FROM build_step WHERE job_id = ?").all(job.id) as {
        operation_id: string;
        state: StepState;
        note: string;
        act: string;
        at: string;
      }[]
    ).map((row) => [row.operation_id, row]),
  );
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const wellOf = new Map(wells.map((well) => [well.positionId, well]));
  const impossible = notDue(
    order.value.steps.map(({ operation }) => operation),
    new Set(wells.filter((well) => well.leftOutReason !== null).map((well) => well.positionId)),
    (id) => version.partTypes.get(seats.get(id)?.partTypeId ?? "")?.shape.kind,
  );
  // A seal that was lifted unbroken keeps its fluid: nothing is filled in.
  const unit = unopenedUnit(db, job, version);
  const sealStays = new Set(
    order.value.steps.flatMap(({ operation: { id, kind, after } }) =>
      kind === "lubricate" && after.length > 0 && after.every((before) => unit.has(seatOfPlacing(before) ?? before)) ? [id] : [],
    ),
  );
  const drawn = order.value.steps.map((step) => ({
    ...step,
    state: rows.get(step.operation.id)?.state ?? ("waiting" as const),
    note: rows.get(step.operation.id)?.note ?? "",
    act: rows.get(step.operation.id)?.act ?? null,
    at: rows.get(step.operation.id)?.at ?? null,
    well: step.position ? (wellOf.get(step.position.id) ?? null) : null,
    notDue: impossible.has(step.operation.id) || sealStays.has(step.operation.id),
  }));
  const steps = drawn.map((step) => withCount(step, drawn));
  const failedGate = steps.find((step) => step.state === "failed" && !step.notDue) ?? null;
  return {
    batches,
    steps,
    failedGate,
    current: currentOf(steps, failedGate),
    conflict: null,
    inversions: order.value.inversions,
    proven: order.value.proven,
  };
}

/** Every step done that stands on another one, itself among them: what comes apart when it is opened again. */
export function standsOn(build: Build, operationId: string): string[] {
  const open = new Set([operationId]);
  for (let grown = true; grown; ) {
    grown = false;
    for (const step of build.steps)
      if (!open.has(step.operation.id) && step.needs.some((id) => open.has(id))) {
        open.add(step.operation.id);
        grown = true;
      }
  }
  return build.steps.filter((step) => step.state !== "waiting" && open.has(step.operation.id)).map((step) => step.operation.id);
}

/** Where to look for a gate that failed, with what this model's gate was failed by before at this bench. */
export function trapsOf(db: Db, build: Build, gate: Step, modelId: string): LikelyTrap[] {
  const rows = db
    .prepare(
      `SELECT json_extract(journal.detail, '$.operation') AS operation, count(*) AS times
       FROM journal JOIN job ON job.id = journal.job_id JOIN model_version ON model_version.id = job.model_version_id
       WHERE journal.action = 'step-undone' AND json_extract(journal.detail, '$.gate') = ? AND model_version.model_id = ? GROUP BY operation`,
    )
    .all(gate.operation.id, modelId) as { operation: string; times: number }[];
  const seatOf = new Map(build.steps.flatMap((step) => (step.position ? [[step.operation.id, step.position.id] as const] : [])));
  // What the bench learned since this job was opened is a cause as well.
  const newest = getCurrentModelVersion(db, modelId).anatomy;
  const trapOf = new Map(newest.positions.map(({ id, trap }) => [id, trap]));
  const looks = newest.operations.find(({ id }) => id === gate.operation.id)?.lookAt ?? [];
  const learned = (operation: Step["operation"]): Step["operation"] =>
    operation.id === gate.operation.id
      ? { ...operation, lookAt: [...new Map([...operation.lookAt, ...looks].map((look) => [look.words, look])).values()] }
      : operation;
  const caused = new Map(rows.flatMap(({ operation, times }) => (seatOf.has(operation) ? [[seatOf.get(operation)!, times] as const] : [])));
  return likelyTraps(
    build.steps.map(({ operation, position, state }) => ({
      operation: learned(operation),
      position: position && { ...position, trap: trapOf.get(position.id) ?? position.trap },
      done: state === "done",
    })),
    gate.operation.id,
    caused,
  );
}

/** The newest answers to a job's tests that hold of the reel as it is now. */
export function answersThatHold(db: Db, job: Job, steps: readonly Step[] = getBuild(db, job).steps): Observation[] {
  const pieces = steps.flatMap(({ operation: { id, kind } }) => (kind === "place" ? [id] : []));
  const lastBefore = db
    .prepare(
      "SELECT coalesce(max(after_answer), 0) FROM build_step WHERE job_id = ? AND state = 'done' AND operation_id IN (SELECT value FROM json_each(?))",
    )
    .pluck()
    .get(job.id, JSON.stringify(pieces)) as number;
  return stillHold(listObservations(db, job.id), lastBefore);
}
