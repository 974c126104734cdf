import { z } from "zod";
import { type ClaimId, claimIds } from "@/core/diagnosis/purchase-check";
import { type UseFactor, useFactors } from "@/core/diagnosis/use-factors";
import { type DiscountClass, discountOf } from "@/core/estimate/discounts";
import type { PinnedRates } from "@/core/estimate/estimate";
import { type JobKind, type Station, stations } from "@/core/intake/job-kinds";
import {
  type BroughtId,
  type ComplaintId,
  type ConditionId,
  conditionMarks,
  type DragWish,
  type Hand,
  type HandleHole,
} from "@/core/intake/lists";
import type { PlacedMark } from "@/core/intake/marks";
import { zoneIds } from "@/core/intake/outlines";
import type { Water } from "@/core/intervals/next-service";
import { formatTag, parseTag } from "@/core/tags/tag";
import { editionOfReel } from "@/data/catalogue/editions";
import { getCurrentModelVersion, markModelVersionUsed } from "@/data/catalogue/models";
import { addCustomer, findCustomer } from "@/data/customers/customers";
import { ensureReel, normaliseSerial } from "@/data/customers/reels";
import { getShopSettings } from "@/data/shop/settings";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { indexForFind } from "@/data/store/find";
import { writeJournal } from "@/data/store/journal";

const intakeSchema = z.object({
  complaints: z.array(z.string()),
  water: z.enum(["fresh", "brackish", "salt"]),
  tripsPerYear: z.number().int().min(0),
  conditions: z.array(z.string()),
  // Jobs of before this was asked have none.
  life: z.array(z.enum(Object.keys(useFactors) as [UseFactor, ...UseFactor[]])).default([]),
  claims: z.array(z.enum(claimIds)).default([]),
  marks: z
    .array(z.object({ mark: z.enum(Object.keys(conditionMarks) as [ConditionId, ...ConditionId[]]), zone: z.enum(zoneIds) }))
    .default([]),
  conditionNote: z.string(),
  brakes: z.string().default(""),
  dragWish: z.enum(["greased", "dry", "shop"]),
  handleHole: z.enum(["as-found", "short", "long"]),
});
export type Intake = {
  complaints: ComplaintId[];
  water: Water;
  tripsPerYear: number;
  conditions: ConditionId[];
  /** What it has been through, as far as it makes some faults likelier. */
  life: UseFactor[];
  /** What its seller says of it; only a purchase check has any. */
  claims?: ClaimId[];
  /** Where on the outline each condition sits. */
  marks?: PlacedMark[];
  conditionNote: string;
  /** Brake setting as found, to be put back: blocks in and out, dial. Only casting reels have one. */
  brakes?: string;
  dragWish: DragWish;
  handleHole: HandleHole;
};

export interface Job {
  readonly id: number;
  readonly tag: string;
  readonly station: Station | "closed";
  readonly kind: JobKind;
  /** The job whose work came back with this reel. */
  readonly comebackOf: number | null;
  readonly complaint: string;
  readonly intake: Intake;
  readonly limitMinor: number | null;
  readonly wantedOn: string | null;
  readonly promisedOn: string;
  readonly rates: PinnedRates;
  /** Paid at the counter, off what is to pay in the end. */
  readonly depositMinor: number;
  /** Why it goes back unrepaired; null while it does not. */
  readonly declinedReason: string | null;
  readonly currency: string;
  readonly openedAt: string;
  readonly closedAt: string | null;
  readonly finalTotalMinor: number | null;
  /** What tells it from the others of its lot; empty outside one. */
  readonly mark: string;
  readonly lotId: number | null;
  readonly rowVersion: number;
  readonly modelVersionId: number;
  /** The edition of the model it worked on; null where the model has none. */
  readonly editionId: string | null;
  readonly reel: { readonly id: number; readonly modelName: string; readonly serial: string; readonly hand: Hand };
  readonly customer: { readonly id: number; readonly name: string; readonly phone: string };
  readonly brought: readonly { readonly item: BroughtId; readonly givenBackAt: string | null }[];
}

