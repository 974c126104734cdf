import { z } from "zod";
import type { Context } from "./context";
import type { Db } from "./database";

export interface JournalEntry {
  readonly id: number;
  readonly at: string;
  readonly person: string;
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
export function writeJournal(ctx: Context, action: string, subject: JournalSubject, detail: Record<string, unknown> = {}): void {
  ctx.db
    .prepare("INSERT INTO journal (at, person_id, action, job_id, reel_id, customer_id, detail) VALUES (?, ?, ?, ?, ?, ?, ?)")
    .run(ctx.now, ctx.person.id, action, subject.jobId ?? null, subject.reelId ?? null, subject.customerId ?? null, JSON.stringify(detail));
}

/** How far the data has come: every change writes the journal, so a page that shows this number shows everything up to it. */
export const revisionOf = (db: Db): number => (db.prepare("SELECT max(id) FROM journal").pluck().get() as number | null) ?? 0;

const detailSchema = z.record(z.string(), z.unknown());

/** The newest entries first, of one job or of everything. */
export function listJournal(db: Db, filter: { jobId?: number; limit: number }): JournalEntry[] {
  const rows = db
    .prepare(
      `SELECT journal.id, journal.at, person.name AS person, journal.action, journal.job_id AS jobId, job.tag, journal.detail,
              coalesce(journal.reel_id, job.reel_id) AS reelId, coalesce(journal.customer_id, job.customer_id) AS customerId
       FROM journal JOIN person ON person.id = journal.person_id LEFT JOIN job ON job.id = journal.job_id
       WHERE @job IS NULL OR journal.job_id = @job ORDER BY journal.id DESC LIMIT @limit`,
    )
    .all({ job: filter.jobId ?? null, limit: filter.limit }) as (Omit<JournalEntry, "detail"> & { detail: string })[];
  return rows.map((row) => ({ ...row, detail: detailSchema.parse(JSON.parse(row.detail)) }));
}
