import { type Batch, seatOfPlacing } from "@/core/anatomy/types";
import type { Observation } from "@/core/proving/observation";
import { withSteps } from "@/core/teardown/act-of-steps";
import { buildOrder } from "@/core/teardown/build-order";
import { buriedBy } from "@/core/teardown/buried-by";
import { missingBefore } from "@/core/teardown/left-over";
import { type LikelyTrap, likelyTraps } from "@/core/teardown/likely-traps";
import { notDue } from "@/core/teardown/not-due";
import { foldRiders, ridersOf } from "@/core/teardown/opening";
import { isOwed, isSettled, oldPieces } from "@/core/teardown/owed";
import { stillHold } from "@/core/teardown/proved";
import type { Step, StepState } from "@/core/teardown/step";
import { wantsNew } from "@/core/teardown/verdicts";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listObservations } from "@/data/diagnosis/observations";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { openingOf } from "./opening";
import { leaveOut, listWells, takeInAfterAll } from "./tray";
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
const currentOf = (steps: readonly Step[], failedGate: Step | null): Step | null =>
  failedGate ?? steps.find((step) => step.state === "waiting" && !step.notDue) ?? steps.find(isOwed) ?? null;

/** The rebuild of a job: the computed order with what was done of it. */
export function getBuild(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): Build {
  const wells = listWells(db, job.id);
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
  const wellOf = new Map(wells.map((well) => [well.positionId, well]));
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
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
  const steps = order.value.steps.map((step) => ({
    ...step,
    state: rows.get(step.operation.id)?.state ?? ("waiting" as const),
    note: rows.get(step.operation.id)?.note ?? "",
    act: rows.get(step.operation.id)?.act ?? null,
    at: rows.get(step.operation.id)?.at ?? null,
    well: step.position ? (wellOf.get(step.position.id) ?? null) : null,
    notDue: impossible.has(step.operation.id) || sealStays.has(step.operation.id),
  }));
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

/** @param act the first step of the act of the hands it was part of: an undo takes all of it back. */
function writeStep(ctx: Context, jobId: number, operationId: string, state: StepState, note: string, act = operationId): void {
  ctx.db
    .prepare(
      `INSERT INTO build_step (job_id, operation_id, state, note, at, person_id, act, after_answer)
       VALUES (@job, @operation, @state, @note, @at, @person, @act, (SELECT coalesce(max(id), 0) FROM observation WHERE job_id = @job))
       ON CONFLICT (job_id, operation_id) DO UPDATE SET state = excluded.state, note = excluded.note, at = excluded.at,
         person_id = excluded.person_id, act = excluded.act, after_answer = excluded.after_answer`,
    )
    .run({ job: jobId, operation: operationId, state, note, at: ctx.now, person: ctx.person.id, act });
}

function getStep(build: Build, operationId: string): Step {
  const step = build.steps.find((candidate) => candidate.operation.id === operationId);
  if (!step) throw new Refusal("no-step", "This step is not part of the build any more. Reload the page.");
  return step;
}

/**
 * Does one step, or several as one act of the hands, in their order; all of them or none. Stops when a check has failed and not been passed
 * since, when the new part is not here yet or lies in a bath, when something that belongs underneath still lies in the tray, and when it would
 * bury something that is wrong; the last goes on with a reason.
 */
export function doSteps(ctx: Context, jobId: number, operationIds: readonly string[], reason = ""): void {
  const job = getOpenJob(ctx.db, jobId);
  const version = machineOf(ctx.db, job);
  let build = getBuild(ctx.db, job, version);
  const act = operationIds[0] ?? "";
  for (const operationId of operationIds) {
    const step = getStep(build, operationId);
    refuseStep(job, build, step);
    const old = oldPieces([step]).flatMap(({ well }) => well?.toRenew ?? []);
    if (old.length && !reason)
      throw new Refusal(
        "old-piece",
        `${old.map((id) => faultOf(ctx.db, id)?.name ?? id).join(", ")}: proved, and the old ${step.position?.name.toLowerCase() ?? "piece"} lies here. Fit a new one at Parts, or say why the old one goes back.`,
        "reason",
        { to: "station", tag: job.tag, station: "parts" },
      );
    const faults = buriedBy(build.steps, version.anatomy, version.partTypes, step)?.faults ?? [];
    if (faults.length && !reason)
      throw new Refusal(
        "buries",
        `This would cover what is not right: ${faults.join(" ")} Put it right first, or say why you close it anyway.`,
        "reason",
      );
    if (step.well?.leftOutReason) takeInAfterAll(ctx, jobId, step.well.positionId);
    writeStep(ctx, jobId, operationId, "done", faults.length || old.length ? reason : "", act);
    writeJournal(
      ctx,
      step.operation.kind === "gate" ? "gate-passed" : "step-done",
      { jobId, reelId: job.reel.id },
      {
        operation: operationId,
        ...(faults.length ? { closedOver: faults.length, reason } : {}),
        ...(old.length ? { oldPiece: old, reason } : {}),
      },
    );
    build = buildWith(build, withSteps(build.steps, [operationId], { state: "done", act, at: ctx.now }));
  }
  advanceStation(ctx, job, "build");
}

export const doStep = (ctx: Context, jobId: number, operationId: string, reason = ""): void => doSteps(ctx, jobId, [operationId], reason);

/** A build with its steps in another state: what follows in the same act is judged by it. */
function buildWith(build: Build, steps: readonly Step[]): Build {
  const failedGate = steps.find((step) => step.state === "failed" && !step.notDue) ?? null;
  return { ...build, steps, failedGate, current: currentOf(steps, failedGate) };
}

/** @throws Refusal where a step cannot be done now, with the way to what it waits for. */
function refuseStep(job: Job, build: Build, step: Step): void {
  if (step.state === "done") throw new Refusal("done", `"${step.operation.words}" is done already.`);
  if (build.failedGate && build.failedGate.operation.id !== step.operation.id)
    throw new Refusal("gate", `A check did not pass: ${build.failedGate.operation.words}. Put that right and pass it before going on.`);
  if (step.operation.kind === "place" && step.well && wantsNew(step.well.verdict) && !step.well.renewed)
    throw new Refusal(
      "waits-for-part",
      `The new ${step.position?.name} is not here yet. Fit one at Parts, or change its verdict at Strip.`,
      null,
      { to: "station", tag: job.tag, station: "parts" },
    );
  if (step.operation.kind === "place" && step.well && step.well.soakId !== null)
    throw new Refusal("in-bath", `${step.position?.name} is still in its bath. Take it out and count it back at Clean.`, null, {
      to: "station",
      tag: job.tag,
      station: "clean",
    });
  const settled = new Set(build.steps.filter(isSettled).map((s) => s.operation.id));
  const missing = missingBefore(step.needs, settled);
  if (missing.length) {
    const first = getStep(build, missing[0]!);
    if (isOwed(first))
      throw new Refusal(
        "owed",
        `Left for later and still owed: ${first.operation.words}${first.well ? ` (well ${first.well.well})` : ""}. Do it now, or say why it is left off; afterwards it cannot be reached.`,
      );
    throw new Refusal(
      "missing-before",
      `First: ${first.operation.words}${first.well ? ` (well ${first.well.well})` : ""}. It goes in before this one and cannot be reached afterwards.`,
    );
  }
}

/** A gate that did not pass: it stops the build until it does. */
export function failGate(ctx: Context, jobId: number, operationId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const step = getStep(getBuild(ctx.db, job), operationId);
  if (step.operation.kind !== "gate") throw new Refusal("no-gate", "Only a check can fail; undo the step instead.");
  writeStep(ctx, jobId, operationId, "failed", note);
  writeJournal(ctx, "gate-failed", { jobId, reelId: job.reel.id }, { operation: operationId });
  advanceStation(ctx, job, "build");
}

/**
 * Goes on without this step for now: what would cover it waits. With a word it is left off: it stays out of the way, and a part of it out of the reel,
 * and the word stands in the report.
 */
export function skipStep(ctx: Context, jobId: number, operationId: string, reason = ""): void {
  const job = getOpenJob(ctx.db, jobId);
  const step = getStep(getBuild(ctx.db, job), operationId);
  if (step.operation.kind === "gate") throw new Refusal("gate", "A check cannot be skipped: it passes or it fails.");
  if (step.state === "done") throw new Refusal("done", "This step is done. Undo it instead.");
  writeStep(ctx, jobId, operationId, "skipped", reason);
  if (reason && step.operation.kind === "place" && step.position) leaveOut(ctx, jobId, step.position.id, reason);
  else writeJournal(ctx, "step-skipped", { jobId, reelId: job.reel.id }, { operation: operationId, ...(reason ? { reason } : {}) });
}

/** Takes a step back to waiting, with all of the act of the hands it was done in; the journal keeps both. */
export function undoStep(ctx: Context, jobId: number, operationId: string): { operationIds: string[] } {
  const job = getOpenJob(ctx.db, jobId);
  const rows = ctx.db
    .prepare(
      `SELECT operation_id FROM build_step WHERE job_id = @job
       AND act = (SELECT act FROM build_step WHERE job_id = @job AND operation_id = @operation) ORDER BY operation_id`,
    )
    .pluck()
    .all({ job: jobId, operation: operationId }) as string[];
  if (!rows.length) throw new Refusal("not-done", "There is nothing to undo on this step.");
  for (const id of rows) {
    ctx.db.prepare("DELETE FROM build_step WHERE job_id = ? AND operation_id = ?").run(jobId, id);
    const seat = seatOfPlacing(id);
    if (seat !== null) takeInAfterAll(ctx, jobId, seat);
    writeJournal(ctx, "step-undone", { jobId, reelId: job.reel.id }, { operation: id });
  }
  return { operationIds: rows };
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

/**
 * Opens the build again down to a step that was done: it and everything that stands on it wait once more.
 * @param gateId the gate that failed by it; it is remembered for the next time this gate fails.
 * @returns how many steps wait again.
 */
export function openAgain(ctx: Context, jobId: number, operationId: string, gateId: string | null): { steps: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const build = getBuild(db, job);
  if (getStep(build, operationId).state === "waiting") throw new Refusal("not-done", "This step is open already.");
  const open = new Set(standsOn(build, operationId));
  // The gate is to be passed again once it is mended.
  if (gateId !== null && build.failedGate?.operation.id === gateId) open.add(gateId);
  for (const id of open) {
    db.prepare("DELETE FROM build_step WHERE job_id = ? AND operation_id = ?").run(jobId, id);
    const seat = seatOfPlacing(id);
    if (seat !== null) takeInAfterAll(ctx, jobId, seat);
    writeJournal(
      ctx,
      "step-undone",
      { jobId, reelId: job.reel.id },
      { operation: id, ...(id === operationId && gateId ? { gate: gateId } : {}) },
    );
  }
  return { steps: open.size };
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
  const caused = new Map(rows.flatMap(({ operation, times }) => (seatOf.has(operation) ? [[seatOf.get(operation)!, times] as const] : [])));
  return likelyTraps(
    build.steps.map(({ operation, position, state }) => ({ operation, position, done: state === "done" })),
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
