import { readPage } from "@/app/server/reading";
import type { Db } from "@/data/database/database";
import { findJobByTag, type Job } from "@/data/jobs/jobs";
import type { GaugeJob } from "@/ui/gauges/gauge-frame";

export type GaugeProps = { searchParams: Promise<{ job?: string | string[] }> };

/** The job a gauge was opened for; null for one opened by itself, or for a tag nobody knows. */
export async function gaugeJob({ searchParams }: GaugeProps): Promise<{ db: Db; opened: { job: Job; shown: GaugeJob } | null }> {
  const db = await readPage("gauges");
  const { job: tag } = await searchParams;
  const found = typeof tag === "string" ? findJobByTag(db, tag) : null;
  if (!found || !("job" in found)) return { db, opened: null };
  const { job } = found;
  return { db, opened: { job, shown: { jobId: job.id, tag: job.tag, reel: job.reel.modelName, closed: job.closedAt !== null } } };
}
