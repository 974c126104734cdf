import type { Operation, Position } from "@/core/anatomy/types";
import { protocolOfJob, stationsOf } from "@/core/intake/job-kinds";
import { buildOrder } from "@/core/teardown/build-order";
import { leftOver, missingBefore } from "@/core/teardown/left-over";
import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { advanceStation, getOpenJob, type Job } from "./jobs";
import { writeJournal } from "./journal";
import { machineOf } from "./machine";
import type { ModelVersion } from "./models";
import { listObservations, listSkipped } from "./observations";
import { listWells, type Well } from "./tray";

export type StepState = "waiting" | "done" | "failed" | "skipped";

export interface Step {
  readonly operation: Operation;
  readonly position: Position | null;
  readonly needs: readonly string[];
  readonly state: StepState;
  readonly note: string;
  readonly well: Well | null;
}

export interface Build {
  readonly steps: readonly Step[];
  /** Where the hands are: the first step neither done nor skipped; null when all are. */
  readonly current: Step | null;
  readonly failedGate: Step | null;
  readonly conflict: string | null;
}

/** The rebuild of a job: the computed order with what was done of it. */
export function getBuild(
  db: Db,
  job: Pick<Job, "id" | "modelVersionId" | "editionId" | "reel">,
  version: ModelVersion = machineOf(db, job),
): Build {
  const wells = listWells(db, job.id);
  const order = buildOrder(
    version.anatomy,
    wells.map((well) => well.positionId),
  );
  if (!order.ok) return { steps: [], current: null, failedGate: null, conflict: order.message };
  const rows = new Map(
    (
      db.prepare("SELECT operation_id, state, note FROM build_step WHERE job_id = ?").all(job.id) as {
        operation_id: string;
        state: StepState;
        note: string;
      }[]
    ).map((row) => [row.operation_id, row]),
  );
  const wellOf = new Map(wells.map((well) => [well.positionId, well]));
  const steps = order.value.steps.map((step) => ({
    ...step,
    state: rows.get(step.operation.id)?.state ?? ("waiting" as const),
    note: rows.get(step.operation.id)?.note ?? "",
    well: step.position ? (wellOf.get(step.position.id) ?? null) : null,
  }));
  const failedGate = steps.find((step) => step.state === "failed") ?? null;
  return { steps, failedGate, current: failedGate ?? steps.find((step) => step.state === "waiting") ?? null, conflict: null };
}

function writeStep(ctx: Context, jobId: number, operationId: string, state: StepState, note: string): void {
  ctx.db
    .prepare(
      `INSERT INTO build_step (job_id, operation_id, state, note, at, person_id) VALUES (?, ?, ?, ?, ?, ?)
       ON CONFLICT (job_id, operation_id) DO UPDATE SET state = excluded.state, note = excluded.note, at = excluded.at, person_id = excluded.person_id`,
    )
    .run(jobId, operationId, state, note, ctx.now, ctx.person.id);
}

function getStep(build: Build, operationId: string): Step {
  const step = build.steps.find((candidate) => candidate.operation.id === operationId);
  if (!step) throw new Refusal("no-step", "This step is not part of the build any more. Reload the page.");
  return step;
}

/**
 * Does one step. Stops when a gate has failed and not been passed since, when the new part is not here yet, and when something that
 * belongs underneath still lies in the tray.
 */
export function doStep(ctx: Context, jobId: number, operationId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const build = getBuild(ctx.db, job);
  const step = getStep(build, operationId);
  if (step.state === "done") throw new Refusal("done", `"${step.operation.words}" is done already.`);
  if (build.failedGate && build.failedGate.operation.id !== operationId)
    throw new Refusal(
      "gate",
      `A gate did not pass: ${build.failedGate.operation.words}. Put that right and pass it before anything else goes on.`,
    );
  if (step.operation.kind === "place" && step.well?.verdict === "replace" && !step.well.renewed)
    throw new Refusal(
      "waits-for-part",
      `The new ${step.position?.name} is not here yet. Take it from stock or receive it at Parts, or change its verdict at Strip.`,
    );
  const settled = new Set(build.steps.filter((s) => s.state === "done" || s.state === "skipped").map((s) => s.operation.id));
  const missing = missingBefore(step.needs, settled);
  if (missing.length) {
    const first = getStep(build, missing[0]!);
    throw new Refusal(
      "missing-before",
      `First: ${first.operation.words}${first.well ? ` (well ${first.well.well})` : ""}. It goes in before this one and cannot be reached afterwards.`,
    );
  }
  writeStep(ctx, jobId, operationId, "done", "");
  writeJournal(
    ctx,
    step.operation.kind === "gate" ? "gate-passed" : "step-done",
    { jobId, reelId: job.reel.id },
    { operation: operationId },
  );
  advanceStation(ctx, job, "build");
}

