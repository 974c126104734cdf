import type { Report } from "@/core/report/report";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import type { Job } from "@/data/jobs/jobs";
import { getReport, type ReportDates } from "./report";

/** Keeps the report of a job as it went home with the reel, in the words of that day. */
export function keepReport(ctx: Context, job: Job, dates: ReportDates): void {
  ctx.db
    .prepare("INSERT INTO kept_report (job_id, report) VALUES (?, ?) ON CONFLICT DO UPDATE SET report = excluded.report")
    .run(job.id, JSON.stringify(getReport(ctx.db, job, dates)));
}

/** A reel that is here again after all has no report that went home. */
export const forgetReport = (ctx: Context, jobId: number): void => {
  ctx.db.prepare("DELETE FROM kept_report WHERE job_id = ?").run(jobId);
};

/**
 * The report of a job: as it went home, where it did; else as it stands. What a customer is called and said is read as it is now, for it may have
 * been erased, and what was added after the return is added.
 */
export function reportOf(db: Db, job: Job, dates: ReportDates): Report {
  const now = getReport(db, job, dates);
  const kept = job.closedAt === null ? undefined : db.prepare("SELECT report FROM kept_report WHERE job_id = ?").pluck().get(job.id);
  if (typeof kept !== "string") return now;
  const { owner, complaint, corrections } = now;
  return { ...(JSON.parse(kept) as Report), owner, complaint, corrections };
}
