import { notFound, redirect } from "next/navigation";
import { moveWords } from "@/core/schedule/whose-move";
import { findJobByTag, type Job } from "@/data/jobs";
import { machineOf } from "@/data/machine";
import type { ModelVersion } from "@/data/models";
import { moveOf } from "@/data/rack";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { dayWords } from "@/ui/dates";
import { getDb } from "../../server";

export interface Bench {
  readonly job: Job;
  readonly version: ModelVersion;
  readonly head: BenchHead;
}

export type StationProps = { params: Promise<{ tag: string }> };

/** The job of a tag in the address; a tag written another way is sent to its own address. */
export async function loadBench({ params }: StationProps): Promise<Bench> {
  const tag = decodeURIComponent((await params).tag);
  const db = getDb();
  const found = findJobByTag(db, tag);
  if (!("job" in found)) notFound();
  const { job } = found;
  if (job.tag !== tag) redirect(`/bench/${job.tag}`);
  return {
    job,
    version: machineOf(db, job),
    head: {
      jobId: job.id,
      tag: job.tag,
      reel: job.reel.serial ? `${job.reel.modelName} · ${job.reel.serial}` : job.reel.modelName,
      reached: job.station,
      moveWords: job.closedAt ? "handed back" : moveWords[moveOf(db, job)],
      promised: dayWords(job.promisedOn),
      closed: job.closedAt !== null,
    },
  };
}
