import { groupBy } from "@/core/group-by";
import { formatMinor } from "@/core/money/money";
import { mayOpen } from "@/core/quote/consent";
import type { ExtraLine } from "@/core/quote/lines";
import {
  type Answer,
  billOf,
  optionsOf,
  piecesAsAgreed,
  type Quote,
  type QuotedPart,
  quoteOf,
  sumToPutRight,
  withoutConsent,
} from "@/core/quote/quote";
import type { QuoteSum } from "@/core/quote/quote-sum";
import type { PieceSource } from "@/core/vocabulary/piece-sources";
import type { WayOut } from "@/core/vocabulary/way-out";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { remedier } from "@/data/jobs/machine";
import { type FittedPart, listFittedParts } from "@/data/jobs/pieces";
import { listStationTimes } from "@/data/jobs/station-time";
import { coversOf } from "./comeback";
import { oldBackOf } from "./old-back";

const byJob = <T extends { readonly jobId: number }>(rows: readonly T[]) => groupBy(rows, ({ jobId }) => jobId);

/**
 * The quotes of several jobs as their faults and foreseen parts stand now, with the customers' answers: the same few statements for one job or
 * for a whole rack of them. @param billing what was done is charged: a reel that was not opened is not charged as if it were.
 */
export function quotesOf(db: Db, jobs: readonly Job[], billing = false): ReadonlyMap<number, Quote> {
  const ids = JSON.stringify(jobs.map(({ id }) => id));
  const faults = byJob(
    db
      .prepare(
        "SELECT job_id AS jobId, fault_id AS faultId FROM job_fault WHERE outcome IS NULL AND job_id IN (SELECT value FROM json_each(?)) ORDER BY at, fault_id",
      )
      .all(ids) as { jobId: number; faultId: string }[],
  );
  const parts = byJob(
    (
      db
        .prepare(
          `SELECT quote_part.job_id AS jobId, quote_part.position_id AS positionId, part_type.id AS partTypeId, part_type.number || ' ' || part_type.name AS words,
                -- A piece in its well costs what it costs, a planned one what was agreed, any other what it cost when the job was opened.
                coalesce(donor_piece.price_minor, quote_part.price_minor,
                         (SELECT price_minor FROM job_price WHERE job_price.job_id = quote_part.job_id AND job_price.part_type_id = part_type.id),
                         part_type.price_minor) AS priceMinor,
                CASE WHEN donor_piece.id IS NOT NULL THEN 'donor' ELSE quote_part.source END AS source,
                position.assembly_id AS assemblyId, instance.id IS NOT NULL AS fitted, coalesce(position.name, '') AS seat, quote_part.foreseen_by AS foreseenBy, quote_part.kit_id AS kitId,
                json_extract(kit.kit_json, '$.name') AS kitName
         FROM quote_part JOIN part_type ON part_type.id = quote_part.part_type_id JOIN job ON job.id = quote_part.job_id
         LEFT JOIN kit ON kit.id = quote_part.kit_id
         LEFT JOIN position ON position.model_version_id = job.model_version_id AND position.id = quote_part.position_id
         LEFT JOIN instance ON instance.fitted_job_id = quote_part.job_id AND instance.position_id = quote_part.position_id
           AND instance.removed_job_id IS NULL
         LEFT JOIN donor_piece ON donor_piece.id = instance.donor_piece_id
         WHERE quote_part.job_id IN (SELECT value FROM json_each(?)) ORDER BY part_type.number, quote_part.position_id`,
        )
        .all(ids) as (QuotedPart & { jobId: number; kitId: string | null; kitName: string | null })[]
    ).map(({ kitId, kitName, ...part }) => ({
      ...part,
      kit: kitId === null ? null : { id: kitId, name: kitName ?? "A kit" },
    })),
  );
  const answers = byJob(
    (
      db
        .prepare(
          `SELECT answer.job_id AS jobId, answer.accepted, answer.total_minor AS totalMinor, answer.words, answer.at, person.name AS person
           FROM answer JOIN person ON person.id = answer.person_id WHERE answer.job_id IN (SELECT value FROM json_each(?)) ORDER BY answer.id`,
        )
        .all(ids) as (Omit<Answer, "accepted"> & { jobId: number; accepted: 0 | 1 })[]
    ).map((row) => ({ ...row, accepted: row.accepted === 1 })),
  );
  const lines = byJob(
    db
      .prepare(
        "SELECT id, job_id AS jobId, words, price_minor AS priceMinor FROM job_line WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY id",
      )
      .all(ids) as { id: number; jobId: number; words: string; priceMinor: number }[],
  );
  const openings = openingsOf(db, ids);
  const covers = coversOf(db, jobs);
  const oldBack = oldBackOf(
    db,
    jobs.map(({ id }) => id),
  );
  const faultOf = faultNamer(db);
  return new Map(
    jobs.map((job) => [
      job.id,
      quoteOf({
        job,
        // Work that was not done, because the old piece went back, is not charged.
        faultIds: (faults.get(job.id) ?? []).flatMap(({ faultId }) => (oldBack.get(job.id)?.has(faultId) ? [] : [faultId])),
        parts: parts.get(job.id) ?? [],
        answers: answers.get(job.id) ?? [],
        lines: lines.get(job.id) ?? [],
        opening: openings.get(job.id) ?? null,
        cover: covers.get(job.id) ?? null,
        faultOf,
        remedyOf: remedier(db, job),
        billing,
      }),
    ]),
  );
}

