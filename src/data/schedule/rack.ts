import { stationsOf } from "@/core/intake/job-kinds";
import { waitsForAnswer } from "@/core/quote/consent";
import type { Quote } from "@/core/quote/quote";
import { type RackJob, type WhoseMove, whoseMove } from "@/core/schedule/whose-move";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { revisionOf } from "@/data/database/journal";
import { keptAnswer } from "@/data/database/kept-answers";
import { type Job, listOpenJobs } from "@/data/jobs/jobs";
import { usualStationMinutes } from "@/data/jobs/station-time";
import { countOnOrder } from "@/data/parts/needs";
import { quotesOf } from "@/data/quote/quotes";

export interface HangingJob extends RackJob {
  readonly job: Job;
  readonly station: Station;
  /** What the job brings, as quoted, tax with it. */
  readonly worthMinor: number;
  /** When something was last done about it (ISO 8601): since then it is whose move it is. */
  readonly since: string;
}

/** Waiting on each of some jobs is. @param quotes theirs. */
function movesOf(db: Db, jobs: readonly Job[], quotes: ReadonlyMap<number, Quote>): ReadonlyMap<number, WhoseMove> {
  const onOrder = countOnOrder(
    db,
    jobs.map(({ id }) => id),
  );
  return new Map(
    jobs.map((job) => {
      return [
        job.id,
        whoseMove({
          ready: job.station === "return" || job.declinedReason !== null,
          waitsForAnswer: waitsForAnswer(quotes.get(job.id)!) && job.station !== "return",
          openNeeds: onOrder.get(job.id) ?? 0,
        }),
      ];
    }),
  );
}

export const moveOf = (db: Db, job: Job): WhoseMove => movesOf(db, [job], quotesOf(db, [job])).get(job.id)!;

/** Share of a job's minutes still ahead, by the station reached (rule of thumb, for models whose stations were not timed here yet). */
const share: Record<Station, number> = {
  test: 1,
  find: 0.9,
  quote: 0.8,
  strip: 0.7,
  clean: 0.6,
  parts: 0.5,
  build: 0.4,
  prove: 0.15,
  return: 0.05,
};

/** Every open job as it hangs on the rack, the same until something is written. What is left of it is what its stations usually take at this bench, where that is known. */
export const listRack = (db: Db): readonly HangingJob[] => keptAnswer(db, "rack", String(revisionOf(db)), () => readRack(db));

function readRack(db: Db): HangingJob[] {
  const usual = new Map<string, ReturnType<typeof usualStationMinutes>>();
  const jobs = listOpenJobs(db);
  const quotes = quotesOf(db, jobs);
  const moves = movesOf(db, jobs, quotes);
  const since = new Map(
    db
      .prepare("SELECT job_id, max(at) FROM journal WHERE job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id")
      .raw()
      .all(JSON.stringify(jobs.map(({ id }) => id))) as [number, string][],
  );
  return jobs.map((job) => {
    const { modelId } = job.reel;
    if (!usual.has(modelId)) usual.set(modelId, usualStationMinutes(db, modelId));
    const ahead = stations.indexOf(job.station as Station);
    const timed = usual.get(modelId)!.filter(({ station }) => stations.indexOf(station) >= ahead && stationsOf(job).includes(station));
    const station = job.station as Station;
    return {
      job,
      station,
      tag: job.tag,
      promisedOn: job.promisedOn,
      move: moves.get(job.id)!,
      worthMinor: quotes.get(job.id)!.sum.totalMinor,
      since: since.get(job.id) ?? job.openedAt,
      minutesLeft: Math.max(
        5,
        Math.round(
          // Strip and build are the work; without them timed the quote's minutes say more.
          timed.some((one) => one.station === "build")
            ? timed.reduce((sum, { minutes }) => sum + minutes, 0)
            : quotes.get(job.id)!.sum.minutes * share[station],
        ),
      ),
    };
  });
}