interface JobRow {
  id: number;
  tag: string;
  station: Station | "closed";
  kind: JobKind;
  comeback_of: number | null;
  discount_basis_points: number;
  deposit_minor: number;
  declined_reason: string | null;
  complaint: string;
  intake: string;
  limit_minor: number | null;
  wanted_on: string | null;
  promised_on: string;
  rate_per_hour_minor: number;
  tax_basis_points: number;
  currency: string;
  opened_at: string;
  closed_at: string | null;
  final_total_minor: number | null;
  mark: string;
  lot_id: number | null;
  row_version: number;
  model_version_id: number;
  edition_id: string | null;
  reel_id: number;
  model_name: string;
  serial: string;
  hand: Hand;
  customer_id: number;
  customer_name: string;
  phone: string;
}

const select = `
  SELECT job.id, job.tag, job.station, job.kind, job.comeback_of, job.discount_basis_points, job.deposit_minor, job.declined_reason, job.complaint, job.intake, job.limit_minor, job.wanted_on, job.promised_on, job.rate_per_hour_minor,
         job.tax_basis_points, job.currency, job.opened_at, job.closed_at, job.final_total_minor, job.mark, job.lot_id, job.row_version, job.model_version_id, job.edition_id,
         reel.id AS reel_id, model.maker || ' ' || model.name AS model_name, reel.serial, reel.hand,
         customer.id AS customer_id, customer.name AS customer_name, customer.phone
  FROM job JOIN reel ON reel.id = job.reel_id JOIN model ON model.id = reel.model_id JOIN customer ON customer.id = job.customer_id`;

function toJob(db: Db, row: JobRow): Job {
  const brought = db.prepare("SELECT item, given_back_at AS givenBackAt FROM job_brought WHERE job_id = ? ORDER BY item").all(row.id);
  return {
    id: row.id,
    tag: row.tag,
    station: row.station,
    kind: row.kind,
    comebackOf: row.comeback_of,
    complaint: row.complaint,
    intake: intakeSchema.parse(JSON.parse(row.intake)) as Intake,
    limitMinor: row.limit_minor,
    wantedOn: row.wanted_on,
    promisedOn: row.promised_on,
    rates: { ratePerHourMinor: row.rate_per_hour_minor, tax: row.tax_basis_points, discount: row.discount_basis_points },
    depositMinor: row.deposit_minor,
    declinedReason: row.declined_reason,
    currency: row.currency,
    openedAt: row.opened_at,
    closedAt: row.closed_at,
    finalTotalMinor: row.final_total_minor,
    mark: row.mark,
    lotId: row.lot_id,
    rowVersion: row.row_version,
    modelVersionId: row.model_version_id,
    editionId: row.edition_id,
    reel: { id: row.reel_id, modelName: row.model_name, serial: row.serial, hand: row.hand },
    customer: { id: row.customer_id, name: row.customer_name, phone: row.phone },
    brought: brought as Job["brought"],
  };
}

export const listOpenJobs = (db: Db): Job[] =>
  (db.prepare(`${select} WHERE job.closed_at IS NULL ORDER BY job.promised_on, job.id`).all() as JobRow[]).map((row) => toJob(db, row));

/** All visits of one reel, newest first. */
export const listJobsOfReel = (db: Db, reelId: number): Job[] =>
  (db.prepare(`${select} WHERE job.reel_id = ? ORDER BY job.opened_at DESC, job.id DESC`).all(reelId) as JobRow[]).map((row) =>
    toJob(db, row),
  );

/** The jobs of a lot, in the order they were taken in. */
export const listJobsOfLot = (db: Db, lotId: number): Job[] =>
  (db.prepare(`${select} WHERE job.lot_id = ? ORDER BY job.id`).all(lotId) as JobRow[]).map((row) => toJob(db, row));

export const listClosedJobs = (db: Db, limit: number): Job[] =>
  (db.prepare(`${select} WHERE job.closed_at IS NOT NULL ORDER BY job.closed_at DESC LIMIT ?`).all(limit) as JobRow[]).map((row) =>
    toJob(db, row),
  );

export const findJob = (db: Db, id: number): Job | null => {
  const row = db.prepare(`${select} WHERE job.id = ?`).get(id) as JobRow | undefined;
  return row ? toJob(db, row) : null;
};

/** The job of a tag as typed or scanned; the reason when there is none. */
export function findJobByTag(db: Db, text: string): { job: Job } | { message: string } {
  const parsed = parseTag(text);
  if (!parsed.ok) return { message: parsed.message };
  const row = db.prepare(`${select} WHERE job.tag = ?`).get(parsed.value.tag) as JobRow | undefined;
  return row
    ? { job: toJob(db, row) }
    : { message: `No reel hangs here under ${parsed.value.tag}. Look for the owner or the serial instead.` };
}

