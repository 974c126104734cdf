import { dayNumber, minutesPerDay } from "@/core/day/day";
import { minutesOn } from "@/core/promise/calendar";
import type { Duration } from "@/core/promise/draws";
import { type JobInOrder, type OrderOfWork, orderOfWork } from "@/core/promise/order-of-work";
import type { RackUnit } from "@/core/schedule/lots-on-rack";
import type { Db } from "@/data/database/database";
import { revisionOf } from "@/data/database/journal";
import { keptAnswer } from "@/data/database/kept-answers";
import type { HangingJob } from "@/data/schedule/rack";
import { liveBench, lookDays, promiseSeed } from "./bench";

type Unit = RackUnit<HangingJob>;

export interface UnitsInOrder extends Omit<OrderOfWork, "order"> {
  /** Tags of the units whose move is ours, the first one first. */
  readonly tags: readonly string[];
}

/** What a day late weighs: a half for the promise, a half by what the job brings against the middle of them, twice where its owner needs it by a day. */
const weightOf = ({ jobs }: Unit, mean: number): number =>
  jobs.reduce((sum, { worthMinor }) => sum + 0.5 + worthMinor / mean / 2, 0) * (jobs.some(({ job }) => job.wantedOn !== null) ? 2 : 1);

/** The order in which what waits on us is taken down, so that the least weighted lateness is expected. */
export const orderOfUnits = (db: Db, units: readonly Unit[], today: string, now: string): UnitsInOrder =>
  keptAnswer(db, `order of work at ${now.slice(0, 13)}`, String(revisionOf(db)), () => {
    const ours = units.filter(({ move }) => move === "ours");
    const { bench } = liveBench(db, today, now);
    const worksOf = new Map<number, Duration[]>(
      bench.jobs.map(({ key, steps }) => [key, steps.flatMap((step) => (step.kind === "work" ? [step.minutes] : []))]),
    );
    const worth = ours.flatMap(({ jobs }) => jobs.map(({ worthMinor }) => worthMinor));
    const mean = Math.max(1, worth.reduce((sum, one) => sum + one, 0) / Math.max(1, worth.length));
    const first = dayNumber(today);
    const jobs = ours.map(
      (unit): JobInOrder => ({
        key: unit.jobs[0]!.job.id,
        work: unit.jobs.flatMap(({ job }) => worksOf.get(job.id) ?? []),
        due: dayNumber(unit.promisedOn) - first,
        weight: weightOf(unit, mean),
      }),
    );
    // Work that ends after so many minutes from now ends on the day up to which as many are worked; the first of the people stands for all.
    const person = bench.people[0]!;
    const begins = bench.jobs[0]?.from ?? 0;
    const until = new Float64Array(lookDays);
    let sum = 0;
    for (let day = 0; day < lookDays; day++) {
      const all = minutesOn(person, day);
      sum += day === 0 ? Math.max(0, Math.min(all, person.from + all - (begins % minutesPerDay))) : all;
      until[day] = sum;
    }
    const dayOf = (work: number) => {
      let [from, to] = [0, lookDays];
      while (from < to) {
        const middle = (from + to) >> 1;
        if (until[middle]! < work) from = middle + 1;
        else to = middle;
      }
      return from;
    };
    const { order, ...how } = orderOfWork(jobs, { hands: bench.people.length, dayOf, seed: promiseSeed });
    return { ...how, tags: order.map((j) => ours[j]!.tag) };
  });