/** How far each job opens its reel, for its price: assemblies in all, said to stay shut, asked for, and opened since the first part came off. */
function openingsOf(db: Db, ids: string) {
  const rows = db
    .prepare(
      `SELECT job.id AS jobId,
              (SELECT count(*) FROM assembly WHERE assembly.model_version_id = job.model_version_id
               AND json_extract(assembly.more, '$.stays') IS NULL) AS assemblies,
              (SELECT count(*) FROM job_assembly WHERE job_assembly.job_id = job.id AND opened = 0) AS shut,
              (SELECT count(*) FROM job_assembly WHERE job_assembly.job_id = job.id AND opened = 1 AND why = 'asked') AS asked,
              CASE WHEN EXISTS (SELECT 1 FROM tray_well WHERE tray_well.job_id = job.id)
                   THEN (SELECT count(*) FROM job_assembly WHERE job_assembly.job_id = job.id AND opened = 1) END AS opened
       FROM job WHERE job.id IN (SELECT value FROM json_each(?))`,
    )
    .all(ids) as { jobId: number; assemblies: number; shut: number; asked: number; opened: number | null }[];
  return new Map(rows.map((row) => [row.jobId, row]));
}

/** The quote of one job. */
export const getQuote = (db: Db, job: Job): Quote => quotesOf(db, [job]).get(job.id)!;

/** What could be done with the reel, each with its sum. @param upgrades part types that would go in. */
export function quoteOptions(db: Db, job: Job, upgrades: readonly string[]): ReturnType<typeof optionsOf> {
  const priceOf = db.prepare("SELECT price_minor FROM part_type WHERE id = ?").pluck();
  const better = upgrades.map((partTypeId) => ({ partTypeId, priceMinor: (priceOf.get(partTypeId) as number | undefined) ?? 0 }));
  return optionsOf(getQuote(db, job), job.rates, better);
}

/** What it would cost to put right what a check found: the faults' work and the parts foreseen, at this job's rates. */
export const costToPutRight = (db: Db, job: Job): QuoteSum =>
  sumToPutRight(getQuote(db, { ...job, kind: "repair", declinedReason: null }), job.rates);

/** The pieces a job fitted, each at what the quote says of its seat. */
export const billedParts = (db: Db, job: Job, quote: Pick<Quote, "parts"> = getQuote(db, job)): FittedPart[] =>
  piecesAsAgreed(quote, listFittedParts(db, job.id));

/** The bill: what was done, with the pieces that were fitted. */
export function getBill(db: Db, job: Job): ReturnType<typeof billOf> {
  const quote = quotesOf(db, [job], true).get(job.id)!;
  const measured = job.rates.prices?.measured ? listStationTimes(db, job.id).reduce((sum, { minutes }) => sum + minutes, 0) : null;
  return billOf(quote, job.rates, billedParts(db, job, quote), measured);
}

