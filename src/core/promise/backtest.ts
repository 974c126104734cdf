import { minutesPerDay } from "@/core/day/day";
import { dayFor, type Foretold, foretellOne } from "./bench-simulation";
import { learn, middleStay, type PastJob, workedWeek } from "./past";
import { benchJob, stageAt } from "./standing";

/** Chances for which a day is kept when it is said, so that later it can be told which of them would have held 8 in 10. */
export const keptChances: readonly number[] = [0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.94, 0.97];

/** Days further off than a promise looks are said as so many. */
export const farthestDay = 400;

/** What a forecast says of a job: a day for each of the kept chances, and the one that is named for the chance asked of the simulation. */
export interface SaidOfJob extends Said {
  readonly named: number;
}
export const saidOf = (told: Foretold, ask: number): SaidOfJob => {
  const by = (chance: number) => Math.max(0, Math.min(farthestDay, dayFor(told, chance)));
  return { days: keptChances.map(by), named: by(ask) };
};

/** What was said of a job when it came: how many days ahead it is done, for each of the kept chances. */
export interface Said {
  readonly days: readonly number[];
}

/** How many earlier jobs are looked back on. */
const lookBack = 150;
/** Jobs for which the simulation's own chance counts. */
const priorHeld = 15;

/**
 * The chance to ask the simulation for so that the day it says holds as often as wanted: the kept one that would have held nearest to so often for
 * the jobs that are done, the surer of two that are as near, drawn to what it says of itself as if fifteen jobs had shown that.
 * @param done what was said of jobs that are done, and what they took, oldest first.
 */
export function chanceToAsk(done: readonly { readonly said: Said; readonly took: number }[], wanted: number): number {
  const recent = done.slice(-lookBack);
  const off = keptChances.map((chance, i) => {
    const held = recent.filter(({ said, took }) => took <= said.days[i]!).length;
    return Math.abs((held + priorHeld * chance) / (recent.length + priorHeld) - wanted);
  });
  return keptChances[off.lastIndexOf(Math.min(...off))]!;
}

/** Pinball loss of a day that was to hold with a chance: being late costs the chance, being early what is left of it, for each day. */
export const pinball = (said: number, took: number, chance: number): number =>
  took > said ? chance * (took - said) : (1 - chance) * (said - took);

export interface Judged {
  readonly id: number;
  readonly kind: string;
  readonly came: number;
  readonly said: Said;
  /** Days ahead promised at the wanted chance, as the shop would have promised them then. */
  readonly day: number;
  /** Its middle, for comparison with the middle of all. */
  readonly middle: number;
  readonly took: number;
  /** What the mean of all jobs before it would have said. */
  readonly mean: number;
}

export interface ShopPast {
  readonly jobs: readonly PastJob[];
  /** Minutes of each weekday by the shop's rules, from that of day 0. */
  readonly rules: readonly number[];
  /** Minute of the day work begins. */
  readonly from: number;
  /** Whether the shop is shut on a day by its calendar, which is known beforehand. */
  readonly shut: (day: number) => boolean;
}

export interface BacktestOptions {
  readonly wanted: number;
  /** First day judged: before it the shop learns only. */
  readonly fromDay: number;
  readonly runs: number;
  readonly seed: number;
  /** At most so many jobs, the last ones. */
  readonly most?: number;
  readonly goesOn?: (share: number) => boolean;
}

/** Days looked ahead from a job's coming. */
const horizon = 80;

const workedByDay = new WeakMap<readonly PastJob[], { readonly from: number; readonly minutes: readonly (number | null)[] }>();

/** Minutes worked on each day of the past, from what was timed; null on days on which nothing waited for us, which say nothing. */
function minutesByDay(jobs: readonly PastJob[]) {
  const known = workedByDay.get(jobs);
  if (known) return known;
  const from = jobs.length ? Math.floor(jobs[0]!.came / minutesPerDay) : 0;
  const minutes: (number | null)[] = [];
  const add = (day: number, more: number) => {
    if (day < from || !Number.isFinite(day)) return;
    while (minutes.length <= day - from) minutes.push(null);
    minutes[day - from] = (minutes[day - from] ?? 0) + more;
  };
  const dayOf = (at: number) => Math.floor(at / minutesPerDay);
  for (const job of jobs) {
    for (const [at, part] of [
      [job.looked, "look"],
      [job.opened, "open"],
      [job.built, "build"],
    ] as const)
      if (at !== null && job.minutes[part] > 0) add(dayOf(at), job.minutes[part]);
    // From its coming, and from the day its parcel came, until somebody took it up, it waited for us.
    const waits = [[job.came, job.looked] as const, ...(job.parcel ? [[job.parcel.to, job.built] as const] : [])];
    for (const [since, until] of waits)
      if (until !== null && Number.isFinite(since)) for (let day = dayOf(since) + 1; day < dayOf(until); day++) add(day, 0);
  }
  const answer = { from, minutes };
  workedByDay.set(jobs, answer);
  return answer;
}

/** Minutes worked on each of the days before one; null where the shop was shut or nothing waited. */
function workedDays({ jobs, shut }: ShopPast, before: number, back: number): (number | null)[] {
  const { from, minutes } = minutesByDay(jobs);
  return Array.from({ length: back }, (_, i) => {
    const day = before - back + i;
    return shut(day) ? null : (minutes[day - from] ?? null);
  });
}

