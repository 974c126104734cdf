import { notFound, redirect } from "next/navigation";
import { shownSeries } from "@/app/server/measures";
import { readPage } from "@/app/server/reading";
import { changeWords } from "@/core/anatomy/change-words";
import { kindsFor } from "@/core/measures/taken";
import { isElectric } from "@/core/safety/cautions";
import { moveWords } from "@/core/schedule/whose-move";
import { changesSince } from "@/data/bench/built-otherwise";
import { lastTypedOfModel, listMeasuresOfReel, stackWashersOf } from "@/data/bench/measures";
import { takenDownCard } from "@/data/bench/taken-down";
import { editionOfReel } from "@/data/catalogue/editions";
import { getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { findLot } from "@/data/counter/lots";
import type { Db } from "@/data/database/database";
import { revisionOf } from "@/data/database/journal";
import { findJobByTag, type Job, listJobsOfLot } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { moveOf } from "@/data/schedule/rack";
import { getShopSettings } from "@/data/shop/settings";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { dateWords, dayWords } from "@/ui/dates";

export interface Bench {
  readonly db: Db;
  readonly job: Job;
  readonly version: ModelVersion;
  readonly head: BenchHead;
}

export type StationProps = {
  params: Promise<{ tag: string }>;
  searchParams: Promise<{ open?: string; add?: string; from?: string; price?: string; more?: string }>;
};

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
  };
}

function shownLot(db: Db, job: Job): BenchHead["lot"] {
  const lot = job.lotId === null ? null : findLot(db, job.lotId);
  if (!lot) return null;
  const reels = listJobsOfLot(db, lot.id).map(({ tag, mark, station }) => ({ tag, mark, station }));
  return { id: lot.id, name: lot.name, reels };
}

function shownCard(db: Db, job: Job): BenchHead["card"] {
  const card = takenDownCard(db, job, new Date().toISOString());
  return card && { ...card, last: `${dateWords(card.lastOn)} by ${card.person}` };
}

function shownMeasures(db: Db, job: Job, version: ModelVersion): BenchHead["measures"] {
  const washers = stackWashersOf(version);
  return {
    kinds: kindsFor(version.model.family, washers.length > 0),
    seats: version.anatomy.positions.map(({ id, name }) => ({ id, name })),
    washers,
    ...lastTypedOfModel(db, version.model.id),
    kept: shownSeries(listMeasuresOfReel(db, job.reel.id), version.anatomy.positions),
  };
}

/** The job of a tag in the address; a tag written another way is sent to its own address. */
export async function loadBench({ params }: Pick<StationProps, "params">): Promise<Bench> {
  const tag = decodeURIComponent((await params).tag);
  const db = await readPage("jobs");
  const found = findJobByTag(db, tag);
  if (!("job" in found)) notFound();
  const { job } = found;
  // Read first: what the page shows is at least as new.
  const revision = revisionOf(db);
  if (job.tag !== tag) redirect(`/bench/${job.tag}`);
  const version = machineOf(db, job);
  return {
    db,
    job,
    version,
    head: {
      jobId: job.id,
      revision,
      tag: job.tag,
      reel: job.reel.serial ? `${job.reel.modelName} · ${job.reel.serial}` : job.reel.modelName,
      path: { kind: job.kind, depth: job.depth, depthSaid: job.depthSaid },
      reached: job.station,
      moveWords: job.closedAt ? "returned" : moveWords[moveOf(db, job)],
      promised: dayWords(job.promisedOn),
      closed: job.closedAt !== null,
      simulated: getShopSettings(db).simulated,
      electric: isElectric(version.partTypes.values()),
      edition: shownEdition(db, job),
      lot: shownLot(db, job),
      measures: shownMeasures(db, job, version),
      card: shownCard(db, job),
      newer: job.closedAt === null ? changesSince(db, job).map(changeWords) : [],
    },
  };
}
