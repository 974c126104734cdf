import { seenValue } from "@/core/seen/seen";
import type { BroughtId, ComplaintId, Hand } from "@/core/vocabulary/counter-lists";
import type { DepthId, JobKind } from "@/core/vocabulary/job-kinds";
import { editionOfReel } from "@/data/catalogue/editions";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { versionOfReel } from "@/data/catalogue/own-build";
import { markModelVersionUsed } from "@/data/catalogue/write-model";
import { customerByName, findCustomer } from "@/data/customers/customers";
import { ensureReel, findReelBySerial, handOver, normaliseSerial, writeSerial } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { giveJobEdition, giveJobModelVersion, writeClosed, writeDeclined, writeIntake } from "@/data/jobs/job-row";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { pinPrices } from "@/data/parts/job-prices";
import { endNeedsOfJob } from "@/data/parts/needs";
import { lastClosedJob } from "./open-job";

export interface IntakeAsItShouldBe {
  readonly owner: string;
  readonly phone: string;
  readonly modelId: string;
  readonly serial: string;
  readonly hand: Hand;
  readonly kind: JobKind;
  /** Empty is shop default. */
  readonly depth: DepthId | "";
  readonly complaints: readonly ComplaintId[];
  readonly complaint: string;
  readonly brought: readonly BroughtId[];
  readonly limit: number | undefined;
  readonly deposit: number | undefined;
  readonly promisedOn: string;
  readonly seen: string;
}

/** What a form of the intake was shown. */
export const seenIntake = (job: Job): string => seenValue(job.rowVersion);

/** Whether anything of the reel is in a tray, was fitted or is wanted by its schematic: then it stays the model it is. */
export const isBegun = (db: Db, jobId: number): boolean =>
  db
    .prepare(
      `SELECT EXISTS (SELECT 1 FROM tray_well WHERE job_id = @job) OR EXISTS (SELECT 1 FROM loose_part WHERE job_id = @job)
           OR EXISTS (SELECT 1 FROM seat_in_place WHERE job_id = @job) OR EXISTS (SELECT 1 FROM quote_part WHERE job_id = @job)
           OR EXISTS (SELECT 1 FROM oil_point WHERE job_id = @job)`,
    )
    .pluck()
    .get({ job: jobId }) === 1;

/**
 * Puts right what was taken in wrongly, until the reel is returned: owner, model, serial, what it came for, accessories, limit, day.
 * @throws Refusal at its field: a model that was begun by its schematic stays, a serial that is another reel's, a comeback of nothing.
 */
export function correctIntake(ctx: Context, jobId: number, said: IntakeAsItShouldBe): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  refuseUnseen(said.seen, seenIntake(job), "This intake", "owner");
  const customerId =
    said.owner === job.customer.name && said.phone === job.customer.phone
      ? job.customer.id
      : customerByName(ctx, { name: said.owner, phone: said.phone, email: "" });
  const otherModel = said.modelId !== job.reel.modelId;
  if (otherModel && isBegun(db, jobId))
    throw new Refusal(
      "begun",
      "Work has begun with this model's schematic. Put everything back first, or cancel and check it in again.",
      "modelId",
    );
  const reelId = reelAsSaid(ctx, job, customerId, said);
  const comebackOf = said.kind === "comeback" ? (job.comebackOf ?? lastClosedJob(db, reelId)) : null;
  if (said.kind === "comeback" && comebackOf === null)
    throw new Refusal("no-earlier-job", "We have not returned a reel with this serial, so it is not a comeback.", "kind");
  writeIntake(db, jobId, {
    reelId,
    customerId,
    kind: said.kind,
    comebackOf,
    complaint: said.complaint,
    intake: JSON.stringify({ ...job.intake, complaints: said.complaints }),
    limitMinor: said.limit ?? null,
    depositMinor: said.deposit ?? 0,
    promisedOn: said.promisedOn,
    depth: said.depth || null,
    brought: said.brought,
  });
  if (otherModel) pinModel(ctx, jobId, said.modelId);
  const version = getCurrentModelVersion(db, said.modelId);
  const edition = editionOfReel(db, { id: reelId, serial: normaliseSerial(said.serial) }, version.model, version.anatomy);
  giveJobEdition(db, jobId, edition?.edition.id ?? null);
  const customer = findCustomer(db, customerId)!;
  const modelName = `${version.model.maker} ${version.model.name}`;
  indexForFind(db, {
    kind: "job",
    ref: job.tag,
    title: `${job.tag} ${modelName}, ${customer.name}`,
    words: `${job.tag.replaceAll("-", "")} ${job.tag} ${modelName} ${said.serial} ${customer.name} ${said.complaint}`,
  });
  writeJournal(ctx, "intake-corrected", { jobId, reelId, customerId });
}

