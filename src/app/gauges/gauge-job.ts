import { findJobByTag, type Job } from "@/data/jobs/jobs";
import type { GaugeJob } from "@/ui/gauges/gauge-frame";
import { getDb } from "../server";

export type GaugeProps = { searchParams: Promise<{ job?: string | string[] }> };

/** The job a gauge was opened for; null for one opened by itself, or for a tag nobody knows. */
export async function gaugeJob({ searchParams }: GaugeProps): Promise<{ job: Job; shown: GaugeJob } | null> {
  const { job: tag } = await searchParams;
  if (typeof tag !== "string") return null;
  const found = findJobByTag(getDb(), tag);
  if (!("job" in found)) return null;
  const { job } = found;
  return { job, shown: { jobId: job.id, tag: job.tag, reel: job.reel.modelName, closed: job.closedAt !== null } };
}
