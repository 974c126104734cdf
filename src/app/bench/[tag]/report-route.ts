import type { Report } from "@/core/report/report";
import { getReport } from "@/data/hand-back/report";
import { findJobByTag, type Job } from "@/data/jobs/jobs";
import { getDb } from "../../server";
import { reportDates } from "../report-dates";

export type TagParams = { params: Promise<{ tag: string }> };

/** The report of a tag in the address, or the answer that there is none. */
export async function reportOf({ params }: TagParams): Promise<{ job: Job; report: Report } | Response> {
  const db = getDb();
  const found = findJobByTag(db, (await params).tag);
  if (!("job" in found)) return new Response(found.message, { status: 404 });
  return { job: found.job, report: getReport(db, found.job, reportDates(found.job)) };
}
