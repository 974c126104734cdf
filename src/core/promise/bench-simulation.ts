import { minutesPerDay } from "@/core/day/day";
import { type WorkDays, withoutSpells, workedUntil, worksFrom } from "./calendar";
import { type Duration, drawAt, durationOf, wrightShare } from "./draws";

/** A piece of a job that hands do, or a time it waits by itself: in a bath, for a parcel, for an answer. */
export type BenchStep =
  | { readonly kind: "work"; readonly minutes: Duration }
  /** In minutes of the calendar, nights and Sundays too. */
  | { readonly kind: "wait"; readonly minutes: Duration };

export interface BenchJob {
  /** Its own number: its luck goes with it. */
  readonly key: number;
  /** When it can begin, in minutes from today's midnight. */
  readonly from: number;
  readonly steps: readonly BenchStep[];
  /** Jobs of a lower rank are taken up first; equal ranks by who came first. */
  readonly rank: number;
  /** Its place in a lot of like reels, from 1, and what is left of the minutes at each doubling; none outside one. */
  readonly lot?: { readonly place: number; readonly rate: number };
}

/** Jobs that come later, as many a day as this on the average. */
export interface JobsToCome {
  readonly perDay: readonly number[];
  readonly steps: readonly BenchStep[];
  /** Days after its coming by which such a job is promised: its rank is that day. */
  readonly promisedAfterDays: number;
}

export interface Bench {
  readonly people: readonly WorkDays[];
  readonly jobs: readonly BenchJob[];
  readonly toCome?: JobsToCome | null;
  /** Illness and the like, which nobody knows beforehand: spells a year for each person, and days of each. */
  readonly absences?: { readonly perYear: number; readonly days: number };
}

interface Running {
  readonly job: BenchJob;
  readonly index: number;
  step: number;
  readyAt: number;
}

/** Keys of jobs that come later begin here, and those of people's absences. */
const laterKeys = 1 << 24;
const absenceKeys = 1 << 25;

/** A person's days in one run: spells of absence begin like a Poisson stream and last about as long as they do. */
function daysOfRun(days: WorkDays, person: number, absences: Bench["absences"], seed: number, run: number): WorkDays {
  if (!absences || absences.perYear <= 0 || absences.days <= 0) return days;
  const spells: { from: number; to: number }[] = [];
  // One that began before today is over or known.
  for (let at = 0, i = 0; i < 60; i++) {
    at += (-Math.log(drawAt(seed, run, absenceKeys + person, 2 * i)) * 365) / absences.perYear;
    if (at >= days.minutes.length) break;
    const lasts = Math.max(1, Math.round(absences.days * (0.5 + drawAt(seed, run, absenceKeys + person, 2 * i + 1))));
    spells.push({ from: Math.floor(at), to: Math.floor(at) + lasts - 1 });
    at += lasts;
  }
  return spells.length ? withoutSpells(days, spells) : days;
}

/** Jobs that come in one run: a Poisson stream by exponential gaps, its rate that of the day. */
function comingJobs({ perDay, steps, promisedAfterDays }: JobsToCome, seed: number, run: number): BenchJob[] {
  const jobs: BenchJob[] = [];
  let at = 0;
  for (let i = 0; i < 20_000; i++) {
    const day = Math.floor(at / minutesPerDay);
    if (day >= perDay.length) break;
    const rate = perDay[day]!;
    // Where none comes on a day the next one is looked at.
    const gap = rate > 0 ? (-Math.log(drawAt(seed, run, laterKeys, i)) * minutesPerDay) / rate : Number.POSITIVE_INFINITY;
    const dayEnds = (day + 1) * minutesPerDay;
    if (at + gap >= dayEnds) {
      at = dayEnds;
      continue;
    }
    at += gap;
    jobs.push({ key: laterKeys + i, from: at, steps, rank: at / minutesPerDay + promisedAfterDays });
  }
  return jobs;
}

/**
 * One run of the bench: whoever is free takes up the job of the lowest rank that can go on; work that is not done in the evening goes on the next
 * day; baths, parcels and answers take their time beside it.
 * @param only the place of the one job that is asked for: the run ends with it. @returns when each of the bench's own jobs is done, in minutes
 * from today's midnight.
 */