/** @throws Refusal when it is not there, or closed and the act needs it open. */
export function getOpenJob(db: Db, id: number): Job {
  const job = findJob(db, id);
  if (!job) throw new Refusal("no-job", "This job is not here any more. Go back to the rack.", null, { to: "rack" });
  if (job.closedAt)
    throw new Refusal(
      "closed",
      `${job.tag} was handed back on ${job.closedAt.slice(0, 10)}; its record cannot change. Take the reel in again.`,
      null,
      { to: "counter" },
    );
  return job;
}

export interface NewJob {
  readonly customer: { readonly id: number } | { readonly name: string; readonly phone: string; readonly email: string };
  readonly modelId: string;
  readonly serial: string;
  readonly hand: Hand;
  /** Repair, where nothing else is said. */
  readonly kind?: JobKind;
  readonly complaint: string;
  readonly intake: Intake;
  readonly brought: readonly BroughtId[];
  readonly limitMinor: number | null;
  readonly discountClass?: DiscountClass;
  readonly depositMinor?: number;
  readonly wantedOn: string | null;
  readonly promisedOn: string;
  /** The lot it came with, and what tells it from its sisters. */
  readonly lot?: { readonly id: number; readonly mark: string };
}

/**
 * Takes a reel in. Pins the model version, the prices of its parts, the hourly rate and the tax as they stand now.
 * @returns the job's id and claim tag.
 * @throws Refusal for an unknown customer or model, or when this reel already hangs here.
 */
