import { minutesPerDay } from "@/core/day/day";
import { median, quantile } from "@/core/quantile";
import type { Duration } from "./draws";

/** The three pieces of bench work in a job: what is asked and tested, what is opened and cleaned, what is built and proved. */
const workParts = ["look", "open", "build"] as const;
export type WorkPart = (typeof workParts)[number];

/** A job as the journal tells of it afterwards; instants in minutes from one fixed midnight. */
export interface PastJob {
  readonly id: number;
  readonly modelId: string;
  readonly family: string;
  /** What it was for, with its depth: jobs of one class take alike. */
  readonly kind: string;
  /** Its place in a lot of like reels, from 1; 0 outside one. */
  readonly place: number;
  readonly came: number;
  /** Day number it was promised for. */
  readonly promised: number;
  readonly looked: number | null;
  /** When its owner answered; null where nobody was asked. */
  readonly answered: number | null;
  readonly opened: number | null;
  /** From when to when a parcel was waited for. */
  readonly parcel: { readonly from: number; readonly to: number } | null;
  readonly built: number | null;
  readonly ready: number | null;
  /** Bench minutes of each piece of work, as timed; 0 where it was not done. */
  readonly minutes: Readonly<Record<WorkPart, number>>;
}

/** Spells nobody works though the shop is open: how many a year, and how many days each. */
export interface Absences {
  readonly perYear: number;
  readonly days: number;
}

/** What a shop's past tells of the jobs to come. */
export interface Learned {
  /** Minutes of a piece of work. */
  readonly minutes: (part: WorkPart, job: Pick<PastJob, "modelId" | "family" | "kind">) => Duration;
  /** Chance that a job of a kind is opened at all. */
  readonly opens: (kind: string) => number;
  /** Chance that the work waits for its owner's answer, and how long that takes. */
  readonly answer: { readonly chance: (kind: string) => number; readonly takes: Exclude<Duration, { law: "sometimes" }> };
  readonly parcel: { readonly chance: (kind: string) => number; readonly takes: Exclude<Duration, { law: "sometimes" }> };
  readonly absences: Absences;
  /** Jobs it stands on. */
  readonly jobs: number;
}

/** Rules of thumb until the shop's own past says otherwise (common practice). */
export const thumb = {
  minutes: { look: 15, open: 25, build: 40 } as Readonly<Record<WorkPart, number>>,
  /** How a job's minutes spread around what is usual, on a log scale. */
  spread: 0.45,
  answer: { chance: 0.2, medianDays: 1.5, spread: 0.8 },
  parcel: { chance: 0.25, medianDays: 6, spread: 0.45 },
  absences: { perYear: 1, days: 4 },
} as const;

/** Jobs a rule of thumb counts for, and a family's mean against its models'. */
const priorJobs = 8;

/** Means of residuals by key, each drawn to nothing as if some jobs had shown none. */
function shrunkMeans<T>(of: readonly T[], key: (one: T) => string, residual: (one: T) => number): ReadonlyMap<string, number> {
  const sums = new Map<string, { sum: number; n: number }>();
  for (const one of of) {
    const at = sums.get(key(one)) ?? { sum: 0, n: 0 };
    at.sum += residual(one);
    at.n++;
    sums.set(key(one), at);
  }
  return new Map([...sums].map(([id, { sum, n }]) => [id, sum / (n + priorJobs)]));
}

/** Log minutes of one piece of work: the shop's mean, then what kind, family and model add to it. */
function learnMinutes(jobs: readonly PastJob[], part: WorkPart) {
  const timed = jobs.filter(({ minutes }) => minutes[part] > 0);
  const log = ({ minutes }: PastJob) => Math.log(minutes[part]);
  const base = (timed.reduce((sum, job) => sum + log(job), 0) + priorJobs * Math.log(thumb.minutes[part])) / (timed.length + priorJobs);
  const kinds = shrunkMeans(
    timed,
    ({ kind }) => kind,
    (job) => log(job) - base,
  );
  const ofKind = (kind: string) => base + (kinds.get(kind) ?? 0);
  const families = shrunkMeans(
    timed,
    ({ family }) => family,
    (job) => log(job) - ofKind(job.kind),
  );
  const ofFamily = (job: Pick<PastJob, "kind" | "family">) => ofKind(job.kind) + (families.get(job.family) ?? 0);
  const models = shrunkMeans(
    timed,
    ({ modelId }) => modelId,
    (job) => log(job) - ofFamily(job),
  );
  const middle = (job: Pick<PastJob, "kind" | "family" | "modelId">) => ofFamily(job) + (models.get(job.modelId) ?? 0);
  const squares = timed.reduce((sum, job) => sum + (log(job) - middle(job)) ** 2, 0) + priorJobs * thumb.spread ** 2;
  const spread = Math.sqrt(squares / (timed.length + priorJobs));
  return (job: Pick<PastJob, "kind" | "family" | "modelId">): Duration => ({ law: "lognormal", median: Math.exp(middle(job)), spread });
}

