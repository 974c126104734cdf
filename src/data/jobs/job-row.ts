import type { OldParts, PaidWay } from "@/core/hand-back/hand-back";
import type { BroughtId } from "@/core/vocabulary/counter-lists";
import type { DepthId, JobKind } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { writeWay } from "./way-rows";

/**
 * The rows of a job, of what came with it and of its lot, as other rooms change them: they decide whether and say so in the journal, here it is
 * written. Every change raises the row's version, by which an older page is told.
 */

export interface JobRow {
  readonly id: number;
  readonly tag: string;
  readonly reelId: number;
  readonly customerId: number;
  readonly modelVersionId: number;
  readonly editionId: string | null;
  readonly complaint: string;
  /** As JSON. */
  readonly intake: string;
  readonly limitMinor: number | null;
  readonly wantedOn: string | null;
  readonly promisedOn: string;
  readonly ratePerHourMinor: number;
  readonly taxBasisPoints: number;
  readonly currency: string;
  readonly openedAt: string;
  readonly lotId: number | null;
  readonly mark: string;
  readonly kind: JobKind;
  readonly comebackOf: number | null;
  readonly discountBasisPoints: number;
  readonly depositMinor: number;
  /** As JSON. */
  readonly prices: string;
  readonly valueMinor: number | null;
  readonly brought: readonly BroughtId[];
  /** How deep, where it was said. */
  readonly depth: DepthId | null;
}

export function insertJob(db: Db, { brought, depth, ...row }: JobRow): void {
  db.prepare(
    `INSERT INTO job (id, tag, reel_id, customer_id, model_version_id, station, complaint, intake, limit_minor, wanted_on, promised_on,
                      rate_per_hour_minor, tax_basis_points, currency, opened_at, edition_id, lot_id, mark, kind, comeback_of, discount_basis_points,
                      deposit_minor, prices, value_minor)
     VALUES (@id, @tag, @reelId, @customerId, @modelVersionId, 'test', @complaint, @intake, @limitMinor, @wantedOn, @promisedOn,
             @ratePerHourMinor, @taxBasisPoints, @currency, @openedAt, @editionId, @lotId, @mark, @kind, @comebackOf, @discountBasisPoints,
             @depositMinor, @prices, @valueMinor)`,
  ).run(row);
  if (depth) writeWay(db, "job", row.id, "depth", depth);
  const addBrought = db.prepare("INSERT INTO job_brought (job_id, item) VALUES (?, ?)");
  for (const item of brought) addBrought.run(row.id, item);
}

/** @param day ISO day. */
export const promiseJobFor = (db: Db, jobId: number, day: string): void => {
  db.prepare("UPDATE job SET promised_on = ?, row_version = row_version + 1 WHERE id = ?").run(day, jobId);
};

export const giveJobEdition = (db: Db, jobId: number, editionId: string | null): void => {
  db.prepare("UPDATE job SET edition_id = ?, row_version = row_version + 1 WHERE id = ?").run(editionId, jobId);
};

export const giveJobModelVersion = (db: Db, jobId: number, modelVersionId: number): void => {
  db.prepare("UPDATE job SET model_version_id = ?, row_version = row_version + 1 WHERE id = ?").run(modelVersionId, jobId);
};

/** @param reason null where it is taken on after all. */
export const writeDeclined = (db: Db, jobId: number, reason: string | null): void => {
  db.prepare("UPDATE job SET declined_reason = ?, row_version = row_version + 1 WHERE id = ?").run(reason, jobId);
};

export const writeReportWords = (db: Db, jobId: number, words: { readonly answer: string; readonly ourMistake: string }): void => {
  db.prepare("UPDATE job SET answer = @answer, our_mistake = @ourMistake, row_version = row_version + 1 WHERE id = @jobId").run({
    jobId,
    ...words,
  });
};

