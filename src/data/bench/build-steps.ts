import { seatOfPlacing } from "@/core/anatomy/types";
import { failedWithout, withSteps } from "@/core/teardown/act-of-steps";
import { buriedBy } from "@/core/teardown/buried-by";
import { missingBefore } from "@/core/teardown/left-over";
import { isOwed, isSettled, oldPieces } from "@/core/teardown/owed";
import { renewalByRule } from "@/core/teardown/seal-unit";
import type { Step, StepState } from "@/core/teardown/step";
import { waitsForNew } from "@/core/teardown/verdicts";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { readOnce } from "@/data/database/read-once";
import { faultOf } from "@/data/diagnosis/knowledge";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { type Build, currentOf, getBuild, standsOn } from "./build";
import { leaveOut, takeInAfterAll } from "./tray";

/** @param act the first step of the act of the hands it was part of: an undo takes all of it back. */
function writeStep(
  ctx: Context,
  jobId: number,
  operationId: string,
  state: StepState,
  note: string,
  act = operationId,
  wasOut: string | null = null,
): void {
  ctx.db
    .prepare(
      `INSERT INTO build_step (job_id, operation_id, state, note, at, person_id, act, was_out, after_answer)
       VALUES (@job, @operation, @state, @note, @at, @person, @act, @wasOut, (SELECT coalesce(max(id), 0) FROM observation WHERE job_id = @job))
       ON CONFLICT (job_id, operation_id) DO UPDATE SET state = excluded.state, note = excluded.note, at = excluded.at,
         person_id = excluded.person_id, act = excluded.act, was_out = excluded.was_out, after_answer = excluded.after_answer`,
    )
    .run({ job: jobId, operation: operationId, state, note, at: ctx.now, person: ctx.person.id, act, wasOut });
}

/** A step is as if it had never been done: what was left off by it waits, what was to stay out before it is so again. */
function unwriteStep(ctx: Context, jobId: number, operationId: string): void {
  const of = "job_id = ? AND operation_id = ?";
  const row = ctx.db.prepare(`SELECT was_out AS wasOut FROM build_step WHERE ${of}`).get(jobId, operationId) as
    | { wasOut: string | null }
    | undefined;
  ctx.db.prepare(`DELETE FROM build_step WHERE ${of}`).run(jobId, operationId);
  const seat = seatOfPlacing(operationId);
  if (seat !== null && row) takeInAfterAll(ctx, jobId, seat, row.wasOut);
}

function getStep(build: Build, operationId: string): Step {
  const step = build.steps.find((candidate) => candidate.operation.id === operationId);
  if (!step) throw new Refusal("no-step", "This step is no longer part of the build. Reload the page.");
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
  let build = getBuild(readOnce(ctx.db), job, version);
  const act = operationIds[0] ?? "";
  for (const operationId of operationIds) {
    const step = getStep(build, operationId);
    refuseStep(job, build, step);
    const old = oldPieces([step]).flatMap(({ well }) => well?.toRenew ?? []);
    if (old.length && !reason)
      throw new Refusal(
        "old-piece",
        `${old.map((id) => renewalByRule(id) ?? `${faultOf(ctx.db, id)?.name ?? id}: proved`).join(", ")}, and the old ${step.position?.name.toLowerCase() ?? "piece"} is fitted. Fit a new one at Parts, or note why the old one is refitted.`,
        "reason",
        { to: "station", tag: job.tag, station: "parts" },
      );
    const faults = buriedBy(build.steps, version.anatomy, version.partTypes, step)?.faults ?? [];
    if (faults.length && !reason)
      throw new Refusal(
        "buries",
        `Stop: this would bury a fault. ${faults.join(" ")} Fix it first, or note why you are closing it anyway.`,
        "reason",
      );
    const wasOut = step.well?.leftOutReason ?? null;
    if (step.well && wasOut !== null) takeInAfterAll(ctx, jobId, step.well.positionId);
    writeStep(ctx, jobId, operationId, "done", faults.length || old.length ? reason : "", act, wasOut);
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
    throw new Refusal("gate", `A check failed: ${build.failedGate.operation.words}. Fix that and pass the check before going on.`);
  if (step.operation.kind === "place" && step.well && waitsForNew(step.well))
    throw new Refusal(
      "waits-for-part",
      `The new ${step.position?.name} is not here yet. Fit one at Parts, or change its verdict at Strip.`,
      null,
      { to: "station", tag: job.tag, station: "parts" },
    );
  if (step.operation.kind === "place" && step.well && step.well.soakId !== null)
    throw new Refusal("in-bath", `${step.position?.name} is still in its bath. Take it out and count it in at Clean.`, null, {
      to: "station",
      tag: job.tag,
      station: "clean",
    });
  refuseBefore(build, step);
}

/** @throws Refusal where something that goes in before a step is not in. */
function refuseBefore(build: Build, step: Step): void {
  const settled = new Set(build.steps.filter(isSettled).map((s) => s.operation.id));
  const missing = missingBefore(step.needs, settled);
  if (missing.length) {
    const first = getStep(build, missing[0]!);
    if (isOwed(first))
      throw new Refusal(
        "owed",
        `Left for later and still owed: ${first.operation.words}${first.well ? ` (well ${first.well.well})` : ""}. Do it now, or give a reason for leaving it off; it cannot be reached later.`,
      );
    throw new Refusal(
      "missing-before",
      `First: ${first.operation.words}${first.well ? ` (well ${first.well.well})` : ""}. It goes in before this one and cannot be reached later.`,
    );
  }
}

/** A gate that did not pass: it stops the build until it does. */
export function failGate(ctx: Context, jobId: number, operationId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const build = getBuild(ctx.db, job);
  const step = getStep(build, operationId);
  if (step.operation.kind !== "gate") throw new Refusal("no-gate", "Only a check can fail; undo the step instead.");
  refuseBefore(build, step);
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
  // A check that failed is to be made again once what it tests is together.
  const failed = failedWithout(getBuild(ctx.db, job).steps, rows).filter((id) => !rows.includes(id));
  for (const id of [...rows, ...failed]) {
    unwriteStep(ctx, jobId, id);
    writeJournal(ctx, "step-undone", { jobId, reelId: job.reel.id }, { operation: id });
  }
  return { operationIds: [...rows, ...failed] };
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
    unwriteStep(ctx, jobId, id);
    writeJournal(
      ctx,
      "step-undone",
      { jobId, reelId: job.reel.id },
      { operation: id, ...(id === operationId && gateId ? { gate: gateId } : {}) },
    );
  }
  return { steps: open.size };
}