export function runBench(bench: Bench, seed: number, run: number, only: number | null = null): Float64Array {
  const done = new Float64Array(bench.jobs.length).fill(Number.POSITIVE_INFINITY);
  const people = bench.people.map((days, person) => daysOfRun(days, person, bench.absences, seed, run));
  const free = people.map((days) => worksFrom(days, 0));
  const all = bench.toCome ? [...bench.jobs, ...comingJobs(bench.toCome, seed, run)] : bench.jobs;
  let ownLeft = only === null ? bench.jobs.length : 1;
  // What can go on now, and what cannot yet: the soonest last.
  const ready: Running[] = [];
  const pending: Running[] = [];
  const luck = ({ job, step }: Running) => [drawAt(seed, run, job.key, 2 * step), drawAt(seed, run, job.key, 2 * step + 1)] as const;
  /** Passes the waits that come next, which run by themselves; what still wants hands is put among the pending. */
  const goOn = (one: Running): void => {
    while (one.step < one.job.steps.length && one.job.steps[one.step]!.kind === "wait") {
      one.readyAt += durationOf(one.job.steps[one.step]!.minutes, ...luck(one));
      one.step++;
    }
    if (one.step === one.job.steps.length) {
      if (one.index >= bench.jobs.length) return;
      done[one.index] = one.readyAt;
      if (only === null || only === one.index) ownLeft--;
      return;
    }
    let [from, to] = [0, pending.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if (pending[middle]!.readyAt > one.readyAt) from = middle + 1;
      else to = middle;
    }
    pending.splice(from, 0, one);
  };
  for (const [index, job] of all.entries()) goOn({ job, index, step: 0, readyAt: job.from });
  while (ownLeft > 0) {
    let person = 0;
    for (let p = 1; p < free.length; p++) if (free[p]! < free[person]!) person = p;
    const now = free[person] ?? Number.POSITIVE_INFINITY;
    if (!Number.isFinite(now)) break;
    while (pending.length && pending.at(-1)!.readyAt <= now) ready.push(pending.pop()!);
    if (!ready.length) {
      if (!pending.length) break;
      free[person] = worksFrom(people[person]!, pending.at(-1)!.readyAt);
      continue;
    }
    let best = 0;
    for (let i = 1; i < ready.length; i++) {
      const [one, two] = [ready[i]!, ready[best]!];
      if (one.job.rank < two.job.rank || (one.job.rank === two.job.rank && one.readyAt < two.readyAt)) best = i;
    }
    const next = ready[best]!;
    ready[best] = ready.at(-1)!;
    ready.pop();
    const { lot, steps } = next.job;
    const drawn = durationOf(steps[next.step]!.minutes, ...luck(next));
    const ends = workedUntil(people[person]!, now, lot ? drawn * wrightShare(lot.place, lot.rate) : drawn);
    free[person] = worksFrom(people[person]!, ends);
    next.readyAt = ends;
    next.step++;
    goOn(next);
  }
  return done;
}

export interface Foretold {
  readonly key: number;
  /** Day numbers it was done on, sorted, one a run; infinite where it never was. */
  readonly days: Float64Array;
}

/**
 * Many runs: when each job may be done.
 * @param goesOn asked before each run with the share that is through; false ends it there, and what was run counts.
 */
export function foretell(bench: Bench, seed: number, runs: number, goesOn: (share: number) => boolean = () => true): Foretold[] {
  const days = bench.jobs.map((): number[] => []);
  for (let run = 0; run < runs && goesOn(run / runs); run++) {
    const done = runBench(bench, seed, run);
    for (const [j, each] of days.entries()) each.push(Math.floor(done[j]! / minutesPerDay));
  }
  return bench.jobs.map(({ key }, j) => ({ key, days: Float64Array.from(days[j]!).sort() }));
}

/** Many runs for one of the jobs alone: the others are followed only as long as it is not done. @param place of the job in the bench's list. */
export function foretellOne(bench: Bench, place: number, seed: number, runs: number): Foretold {
  const days = Float64Array.from({ length: runs }, (_, run) => Math.floor(runBench(bench, seed, run, place)[place]! / minutesPerDay));
  return { key: bench.jobs[place]!.key, days: days.sort() };
}

/** The chance that a job is done on a day or before. */
export function chanceBy({ days }: Foretold, day: number): number {
  let [from, to] = [0, days.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (days[middle]! <= day) from = middle + 1;
    else to = middle;
  }
  return days.length ? from / days.length : 0;
}

/** The first day by which it is done with a chance; infinite where it is not. */
export const dayFor = ({ days }: Foretold, chance: number): number =>
  days.length ? days[Math.min(days.length - 1, Math.ceil(chance * days.length - 1e-9) - 1)]! : Number.POSITIVE_INFINITY;
