import type { Station } from "@/core/intake/job-kinds";
import { type RackJob, type WhoseMove, whoseMove } from "@/core/schedule/whose-move";
import type { Db } from "./database";
import { listFindings } from "./findings";
import { type Job, listOpenJobs } from "./jobs";
import { listNeeds } from "./orders";
import { getQuote } from "./quotes";

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

/** Share of a job's minutes still ahead, by the station reached (rule of thumb until stations keep their own time). */
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

/** Every open job as it hangs on the rack. */
export function listRack(db: Db): HangingJob[] {
  return listOpenJobs(db).map((job) => {
    const station = job.station as Station;
    return {
      job,
      station,
      tag: job.tag,
      promisedOn: job.promisedOn,
      move: moveOf(db, job),
      minutesLeft: Math.max(5, Math.round(getQuote(db, job).estimate.minutes * share[station])),
    };
  });
}