/** A share by kind, drawn to the shop's own, which is drawn to a rule of thumb. */
function learnShare(jobs: readonly PastJob[], has: (job: PastJob) => boolean, prior: number): (kind: string) => number {
  const all = (jobs.filter(has).length + priorJobs * prior) / (jobs.length + priorJobs);
  const kinds = new Map<string, number>();
  for (const kind of new Set(jobs.map((job) => job.kind))) {
    const of = jobs.filter((job) => job.kind === kind);
    kinds.set(kind, (of.filter(has).length + priorJobs * all) / (of.length + priorJobs));
  }
  return (kind) => kinds.get(kind) ?? all;
}

/** A log-normal of waits in days, drawn to a rule of thumb. */
function learnWait(
  days: readonly number[],
  prior: { readonly medianDays: number; readonly spread: number },
): Exclude<Duration, { law: "sometimes" }> {
  const logs = days.map((one) => Math.log(Math.max(0.2, one)));
  const n = logs.length + priorJobs;
  const middle = (logs.reduce((sum, one) => sum + one, 0) + priorJobs * Math.log(prior.medianDays)) / n;
  const squares = logs.reduce((sum, one) => sum + (one - middle) ** 2, 0) + priorJobs * prior.spread ** 2;
  return { law: "lognormal", median: Math.exp(middle) * minutesPerDay, spread: Math.sqrt(squares / n) };
}

/** An answer that came on a day after the look was waited for; one of the same day was not. */
const waitedForAnswer = ({ looked, answered }: PastJob): boolean =>
  looked !== null && answered !== null && Math.floor(answered / minutesPerDay) > Math.floor(looked / minutesPerDay);

/**
 * What the jobs that are done by now tell. Likenesses are drawn to the next wider one (model to family, family to kind, kind to the shop, the shop
 * to a rule of thumb), each as if eight jobs had shown the wider one.
 * @param worked days somebody worked, of the days on which somebody should have.
 */
export function learn(done: readonly PastJob[], absences: Absences = thumb.absences): Learned {
  const parts = Object.fromEntries(workParts.map((part) => [part, learnMinutes(done, part)])) as Record<
    WorkPart,
    ReturnType<typeof learnMinutes>
  >;
  const opened = done.filter(({ opened }) => opened !== null);
  return {
    minutes: (part, job) => parts[part](job),
    opens: learnShare(done, ({ opened }) => opened !== null, 0.75),
    answer: {
      chance: learnShare(done, waitedForAnswer, thumb.answer.chance),
      takes: learnWait(
        done.filter(waitedForAnswer).map(({ looked, answered }) => (answered! - looked!) / minutesPerDay),
        thumb.answer,
      ),
    },
    parcel: {
      chance: learnShare(opened, ({ parcel }) => parcel !== null, thumb.parcel.chance),
      takes: learnWait(
        opened.flatMap(({ parcel }) => (parcel ? [(parcel.to - parcel.from) / minutesPerDay] : [])),
        thumb.parcel,
      ),
    },
    absences,
    jobs: done.length,
  };
}

/** A shop's week as it is truly worked: what its rules say, less the weekdays on which nobody ever works; and the spells nobody came. */
interface WorkedWeek {
  /** Minutes of a day, by weekday from 0 for the first day's. */
  readonly minutes: readonly number[];
  readonly absences: Absences;
}

/**
 * The week from what was worked. A weekday on which work was done in less than one week of three is not worked; the hours are those of a busy day
 * where the shop's rules say more; runs of days without work are spells of absence. Under eight weeks the rules alone count.
 * @param days minutes worked on each day of the past, the last one yesterday; null where the shop was shut by its own calendar, or nothing waited.
 * @param rules minutes of each weekday by the shop's rules, in the weekday order of `firstWeekday` (0 to 6).
 */
export function workedWeek(days: readonly (number | null)[], rules: readonly number[], firstWeekday: number): WorkedWeek {
  if (days.length < 56) return { minutes: rules, absences: thumb.absences };
  const weekday = (i: number) => (firstWeekday + i) % 7;
  const shares = rules.map((_, w) => {
    const of = days.filter((minutes, i) => weekday(i) === w && minutes !== null);
    return of.length ? of.filter((minutes) => minutes! > 0).length / of.length : 1;
  });
  const works = rules.map((minutes, w) => minutes > 0 && shares[w]! >= 1 / 3);
  const busy = days.filter((minutes): minutes is number => minutes !== null && minutes > 0);
  const most = busy.length >= 30 ? quantile(busy, 0.97) : Number.POSITIVE_INFINITY;
  // Runs of three days and more: one day without work is a day without reels.
  let [spells, missed, run] = [0, 0, 0];
  const end = () => {
    if (run >= 3) {
      spells++;
      missed += run;
    }
    run = 0;
  };
  days.forEach((minutes, i) => {
    if (minutes === null || !works[weekday(i)]) return;
    if (minutes > 0) end();
    else run++;
  });
  end();
  const years = days.length / 365;
  const { absences } = thumb;
  const perYear = (spells + absences.perYear) / (years + 1);
  return {
    minutes: rules.map((minutes, w) => (works[w] ? Math.min(minutes, Math.max(60, most)) : 0)),
    absences: { perYear, days: (missed + absences.perYear * absences.days) / (spells + absences.perYear) },
  };
}

/** The middle of what a job of a kind took from its coming to its being ready, in days. */
export const middleStay = (done: readonly PastJob[]): number =>
  median(done.map(({ came, ready }) => Math.floor(ready! / minutesPerDay) - Math.floor(came / minutesPerDay)));
