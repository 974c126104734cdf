import { type Station, stations, stationsOf } from "@/core/intake/job-kinds";
import { type RackJob, type WhoseMove, whoseMove } from "@/core/schedule/whose-move";
import { getModelVersion } from "@/data/catalogue/models";
import { listFindings } from "@/data/diagnosis/faults";
import { type Job, listOpenJobs } from "@/data/jobs/jobs";
import { usualStationMinutes } from "@/data/jobs/station-time";
import { getQuote } from "@/data/quote/quotes";
import type { Db } from "@/data/store/database";
import { listNeeds } from "@/data/stores/orders";

export interface HangingJob extends RackJob {
  readonly job: Job;
  readonly station: Station;
}

export function moveOf(db: Db, job: Job): WhoseMove {
  const quote = getQuote(db, job);
  // Before anything was found there is nothing to ask about.
  const asks = (quote.consent === "ask" || quote.consent === "refused") && listFindings(db, job.id).length > 0;
  return whoseMove({
    ready: job.station === "return" || job.declinedReason !== null,
    waitsForAnswer: asks && job.station !== "return",
    openNeeds: listNeeds(db, { states: ["ordered"], jobId: job.id }).length,
  });
}

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

/** Every open job as it hangs on the rack. What is left of it is what its stations usually take at this bench, where that is known. */
export function listRack(db: Db): HangingJob[] {
  const usual = new Map<string, ReturnType<typeof usualStationMinutes>>();
  return listOpenJobs(db).map((job) => {
    const { id: modelId } = getModelVersion(db, job.modelVersionId).model;
    if (!usual.has(modelId)) usual.set(modelId, usualStationMinutes(db, modelId));
    const ahead = stations.indexOf(job.station as Station);
    const timed = usual.get(modelId)!.filter(({ station }) => stations.indexOf(station) >= ahead && stationsOf(job.kind).includes(station));
    const station = job.station as Station;
    return {
      job,
      station,
      tag: job.tag,
      promisedOn: job.promisedOn,
      move: moveOf(db, job),
      minutesLeft: Math.max(
        5,
        Math.round(
          // Strip and build are the work; without them timed the quote's minutes say more.
          timed.some((one) => one.station === "build")
            ? timed.reduce((sum, { minutes }) => sum + minutes, 0)
            : getQuote(db, job).estimate.minutes * share[station],
        ),
      ),
    };
  });
}