/** The reel of the job as it should be: the same with its serial mended, or another. */
function reelAsSaid(ctx: Context, job: Job, ownerId: number, { modelId, serial, hand }: IntakeAsItShouldBe): number {
  const { db } = ctx;
  const asked = normaliseSerial(serial);
  const same = modelId === job.reel.modelId && asked === normaliseSerial(job.reel.serial) && hand === job.reel.hand;
  const known = asked ? findReelBySerial(db, asked, modelId) : null;
  const isOther = known !== null && known.id !== job.reel.id;
  if (isOther) {
    if (isBegun(db, job.id))
      throw new Refusal(
        "serial-taken",
        "Another reel on record has that serial, and work on this one has begun. Check the serial.",
        "serial",
      );
    const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").pluck().get(known.id) as string | undefined;
    if (hanging) throw new Refusal("already-here", `The reel with this serial is in the shop already as ${hanging}.`, "serial");
  }
  // A reel that was here before keeps its own line in the book; one of this job alone is mended where it stands.
  const mends = !isOther && (modelId === job.reel.modelId || onlyJob(db, job.reel.id));
  if (!mends) return ensureReel(ctx, { modelId, serial, hand, ownerId });
  if (!same) writeSerial(ctx, job.reel.id, { modelId, serial: asked, hand });
  handOver(ctx, job.reel.id, ownerId);
  return job.reel.id;
}

const onlyJob = (db: Db, reelId: number): boolean => db.prepare("SELECT count(*) FROM job WHERE reel_id = ?").pluck().get(reelId) === 1;

function pinModel(ctx: Context, jobId: number, modelId: string): void {
  const version = versionOfReel(ctx, modelId, getOpenJob(ctx.db, jobId).reel.id);
  markModelVersionUsed(ctx.db, version.id);
  giveJobModelVersion(ctx.db, jobId, version.id);
  pinPrices(ctx, jobId, version.id);
}

/** What a cancelled intake says of itself. */
export const cancelledWords = "Intake cancelled: it was checked in by mistake.";

/**
 * An intake that should not be: the job ends, nothing is charged, its tag is never given again. @throws Refusal where the reel was begun, or money
 * was taken that is not given back.
 */
export function cancelIntake(ctx: Context, jobId: number): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (isBegun(db, jobId))
    throw new Refusal("begun", "Work on this reel has begun. Put it together again and return it unrepaired.", null, {
      to: "station",
      tag: job.tag,
      station: "return",
    });
  if (job.depositMinor > 0) throw new Refusal("deposit", "A deposit was taken. Refund it and set the field to 0 first.", "deposit");
  writeDeclined(db, jobId, cancelledWords);
  endNeedsOfJob(ctx, jobId, "declined");
  writeClosed(db, jobId, { at: ctx.now, totalMinor: 0, signedBy: "", paidBy: null, paidNote: "", oldParts: null });
  writeJournal(ctx, "intake-cancelled", { jobId, reelId: job.reel.id, customerId: job.customer.id });
}