/** A gate that did not pass: it stops the build until it does. */
export function failGate(ctx: Context, jobId: number, operationId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const step = getStep(getBuild(ctx.db, job), operationId);
  if (step.operation.kind !== "gate") throw new Refusal("no-gate", "Only a gate can fail; undo the step instead.");
  writeStep(ctx, jobId, operationId, "failed", note);
  writeJournal(ctx, "gate-failed", { jobId, reelId: job.reel.id }, { operation: operationId });
  advanceStation(ctx, job, "build");
}

/** Goes on without this part for now. It stays in the tray, and the tray must be empty before the reel is handed back. */
export function skipStep(ctx: Context, jobId: number, operationId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const step = getStep(getBuild(ctx.db, job), operationId);
  if (step.operation.kind === "gate") throw new Refusal("gate", "A gate is not skipped: it passes or it fails.");
  if (step.state === "done") throw new Refusal("done", "This step is done. Undo it instead.");
  writeStep(ctx, jobId, operationId, "skipped", "");
  writeJournal(ctx, "step-skipped", { jobId, reelId: job.reel.id }, { operation: operationId });
}

/** Takes a step back to waiting; the journal keeps both. */
export function undoStep(ctx: Context, jobId: number, operationId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM build_step WHERE job_id = ? AND operation_id = ?").run(jobId, operationId);
  if (!changes) throw new Refusal("not-done", "There is nothing to undo on this step.");
  writeJournal(ctx, "step-undone", { jobId, reelId: job.reel.id }, { operation: operationId });
}

export interface ClosingBlock {
  readonly code: "left-over" | "gate" | "step" | "brought" | "tests";
  readonly message: string;
  readonly positionId?: string;
}

/** What a light service or a purchase check still owes: its tests, and for a service none of them bad in the end. */
function testBlocks(db: Db, job: Job, version: ModelVersion): ClosingBlock[] {
  const phase = job.kind === "purchase-check" ? "before" : "after";
  const made = new Map(
    listObservations(db, job.id)
      .filter((observation) => observation.phase === phase)
      .map((observation) => [observation.testId, observation.verdict]),
  );
  const skipped = new Map(
    listSkipped(db, job.id)
      .filter((skip) => skip.phase === phase)
      .map((skip) => [skip.testId, skip.reason]),
  );
  return protocolOfJob(version.model.family, job.kind).flatMap(({ id, name }): ClosingBlock[] => {
    const verdict = made.get(id);
    const skip = skipped.get(id);
    if (verdict === undefined && skip !== undefined)
      return skip
        ? []
        : [{ code: "tests", message: `${name} was left out: say why, beside it at ${phase === "before" ? "Test" : "Prove"}.` }];
    if (verdict === undefined) return [{ code: "tests", message: `Not tested: ${name}` }];
    if (phase === "after" && verdict === "bad")
      return [{ code: "tests", message: `${name} is still bad: make it a repair at Test, or mend it and test again.` }];
    return [];
  });
}

/** Everything that keeps a reel from going home, in the order a bench would clear it. Empty means it may close. */
export function closingBlocks(db: Db, job: Job): ClosingBlock[] {
  const version = machineOf(db, job);
  const names = new Map(version.anatomy.positions.map((position) => [position.id, position.name]));
  const blocks: ClosingBlock[] = [];
  const wells = listWells(db, job.id).map((well) => ({ ...well, name: names.get(well.positionId) ?? well.positionId }));
  for (const well of leftOver(wells))
    blocks.push({
      code: "left-over",
      positionId: well.positionId,
      message: `Well ${well.well} is not empty: ${well.name}. Fit it at Build, or say why it stays out.`,
    });
  // A reel nobody opened has nothing to build; its tests are what is asked of it.
  if (!wells.length && job.declinedReason !== null) return blocks;
  if (!wells.length && !stationsOf(job.kind).includes("build")) return [...blocks, ...testBlocks(db, job, version)];
  const leftOut = new Set(wells.filter((well) => well.leftOutReason !== null).map((well) => well.positionId));
  for (const step of getBuild(db, job, version).steps) {
    if (step.operation.kind === "place" || step.state === "done") continue;
    if (step.position && leftOut.has(step.position.id)) continue;
    blocks.push(
      step.operation.kind === "gate"
        ? { code: "gate", message: `Gate not passed: ${step.operation.words}` }
        : { code: "step", message: `Not done: ${step.operation.words}` },
    );
  }
  return blocks;
}
