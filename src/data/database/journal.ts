import { z } from "zod";
import type { JournalAction } from "@/core/journal/journal-sentence";
import type { Context } from "./context";
import type { Db } from "./database";

export interface JournalEntry {
  readonly id: number;
  readonly at: string;
  readonly person: string;
  /** The device it was done from, where that was another than this computer. */
  readonly device: string | null;
  readonly action: string;
  readonly jobId: number | null;
  readonly tag: string | null;
  readonly reelId: number | null;
  readonly customerId: number | null;
  readonly detail: Readonly<Record<string, unknown>>;
}

export interface JournalSubject {
  readonly jobId?: number;
  readonly reelId?: number;
  readonly customerId?: number;
}

/** Appends one entry. Corrections are new entries; customers appear by id only, and none of their words. */
export function writeJournal(ctx: Context, action: JournalAction, subject: JournalSubject, detail: Record<string, unknown> = {}): void {
  ctx.db
    .prepare(
      "INSERT INTO journal (at, person_id, action, job_id, reel_id, customer_id, detail, session_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
    )
    .run(
      ctx.now,
      ctx.person.id,
      action,
      subject.jobId ?? null,
      subject.reelId ?? null,
      subject.customerId ?? null,
      JSON.stringify(detail),
      ctx.session?.id ?? null,
    );
}

/** How far the data has come: every change writes the journal, so a page that shows this number shows everything up to it. */
export const revisionOf = (db: Db): number => (db.prepare("SELECT max(id) FROM journal").pluck().get() as number | null) ?? 0;

const detailSchema = z.record(z.string(), z.unknown());

const select = `
  SELECT journal.id, journal.at, person.name AS person, CASE session.over WHEN 'network' THEN session.device || ', ' || session.address END AS device, journal.action, journal.job_id AS jobId, job.tag, journal.detail,
         coalesce(journal.reel_id, job.reel_id) AS reelId, coalesce(journal.customer_id, job.customer_id) AS customerId
  FROM journal JOIN person ON person.id = journal.person_id LEFT JOIN job ON job.id = journal.job_id LEFT JOIN session ON session.id = journal.session_id`;
const toEntries = (rows: unknown[]): JournalEntry[] =>
  (rows as (Omit<JournalEntry, "detail"> & { detail: string })[]).map((row) => ({
    ...row,
    detail: detailSchema.parse(JSON.parse(row.detail)),
  }));

/** The newest entries first, of one job or of everything. @param before only those older than this one. */
export const listJournal = (db: Db, { jobId, limit, before }: { jobId?: number; limit: number; before?: number }): JournalEntry[] =>
  toEntries(
    jobId === undefined
      ? db.prepare(`${select} WHERE journal.id < ? ORDER BY journal.id DESC LIMIT ?`).all(before ?? Number.MAX_SAFE_INTEGER, limit)
      : db.prepare(`${select} WHERE journal.job_id = ? ORDER BY journal.id DESC LIMIT ?`).all(jobId, limit),
  );

/** Entries of a customer and of the jobs that are theirs, newest first; all of them without a limit. */
export const listJournalOfCustomer = (db: Db, customerId: number, limit = -1): JournalEntry[] =>
  toEntries(
    db
      .prepare(
        `${select} WHERE journal.customer_id = @id OR journal.job_id IN (SELECT id FROM job WHERE customer_id = @id) ORDER BY journal.id DESC LIMIT @limit`,
      )
      .all({ id: customerId, limit }),
  );