/** Jobs a day at this time of the years before, or lately where there were none. */
export function comingPerDay(came: readonly number[], today: number, days: number): number[] {
  const first = came.length ? Math.floor(came[0]! / minutesPerDay) : today;
  const count = (from: number, to: number) => came.filter((at) => at >= from * minutesPerDay && at < to * minutesPerDay).length;
  const years = Math.min(3, Math.floor((today - first) / 365));
  const since = Math.min(60, Math.max(7, today - first));
  const lately = count(today - since, today) / since;
  return Array.from({ length: days }, (_, ahead) => {
    if (years < 1) return lately;
    let sum = 0;
    for (let year = 1; year <= years; year++) sum += count(today + ahead - 365 * year - 10, today + ahead - 365 * year + 11) / 21;
    return sum / years;
  });
}

/** The bench as it stood at an instant of the past, with what was known by then: what is asked for there is one job's day. */
export function benchAt(past: ShopPast, at: number) {
  const today = Math.floor(at / minutesPerDay);
  const done = past.jobs.filter(({ ready }) => ready !== null && ready < at).slice(-600);
  const first = past.jobs.length ? Math.floor(past.jobs[0]!.came / minutesPerDay) : today;
  const back = Math.min(365, today - first);
  const firstWeekday = (((today - back) % 7) + 7) % 7;
  const week = workedWeek(workedDays(past, today, Math.max(0, back)), past.rules, firstWeekday);
  const learned = learn(done, week.absences);
  const minutes = Array.from({ length: horizon }, (_, i) => (past.shut(today + i) ? 0 : week.minutes[(today + i) % 7]!));
  const usual = { modelId: "", family: "", kind: "repair" };
  return {
    today,
    learned,
    done,
    bench: (jobs: Parameters<typeof benchJob>[]) => ({
      people: [{ from: past.from, minutes }],
      jobs: jobs.map((of) => benchJob(...of)),
      absences: week.absences,
      toCome: {
        perDay: comingPerDay(
          past.jobs.flatMap(({ came }) => (came < at ? [came] : [])),
          today,
          horizon,
        ),
        steps: benchJob(0, { stage: "fresh", job: usual }, learned, 0, 0).steps,
        promisedAfterDays: 8,
      },
    }),
  };
}

/**
 * Says for each job of the past what the shop would have said when it came, by what it knew then, and compares it with what the job took.
 * Jobs of a lot are judged by its first reel's coming like all others.
 */
export function backtest(past: ShopPast, { wanted, fromDay, runs, seed, most, goesOn = () => true }: BacktestOptions): Judged[] {
  const inOrder = [...past.jobs].sort((a, b) => a.came - b.came || a.id - b.id);
  const sorted = { ...past, jobs: inOrder };
  let judged = inOrder.filter(({ came, ready }) => came >= fromDay * minutesPerDay && ready !== null);
  if (most !== undefined) judged = judged.slice(-most);
  const out: Judged[] = [];
  let standing = { day: Number.NaN, at: null as ReturnType<typeof benchAt> | null };
  for (const [n, job] of judged.entries()) {
    if (!goesOn(n / judged.length)) break;
    const day = Math.floor(job.came / minutesPerDay);
    // The morning's knowledge serves the day; who came since stands beside.
    if (standing.day !== day) standing = { day, at: benchAt(sorted, job.came) };
    const { learned, done, bench, today } = standing.at!;
    const others = sorted.jobs.flatMap((one) => {
      const stage = one.id === job.id ? null : stageAt(one, job.came);
      return stage ? [{ job: one, stage }] : [];
    });
    const jobs = [...others, { job, stage: "fresh" as const }].map(
      (one): Parameters<typeof benchJob> => [
        one.job.id,
        { stage: one.stage, job: one.job },
        learned,
        one.job.promised - today,
        one.job.place,
      ],
    );
    // It comes in the middle of the day: what is left of it counts.
    const now = job.came - today * minutesPerDay;
    const whole = bench(jobs);
    const forecast = foretellOne(
      { ...whole, jobs: whole.jobs.map((one) => ({ ...one, from: Math.max(now, one.from) })) },
      jobs.length - 1,
      seed + job.id,
      runs,
    );
    const took = Math.floor(job.ready! / minutesPerDay) - day;
    const said: Said = { days: keptChances.map((chance) => Math.min(horizon, dayFor(forecast, chance))) };
    const known = out.filter((one) => one.came / minutesPerDay + one.took < today);
    const ask = chanceToAsk(known, wanted);
    out.push({
      id: job.id,
      kind: job.kind,
      came: job.came,
      said,
      day: said.days[keptChances.indexOf(ask)]!,
      middle: said.days[0]!,
      took,
      mean: done.length ? Math.round(middleStay(done)) : 7,
    });
  }
  return out;
}

/** How well promised days were kept. */
export interface Verdict {
  readonly jobs: number;
  /** Of 100 days said for the wanted chance, as many held. */
  readonly held: number;
  readonly loss: number;
  /** The same loss for seven days said for all, and for the mean of what jobs took. */
  readonly lossOfSeven: number;
  readonly lossOfMean: number;
}

export function verdictOf(judged: readonly Pick<Judged, "day" | "took" | "mean">[], wanted: number): Verdict {
  const n = Math.max(1, judged.length);
  const loss = (of: (one: (typeof judged)[number]) => number) =>
    judged.reduce((sum, one) => sum + pinball(of(one), one.took, wanted), 0) / n;
  return {
    jobs: judged.length,
    held: (100 * judged.filter(({ day, took }) => took <= day).length) / n,
    loss: loss(({ day }) => day),
    lossOfSeven: loss(() => 7),
    lossOfMean: loss(({ mean }) => mean),
  };
}