/** Adds a line of the shop's own: postage, something unusual, something taken off. */
export function addJobLine(ctx: Context, jobId: number, line: ExtraLine): number {
  const job = getOpenJob(ctx.db, jobId);
  if (line.priceMinor < 0) {
    const { netMinor } = getQuote(ctx.db, job).sum;
    if (-line.priceMinor > netMinor)
      throw new Refusal(
        "too-much",
        netMinor > 0
          ? `The job comes to ${formatMinor(netMinor)} ${job.currency} before tax; no more than that can be deducted.`
          : "The job costs nothing, so there is nothing to deduct from.",
        "priceMinor",
      );
  }
  const { lastInsertRowid } = ctx.db
    .prepare("INSERT INTO job_line (job_id, words, price_minor, at) VALUES (?, ?, ?, ?)")
    .run(job.id, line.words, line.priceMinor, ctx.now);
  writeJournal(ctx, "line-added", { jobId }, { words: line.words, priceMinor: line.priceMinor });
  return Number(lastInsertRowid);
}

export function removeJobLine(ctx: Context, jobId: number, lineId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM job_line WHERE id = ? AND job_id = ?").run(lineId, job.id);
  if (!changes) throw new Refusal("no-line", "This line has already been removed. Reload the page.");
  writeJournal(ctx, "line-removed", { jobId }, {});
}

/**
 * Records what the customer said, in their words and at this time, for the sum as it stands.
 * @throws Refusal when they were asked about another sum, which the page showed and is no more.
 */
export function recordAnswer(
  ctx: Context,
  jobId: number,
  answer: { readonly accepted: boolean; readonly words: string; readonly totalMinor?: number },
): void {
  const job = getOpenJob(ctx.db, jobId);
  const { totalMinor } = getQuote(ctx.db, job).sum;
  if (answer.totalMinor !== undefined && answer.totalMinor !== totalMinor)
    throw new Refusal(
      "changed",
      `The sum is ${formatMinor(totalMinor)} now, not the ${formatMinor(answer.totalMinor)} that was asked about: it changed in another window. Ask for this sum.`,
    );
  ctx.db
    .prepare("INSERT INTO answer (job_id, accepted, total_minor, words, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(jobId, answer.accepted ? 1 : 0, totalMinor, answer.words, ctx.now, ctx.person.id);
  advanceStation(ctx, job, "quote");
  // The words stay with the answer; the journal holds none of a customer's.
  writeJournal(ctx, answer.accepted ? "quote-agreed" : "quote-refused", { jobId, customerId: job.customer.id }, { totalMinor });
}

/** A piece with a price of its own that is about to be fitted: what is asked for is that one. */
export interface PlannedPiece {
  readonly source: PieceSource | "donor";
  readonly priceMinor: number;
}

/** @throws Refusal when nobody has agreed to have the reel opened. */
export function requireOpening(db: Db, job: Job): void {
  if (!mayOpen(getQuote(db, job))) requireConsent(db, job);
}

/** @param positionId the seat a part is wanted for now. @param piece the piece, where it has a price of its own. @throws Refusal when the sum is above the limit, or a call was wished for, and nobody has said yes. */
export function requireConsent(db: Db, job: Job, positionId?: string, piece?: PlannedPiece): void {
  const without = withoutConsent(getQuote(db, job), job.currency);
  if (!without) return;
  const way: WayOut = positionId
    ? { to: "ask-for", tag: job.tag, positionId, ...(piece ? { piece } : {}) }
    : { to: "station", tag: job.tag, station: "quote" };
  throw new Refusal(without.code, without.words, null, way);
}

/**
 * Does something that may raise the sum, and asks consent once it is in: refused, nothing of it stays.
 * @throws Refusal as requireConsent does, or the work's own.
 */
export function withConsent<T>(ctx: Context, jobId: number, positionId: string, work: (job: Job) => T, piece?: PlannedPiece): T {
  return ctx.db.transaction(() => {
    const answer = work(getOpenJob(ctx.db, jobId));
    requireConsent(ctx.db, getOpenJob(ctx.db, jobId), positionId, piece);
    return answer;
  })();
}

/** Takes out a customer's answers in their own words; that they answered stays. */
export const forgetWordsOfAnswers = (db: Db, customerId: number): void => {
  db.prepare("UPDATE answer SET words = 'erased' WHERE job_id IN (SELECT id FROM job WHERE customer_id = ?)").run(customerId);
};