export function openJob(ctx: Context, job: NewJob): { id: number; tag: string } {
  const { db } = ctx;
  const customerId = "id" in job.customer ? job.customer.id : addCustomer(ctx, job.customer);
  const customer = findCustomer(db, customerId);
  if (!customer)
    throw new Refusal("no-customer", "This customer is not in the book any more. Choose again or type a new one.", "customerId");
  const version = getCurrentModelVersion(db, job.modelId);
  const reelId = ensureReel(ctx, { modelId: job.modelId, serial: job.serial, hand: job.hand, ownerId: customerId });
  const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").get(reelId) as { tag: string } | undefined;
  if (hanging)
    throw new Refusal("already-here", `This reel already hangs here as ${hanging.tag}. Open that job, or check the serial.`, "serial", {
      to: "station",
      tag: hanging.tag,
      station: "test",
    });
  const { scrapped_at: scrapped } = db.prepare("SELECT scrapped_at FROM reel WHERE id = ?").get(reelId) as { scrapped_at: string | null };
  if (scrapped) throw new Refusal("scrapped", `This reel gave its parts on ${scrapped.slice(0, 10)}. Check the serial.`, "serial");
  const edition = editionOfReel(db, { id: reelId, serial: normaliseSerial(job.serial) }, version.model, version.anatomy);
  const kind = job.kind ?? "repair";
  const lastJob = kind === "comeback" ? lastClosedJob(db, reelId) : null;
  if (kind === "comeback" && lastJob === null)
    throw new Refusal(
      "no-earlier-job",
      "Nothing we handed back stands under this serial. Check it, or take the reel in as a repair.",
      "serial",
    );
  const settings = getShopSettings(db);
  const number = (db.prepare("SELECT coalesce(max(id), 0) + 1 AS next FROM job").get() as { next: number }).next;
  const tag = formatTag(number);
  markModelVersionUsed(db, version.id);
  db.prepare(
    `INSERT INTO job (id, tag, reel_id, customer_id, model_version_id, station, complaint, intake, limit_minor, wanted_on, promised_on,
                      rate_per_hour_minor, tax_basis_points, currency, opened_at, edition_id, lot_id, mark, kind, comeback_of, discount_basis_points, deposit_minor)
     VALUES (?, ?, ?, ?, ?, 'test', ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    number,
    tag,
    reelId,
    customerId,
    version.id,
    job.complaint,
    JSON.stringify(intakeSchema.parse(job.intake)),
    job.limitMinor,
    job.wantedOn,
    job.promisedOn,
    settings.ratePerHourMinor,
    settings.taxBasisPoints,
    settings.currency,
    ctx.now,
    edition?.edition.id ?? null,
    job.lot?.id ?? null,
    job.lot?.mark ?? "",
    kind,
    lastJob,
    discountOf(settings.discounts, job.discountClass ?? "none"),
    job.depositMinor ?? 0,
  );
  const addBrought = db.prepare("INSERT INTO job_brought (job_id, item) VALUES (?, ?)");
  for (const item of job.brought) addBrought.run(number, item);
  db.prepare(
    `INSERT INTO job_price (job_id, part_type_id, price_minor)
     SELECT DISTINCT ?, part_type.id, part_type.price_minor
     FROM position JOIN part_type ON part_type.id = position.part_type_id WHERE position.model_version_id = ?`,
  ).run(number, version.id);
  const modelName = `${version.model.maker} ${version.model.name}`;
  indexForFind(db, {
    kind: "job",
    ref: tag,
    title: `${tag} ${modelName}, ${customer.name}`,
    words: `${tag.replaceAll("-", "")} ${tag} ${modelName} ${job.serial} ${customer.name}`,
  });
  writeJournal(ctx, "job-opened", { jobId: number, reelId, customerId }, { tag });
  return { id: number, tag };
}

/** The last job in which this bench worked on a reel; one sent back unrepaired or only checked has no work that could come back. */
const lastClosedJob = (db: Db, reelId: number): number | null =>
  (db
    .prepare(
      "SELECT id FROM job WHERE reel_id = ? AND closed_at IS NOT NULL AND declined_reason IS NULL AND kind <> 'purchase-check' ORDER BY closed_at DESC, id DESC LIMIT 1",
    )
    .pluck()
    .get(reelId) as number | undefined) ?? null;

/** A light service that met a fault, or a check whose owner wants it mended, becomes a repair; what was written down stays. */
export function makeRepair(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  if (job.kind === "repair") return;
  ctx.db.prepare("UPDATE job SET kind = 'repair', row_version = row_version + 1 WHERE id = ?").run(jobId);
  writeJournal(ctx, "made-a-repair", { jobId, reelId: job.reel.id }, { was: job.kind });
}

/** Sends a reel back unrepaired, with the reason; null takes it on after all. What was opened still has to go together, or stay out with a reason. */
export function declineJob(ctx: Context, jobId: number, reason: string | null): void {
  const job = getOpenJob(ctx.db, jobId);
  ctx.db.prepare("UPDATE job SET declined_reason = ?, row_version = row_version + 1 WHERE id = ?").run(reason, jobId);
  writeJournal(ctx, reason === null ? "taken-on-again" : "declined", { jobId, reelId: job.reel.id });
}

/** Keeps a picture of the reel as it came. */
export function pictureJob(ctx: Context, jobId: number, hash: string): void {
  const job = getOpenJob(ctx.db, jobId);
  ctx.db.prepare("INSERT OR IGNORE INTO job_photo (job_id, photo_hash, at) VALUES (?, ?, ?)").run(jobId, hash, ctx.now);
  writeJournal(ctx, "pictured", { jobId, reelId: job.reel.id });
}

/** Pictures of the reel as it came, in the order they were taken. */
export const listJobPhotos = (db: Db, jobId: number): string[] =>
  db.prepare("SELECT photo_hash FROM job_photo WHERE job_id = ? ORDER BY at, photo_hash").pluck().all(jobId) as string[];

/** The furthest station reached; going back to look does not move it. */
export function advanceStation(ctx: Context, job: Job, to: Station): void {
  if (job.station === "closed" || stations.indexOf(to) <= stations.indexOf(job.station)) return;
  ctx.db.prepare("UPDATE job SET station = ?, row_version = row_version + 1 WHERE id = ?").run(to, job.id);
  writeJournal(ctx, "station-reached", { jobId: job.id }, { station: to });
}

/** What a part costs in this job: the price when it was opened; a part that came later at today's price. */
export function priceInJob(db: Db, jobId: number, partTypeId: string): number {
  const row = db
    .prepare(
      `SELECT coalesce((SELECT price_minor FROM job_price WHERE job_id = @job AND part_type_id = @part),
                       (SELECT price_minor FROM part_type WHERE id = @part)) AS price`,
    )
    .get({ job: jobId, part: partTypeId }) as { price: number | null };
  if (row.price === null) throw new Error(`priceInJob: no part type ${partTypeId}`);
  return row.price;
}
