import { notFound, redirect } from "next/navigation";
import { moveWords } from "@/core/schedule/whose-move";
import type { Db } from "@/data/database";
import { editionOfReel } from "@/data/editions";
import { findJobByTag, type Job } from "@/data/jobs";
import { machineOf } from "@/data/machine";
import { getModelVersion, type ModelVersion } from "@/data/models";
import { moveOf } from "@/data/rack";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { dayWords } from "@/ui/dates";
import { getDb } from "../../server";
import { chooseReelEdition } from "./actions";

export interface Bench {
  readonly job: Job;
  readonly version: ModelVersion;
  readonly head: BenchHead;
}

export type StationProps = { params: Promise<{ tag: string }> };

function shownEdition(db: Db, job: Job): BenchHead["edition"] {
  if (job.editionId === null) return null;
  const { anatomy, model } = getModelVersion(db, job.modelVersionId);
  const known = editionOfReel(db, job.reel, model, anatomy);
  if (!known) return null;
  return {
    id: job.editionId,
    // A rule that was written anew since the job was opened does not speak for what is pinned.
    source: known.edition.id === job.editionId ? known.source : "assumed",
    year: known.year,
    options: anatomy.editions.map(({ id, name, mark }) => ({ id, name, mark: mark ?? "" })),
    choose: chooseReelEdition,
  };
}

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
      kind: job.kind,
      reached: job.station,
      moveWords: job.closedAt ? "handed back" : moveWords[moveOf(db, job)],
      promised: dayWords(job.promisedOn),
      closed: job.closedAt !== null,
      edition: shownEdition(db, job),
    },
  };
}
