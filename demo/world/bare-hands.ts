import { minutesPerDay } from "@/core/day/day";
import type { PastJob } from "@/core/promise/past";
import type { Calendar } from "./calendar";
import type { Seeded } from "./seeded";
import type { Hands, WorldVisit } from "./simulate";

/** A job as bare hands write it down: what the journal would tell. */
interface Written {
  readonly visit: WorldVisit;
  came: number;
  looked: number | null;
  answered: number | null;
  opened: number | null;
  parcel: { from: number; to: number } | null;
  built: number | null;
  ready: number | null;
  ordered: boolean;
}

const kindOf = ({ kind, depth }: WorldVisit): string => (depth ? `${kind}/${depth}` : kind);

/**
 * Hands that keep no books, only the times of each job: worlds of years pass in a second, so that forecasts can be judged on many of them. What
 * is renewed has to be ordered in four of ten cases.
 */
export function bareHands(random: Seeded, calendar: Calendar): Hands & { readonly past: () => PastJob[] } {
  const jobs: Written[] = [];
  const wanted: number[] = [];
  const at = (day: number, minute: number) => day * minutesPerDay + minute;
  return {
    take: (day, minute, visits) =>
      visits.map((visit) => {
        jobs.push({
          visit,
          came: at(day, minute),
          looked: null,
          answered: null,
          opened: null,
          parcel: null,
          built: null,
          ready: null,
          ordered: false,
        });
        return jobs.length - 1;
      }),
    look: (day, minute, job, visit) => {
      jobs[job]!.looked = at(day, minute);
      if (visit.answerAfterDays === null && visit.kind === "repair") jobs[job]!.answered = at(day, minute + visit.minutes.look);
    },
    answered: (day, minute, job) => {
      jobs[job]!.answered = at(day, minute);
    },
    open: (day, minute, job, visit) => {
      jobs[job]!.opened = at(day, minute);
      const renews = visit.reel.components.some(({ spec }) => visit.found.includes(spec.id) && spec.renews.length > 0);
      if (!(renews && random.chance(0.4))) return false;
      jobs[job]!.ordered = true;
      jobs[job]!.parcel = { from: at(day, minute + visit.minutes.open), to: Number.POSITIVE_INFINITY };
      wanted.push(job);
      return true;
    },
    order: (day) => {
      if (!wanted.length) return [];
      const of = wanted.splice(0);
      const worse = calendar.days[day]! >= calendar.upsets.supplier.from && random.chance(0.4);
      const promised = random.pick([3, 4, 6]);
      const took = Math.max(1, Math.round(random.lognormal(promised * (worse ? calendar.upsets.supplier.leadTimes : 0.95), 0.3)));
      const mistake = random.chance(worse ? calendar.upsets.supplier.mistakes : 0.03);
      return [
        {
          comesOn: day + took + (mistake ? 7 : 0),
          receive: (on, minute) => {
            for (const job of of) jobs[job]!.parcel = { from: jobs[job]!.parcel!.from, to: at(on, minute) };
          },
        },
      ];
    },
    ready: (job) => !jobs[job]!.ordered || Number.isFinite(jobs[job]!.parcel!.to),
    build: (day, minute, job, visit) => {
      jobs[job]!.built = at(day, minute);
      jobs[job]!.ready = at(day, minute + visit.minutes.build);
    },
    fetch: () => undefined,
    past: () =>
      jobs.map(
        ({ visit, ...job }, id): PastJob => ({
          id: id + 1,
          modelId: visit.reel.model.id,
          family: visit.reel.model.family,
          kind: kindOf(visit),
          place: visit.lot ? visit.lot.place + 1 : 0,
          came: job.came,
          promised: visit.promisedOn,
          looked: job.looked,
          answered: job.answered,
          opened: job.opened,
          parcel: job.parcel,
          built: job.built,
          ready: job.ready,
          minutes: {
            look: job.looked === null ? 0 : visit.minutes.look,
            open: job.opened === null ? 0 : visit.minutes.open,
            build: job.built === null ? 0 : visit.minutes.build,
          },
        }),
      ),
  };
}