/** @returns whether that came with the reel. */
export const writeGivenBack = (db: Db, jobId: number, item: string, at: string | null): boolean =>
  db.prepare("UPDATE job_brought SET given_back_at = ? WHERE job_id = ? AND item = ?").run(at, jobId, item).changes > 0;

export function writeClosed(
  db: Db,
  jobId: number,
  closed: {
    readonly at: string;
    readonly totalMinor: number;
    readonly signedBy: string;
    readonly paidBy: PaidWay | null;
    readonly paidNote: string;
    readonly oldParts: OldParts | null;
  },
): void {
  db.prepare(
    `UPDATE job SET station = 'closed', closed_at = @at, final_total_minor = @totalMinor, signed_by = @signedBy, paid_by = @paidBy,
            paid_note = @paidNote, old_parts = @oldParts, row_version = row_version + 1 WHERE id = @jobId`,
  ).run({ jobId, ...closed });
}

/** A return is taken back: the job hangs ready again. */
export const writeReopened = (db: Db, jobId: number): void => {
  db.prepare(
    `UPDATE job SET station = 'return', closed_at = NULL, final_total_minor = NULL, signed_by = NULL, paid_by = NULL, paid_note = '',
            old_parts = NULL, row_version = row_version + 1 WHERE id = ?`,
  ).run(jobId);
};

/** What was taken in wrongly, as it should have been. */
export interface CorrectedIntake {
  readonly reelId: number;
  readonly customerId: number;
  readonly kind: JobKind;
  readonly comebackOf: number | null;
  readonly complaint: string;
  /** As JSON. */
  readonly intake: string;
  readonly limitMinor: number | null;
  readonly depositMinor: number;
  readonly promisedOn: string;
  readonly depth: DepthId | null;
  readonly brought: readonly BroughtId[];
}

export function writeIntake(db: Db, jobId: number, { brought, depth, ...row }: CorrectedIntake): void {
  db.prepare(
    `UPDATE job SET reel_id = @reelId, customer_id = @customerId, kind = @kind, comeback_of = @comebackOf, complaint = @complaint, intake = @intake,
            limit_minor = @limitMinor, deposit_minor = @depositMinor, promised_on = @promisedOn, row_version = row_version + 1 WHERE id = @jobId`,
  ).run({ jobId, ...row });
  writeWay(db, "job", jobId, "depth", depth);
  const wanted = JSON.stringify(brought);
  db.prepare("DELETE FROM job_brought WHERE job_id = ? AND item NOT IN (SELECT value FROM json_each(?))").run(jobId, wanted);
  db.prepare("INSERT OR IGNORE INTO job_brought (job_id, item) SELECT ?, value FROM json_each(?)").run(jobId, wanted);
}

/** @returns the lot's id. */
export const insertLot = (
  db: Db,
  lot: { readonly name: string; readonly customerId: number; readonly modelId: string; readonly at: string },
): number =>
  Number(
    db.prepare("INSERT INTO lot (name, customer_id, model_id, at) VALUES (@name, @customerId, @modelId, @at)").run(lot).lastInsertRowid,
  );

/** Jobs and lots of one customer stand under another from now on. */
export function giveJobsTo(db: Db, fromCustomerId: number, toCustomerId: number): void {
  db.prepare("UPDATE job SET customer_id = ?, row_version = row_version + 1 WHERE customer_id = ?").run(toCustomerId, fromCustomerId);
  db.prepare("UPDATE lot SET customer_id = ? WHERE customer_id = ?").run(toCustomerId, fromCustomerId);
}

/** Takes out what was written down in a customer's own words, and the name of who fetched and paid. */
export function forgetWordsOnJobs(db: Db, customerId: number): void {
  db.prepare("UPDATE lot SET name = 'Lot ' || id WHERE customer_id = ?").run(customerId);
  db.prepare("UPDATE job SET complaint = '', answer = '', signed_by = NULL, paid_note = '' WHERE customer_id = ?").run(customerId);
}
