import { type AnatomyChange, compareAnatomies } from "@/core/anatomy/compare-anatomies";
import { mayGrow } from "@/core/anatomy/grow-anatomy";
import type { Step } from "@/core/teardown/step";
import type { WayOut } from "@/core/vocabulary/way-out";
import { changeVariant, sayBuilt } from "@/data/catalogue/built";
import { getCurrentModelVersion, getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { dropOwnChoice, readVersionOfReel, sayOwnBuild, versionOfReel } from "@/data/catalogue/own-build";
import { markModelVersionUsed } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { giveJobModelVersion } from "@/data/jobs/job-row";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { pinPrices } from "@/data/parts/job-prices";
import { needOf } from "@/data/parts/needs";
import { getBuild } from "./build";
import { listWells } from "./tray";

/** Why a seat has to be there for this job, and where that is taken back; null where nothing was done about it. */
function holds({ db }: Context, { id, tag, reel }: Job, positionId: string): { readonly why: string; readonly way: WayOut | null } | null {
  const fitted = db
    .prepare("SELECT 1 FROM instance WHERE reel_id = ? AND position_id = ? AND fitted_job_id = ?")
    .get(reel.id, positionId, id);
  if (fitted) return { why: "was fitted new in this job. Undo that first", way: { to: "station", tag, station: "parts" } };
  const well = listWells(db, id).find((one) => one.positionId === positionId);
  if (well) return { why: `is in well ${well.well}. Put it back first`, way: null };
  const foreseen = db.prepare("SELECT 1 FROM quote_part WHERE job_id = ? AND position_id = ?").get(id, positionId);
  if (foreseen || needOf(db, id, positionId))
    return { why: "is to be replaced according to the quote. Remove it there first", way: { to: "station", tag, station: "quote" } };
  return null;
}

function moveToBuild(ctx: Context, jobId: number, variantId: string, choiceId: string, only: boolean): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const { model, anatomy } = getModelVersion(db, job.modelVersionId);
  if (mayGrow(anatomy)) {
    sayBuilt(ctx, model, variantId, choiceId);
    return;
  }
  const before = machineOf(db, job);
  const done = getBuild(db, job, before).steps.filter(({ state }) => state !== "waiting");
  const version = only
    ? sayOwnBuild(ctx, before.model.id, job.reel.id, variantId, choiceId)
    : modelBuilt(ctx, job, before.model.id, variantId, choiceId);
  goOnWith(ctx, job, before, done, version, "choiceId");
}

/**
 * A job goes on with another version of its machine; what is done stays. @param done steps of the build that are not waiting.
 * @throws Refusal where the job did something at a seat or a step that the version does not have.
 */
function goOnWith(
  ctx: Context,
  job: Job,
  before: ModelVersion,
  done: readonly Pick<Step, "position" | "operation">[],
  version: ModelVersion,
  field: string | null,
): void {
  const { db } = ctx;
  const seats = new Set(version.anatomy.positions.map(({ id }) => id));
  for (const { id, name } of before.anatomy.positions) {
    const held = seats.has(id) ? null : holds(ctx, job, id);
    if (held)
      throw new Refusal("in-tray", `A reel built this way has no ${name.toLowerCase()}, and this one's ${held.why}.`, field, held.way);
  }
  const acts = new Set(version.anatomy.operations.map(({ id }) => id));
  const stands = done.find(({ position, operation }) => !position && !acts.has(operation.id));
  if (stands)
    throw new Refusal(
      "step-done",
      `“${stands.operation.words}” is done, and a reel built this way has no such step. Undo it first.`,
      field,
      {
        to: "open-again",
        tag: job.tag,
        operationId: stands.operation.id,
      },
    );
  markModelVersionUsed(db, version.id);
  giveJobModelVersion(db, job.id, version.id);
  pinPrices(ctx, job.id, version.id);
}

/** What of a reel's model is otherwise than this job knows it, as it is built today; nothing where the job has it all, or where it grows by the job. */
export function changesSince(db: Db, job: Job): AnatomyChange[] {
  const pinned = getModelVersion(db, job.modelVersionId);
  if (mayGrow(pinned.anatomy)) return [];
  const now = readVersionOfReel(db, pinned.model.id, job.reel.id);
  if (!now || now.id === pinned.id) return [];
  const sides = [pinned, now].map(({ anatomy, partTypes }) => ({ anatomy, partTypes: [...partTypes.values()] }));
  return compareAnatomies(sides[0]!, sides[1]!);
}

/** The job goes on with its reel's model as it is today. @throws Refusal as buildOtherwise does, and where the job has it already. */
export function followModel(ctx: Context, jobId: number): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const before = machineOf(db, job);
  const version = versionOfReel(ctx, before.model.id, job.reel.id);
  if (version.id === job.modelVersionId) throw new Refusal("followed", "This job already uses the current model. Reload the page.");
  const done = getBuild(db, job, before).steps.filter(({ state }) => state !== "waiting");
  goOnWith(ctx, job, before, done, version, null);
  writeJournal(ctx, "model-followed", { jobId, reelId: job.reel.id }, { model: before.model.id });
}

/** The model is built so from now on, and this reel as its model is but for what else it has of its own. */
function modelBuilt(ctx: Context, job: Job, modelId: string, variantId: string, choiceId: string): ModelVersion {
  const was = getCurrentModelVersion(ctx.db, modelId).number;
  const { number } = changeVariant(ctx, modelId, was, variantId, choiceId);
  // The model is built so since another job said it: this one follows.
  if (number === was) writeJournal(ctx, "model-followed", { jobId: job.id, reelId: job.reel.id }, { model: modelId });
  dropOwnChoice(ctx, job.reel.id, variantId);
  return versionOfReel(ctx, modelId, job.reel.id);
}

/**
 * The reel on the bench shows that its model is built otherwise: the model's next version is, and this job goes on with it; other jobs keep theirs.
 * Said of this reel alone, the model stays as it is, and the reel is so whenever it comes again. What is done stays. @throws Refusal where this job did something to a seat that the other build does not have, or the model did not begin from
 * its family.
 */
export function buildOtherwise(ctx: Context, jobId: number, variantId: string, choiceId: string, only = false): void {
  ctx.db.transaction(() => moveToBuild(ctx, jobId, variantId, choiceId, only))();
}
