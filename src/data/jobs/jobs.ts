import { z } from "zod";
import { type ClaimId, claimIds } from "@/core/diagnosis/purchase-check";
import { groupBy } from "@/core/group-by";
import type { PlacedMark } from "@/core/intake/marks";
import { zoneIds } from "@/core/intake/outlines";
import { jobPricesSchema } from "@/core/quote/price-list";
import type { PinnedRates } from "@/core/quote/quote-sum";
import { parseTag } from "@/core/tags/tag";
import {
  type BroughtId,
  type ComplaintId,
  type ConditionId,
  conditionMarks,
  type DragWish,
  type Hand,
  type HandleHole,
} from "@/core/vocabulary/counter-lists";
import { type DepthId, depths, type JobKind, type JobPath, type Station, stations } from "@/core/vocabulary/job-kinds";
import { type UseFactor, useFactors, type Water } from "@/core/vocabulary/use";
import { type WhoPays, whoPays, whoPaysIds } from "@/core/vocabulary/who-pays";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { writeWay } from "./way-rows";

export const intakeSchema = z.object({
  complaints: z.array(z.string()),
  water: z.enum(["fresh", "brackish", "salt"]),
  tripsPerYear: z.number().int().min(0),
  conditions: z.array(z.string()),
  // Jobs from before this was asked have none.
  life: z.array(z.enum(Object.keys(useFactors) as [UseFactor, ...UseFactor[]])).default([]),
  claims: z.array(z.enum(claimIds)).default([]),
  marks: z
    .array(z.object({ mark: z.enum(Object.keys(conditionMarks) as [ConditionId, ...ConditionId[]]), zone: z.enum(zoneIds) }))
    .default([]),
  conditionNote: z.string(),
  brakes: z.string().default(""),
  dragWish: z.enum(["greased", "dry", "shop"]),
  handleHole: z.enum(["as-found", "short", "long"]),
  callFor: z.string().default(""),
  partsLimitMinor: z.number().int().min(0).nullable().default(null),
  openingLimitMinor: z.number().int().min(0).nullable().default(null),
  lineBreaksN: z.number().positive().nullable().default(null),
  pays: z.enum(whoPaysIds).default("us"),
  termsAgreed: z.boolean().default(false),
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
  /** Parts for which the customer wants to be called whatever the sum, in their words. */
  callFor?: string;
  /** Up to here new parts may go in without asking, tax included; null where only the whole has a limit. */
  partsLimitMinor?: number | null;
  /** Up to here it may be opened where it came for no more, tax included; null: at its price in the list. */
  openingLimitMinor?: number | null;
  /** What the line on it, or meant for it, breaks at, N; null where nobody said. */
  lineBreaksN?: number | null;
  /** Of a comeback: who pays for it. */
  pays?: WhoPays;
  /** The customer agreed to the shop's terms at the counter. */
  termsAgreed?: boolean;
};

export interface Job extends JobPath {
  readonly id: number;
  readonly tag: string;
  readonly station: Station | "closed";
  /** The job whose work came back with this reel. */
  readonly comebackOf: number | null;
  readonly complaint: string;
  /** What the customer asked, answered in the technician's words; and what we did wrong ourselves. Empty where nobody said. */
  readonly answer: string;
  readonly ourMistake: string;
  readonly intake: Intake;
  readonly limitMinor: number | null;
  readonly wantedOn: string | null;
  readonly promisedOn: string;
  readonly rates: PinnedRates;
  /** What the reel is worth as it is, typed for this job or kept for its model; null where nobody said. */
  readonly valueMinor: number | null;
  /** Paid at the counter, off what is to pay in the end. */
  readonly depositMinor: number;
  /** Why it is returned unrepaired; null while it does not. */
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
  readonly reel: {
    readonly id: number;
    readonly modelId: string;
    readonly modelName: string;
    readonly serial: string;
    readonly hand: Hand;
  };
  readonly customer: { readonly id: number; readonly name: string; readonly phone: string };
  readonly brought: readonly { readonly item: BroughtId; readonly givenBackAt: string | null }[];
}

interface JobRow {
  id: number;
  tag: string;
  station: Station | "closed";
  kind: JobKind;
  depth_said: string | null;
  depth_usual: string | null;
  comeback_of: number | null;
  discount_basis_points: number;
  deposit_minor: number;
  declined_reason: string | null;
  complaint: string;
  answer: string;
  our_mistake: string;
  intake: string;
  limit_minor: number | null;
  wanted_on: string | null;
  promised_on: string;
  rate_per_hour_minor: number;
  tax_basis_points: number;
  prices: string | null;
  value_minor: number | null;
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
  model_id: string;
  model_name: string;
  serial: string;
  hand: Hand;
  customer_id: number;
  customer_name: string;
  phone: string;
}

const select = `
  SELECT job.id, job.tag, job.station, job.kind,
         (SELECT choice FROM job_way WHERE job_way.job_id = job.id AND way = 'depth') AS depth_said,
         coalesce((SELECT choice FROM customer_way WHERE customer_way.customer_id = job.customer_id AND way = 'depth'),
                  (SELECT json_extract(value, '$.ways.depth') FROM setting WHERE key = 'shop')) AS depth_usual,
         job.comeback_of, job.discount_basis_points, job.deposit_minor, job.declined_reason, job.complaint, job.answer, job.our_mistake, job.intake, job.limit_minor, job.wanted_on, job.promised_on, job.rate_per_hour_minor, job.prices, coalesce(job.value_minor, model.value_minor) AS value_minor,
         job.tax_basis_points, job.currency, job.opened_at, job.closed_at, job.final_total_minor, job.mark, job.lot_id, job.row_version, job.model_version_id, job.edition_id,
         reel.id AS reel_id, reel.model_id, model.maker || ' ' || model.name AS model_name, reel.serial, reel.hand,
         customer.id AS customer_id, customer.name AS customer_name, customer.phone
  FROM job JOIN reel ON reel.id = job.reel_id JOIN model ON model.id = reel.model_id JOIN customer ON customer.id = job.customer_id`;

const depthOf = (said: string | null): DepthId | null => (said !== null && said in depths ? (said as DepthId) : null);

/** Rows with what came with each reel: one more statement for all of them. */
function toJobs(db: Db, rows: readonly JobRow[]): Job[] {
  if (!rows.length) return [];
  const brought = db
    .prepare(
      "SELECT job_id AS jobId, item, given_back_at AS givenBackAt FROM job_brought WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY item",
    )
    .all(JSON.stringify(rows.map(({ id }) => id))) as { jobId: number; item: BroughtId; givenBackAt: string | null }[];
  const came = groupBy(brought, ({ jobId }) => jobId);
  return rows.map((row) => ({
    id: row.id,
    tag: row.tag,
    station: row.station,
    kind: row.kind,
    depth: depthOf(row.depth_said) ?? depthOf(row.depth_usual) ?? "complaint",
    depthSaid: depthOf(row.depth_said) !== null,
    comebackOf: row.comeback_of,
    complaint: row.complaint,
    answer: row.answer,
    ourMistake: row.our_mistake,
    intake: intakeSchema.parse(JSON.parse(row.intake)) as Intake,
    limitMinor: row.limit_minor,
    wantedOn: row.wanted_on,
    promisedOn: row.promised_on,
    rates: {
      ratePerHourMinor: row.rate_per_hour_minor,
      tax: row.tax_basis_points,
      discount: row.discount_basis_points,
      prices: row.prices === null ? null : jobPricesSchema.parse(JSON.parse(row.prices)),
    },
    valueMinor: row.value_minor,
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
    reel: { id: row.reel_id, modelId: row.model_id, modelName: row.model_name, serial: row.serial, hand: row.hand },
    customer: { id: row.customer_id, name: row.customer_name, phone: row.phone },
    brought: (came.get(row.id) ?? []).map(({ item, givenBackAt }) => ({ item, givenBackAt })),
  }));
}

/** Jobs in the shop, the earliest promised first. @param only narrows to some of them. */
export const listOpenJobs = (db: Db, only?: readonly number[]): Job[] =>
  toJobs(
    db,
    db
      .prepare(
        `${select} WHERE job.closed_at IS NULL AND (@only IS NULL OR job.id IN (SELECT value FROM json_each(@only))) ORDER BY job.promised_on, job.id`,
      )
      .all({ only: only ? JSON.stringify(only) : null }) as JobRow[],
  );

/** All visits of one reel, newest first. */
export const listJobsOfReel = (db: Db, reelId: number): Job[] =>
  toJobs(db, db.prepare(`${select} WHERE job.reel_id = ? ORDER BY job.opened_at DESC, job.id DESC`).all(reelId) as JobRow[]);

/** All visits of one customer, oldest first. */
export const listJobsOfCustomer = (db: Db, customerId: number): Job[] =>
  toJobs(db, db.prepare(`${select} WHERE job.customer_id = ? ORDER BY job.id`).all(customerId) as JobRow[]);

/** The jobs of a lot, in the order they were taken in. */
export const listJobsOfLot = (db: Db, lotId: number): Job[] =>
  toJobs(db, db.prepare(`${select} WHERE job.lot_id = ? ORDER BY job.id`).all(lotId) as JobRow[]);

/** Jobs that were handed back, the last first; of one customer or of all. */
export const listClosedJobs = (db: Db, limit: number, customerId?: number): Job[] =>
  toJobs(
    db,
    (customerId === undefined
      ? db.prepare(`${select} WHERE job.closed_at IS NOT NULL ORDER BY job.closed_at DESC LIMIT ?`).all(limit)
      : db
          .prepare(`${select} WHERE job.customer_id = ? AND job.closed_at IS NOT NULL ORDER BY job.closed_at DESC LIMIT ?`)
          .all(customerId, limit)) as JobRow[],
  );

/** Jobs that were handed back in a time, the first first. @param from and to ISO days, both included. */
export const listJobsClosedBetween = (db: Db, from: string, to: string): Job[] =>
  toJobs(
    db,
    db.prepare(`${select} WHERE job.closed_at >= ? AND job.closed_at < ? ORDER BY job.closed_at, job.id`).all(from, `${to}T99`) as JobRow[],
  );

export const findJob = (db: Db, id: number): Job | null =>
  toJobs(db, db.prepare(`${select} WHERE job.id = ?`).all(id) as JobRow[])[0] ?? null;

/** The job of a tag as typed or scanned; the reason when there is none. */
export function findJobByTag(db: Db, text: string): { job: Job } | { message: string } {
  const parsed = parseTag(text);
  if (!parsed.ok) return { message: parsed.message };
  const [job] = toJobs(db, db.prepare(`${select} WHERE job.tag = ?`).all(parsed.value.tag) as JobRow[]);
  return job ? { job } : { message: `No reel in the shop has the tag ${parsed.value.tag}. Look for the owner or the serial instead.` };
}

/** @throws Refusal when it is not there, or closed and the act needs it open. */
export function getOpenJob(db: Db, id: number): Job {
  const job = findJob(db, id);
  if (!job) throw new Refusal("no-job", "This job no longer exists. Go back to the rack.", null, { to: "rack" });
  if (job.closedAt)
    throw new Refusal(
      "closed",
      `${job.tag} was returned on ${job.closedAt.slice(0, 10)}; its record can no longer be changed. Check the reel in again.`,
      null,
      { to: "counter" },
    );
  return job;
}

/** A light service or a round that met a fault, or a check whose owner wants it mended, becomes a repair; what was written down stays. */
export function makeRepair(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const small = job.depth === "light" || job.depth === "round";
  if (job.kind === "repair" && !small) return;
  ctx.db.prepare("UPDATE job SET kind = 'repair', row_version = row_version + 1 WHERE id = ?").run(jobId);
  if (small) writeWay(ctx.db, "job", jobId, "depth", "complaint");
  writeJournal(ctx, "made-a-repair", { jobId, reelId: job.reel.id }, { was: job.kind, depth: job.depth });
}

/** Says who pays for our work that came back. @throws Refusal for a job that is no comeback. */
export function setWhoPays(ctx: Context, jobId: number, pays: WhoPays): void {
  const job = getOpenJob(ctx.db, jobId);
  if (job.kind !== "comeback") throw new Refusal("no-comeback", "Only a comeback needs to know who pays.");
  ctx.db.prepare("UPDATE job SET intake = json_set(intake, '$.pays', ?), row_version = row_version + 1 WHERE id = ?").run(pays, jobId);
  writeJournal(ctx, "who-pays", { jobId, reelId: job.reel.id }, { pays: whoPays[pays] });
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

/** A station lost again: what was reached does not hold any more. */
export function goBackTo(ctx: Context, job: Job, to: Station): void {
  ctx.db.prepare("UPDATE job SET station = ?, row_version = row_version + 1 WHERE id = ?").run(to, job.id);
  writeJournal(ctx, "station-reached", { jobId: job.id }, { station: to, back: true });
}
