import { groupBy } from "@/core/group-by";
import { median, quantile } from "@/core/quantile";

/** A finished job as far as a shop counts it. */
export interface CountedJob {
  readonly jobId: number;
  readonly tag: string;
  readonly owner: string;
  readonly reel: string;
  readonly modelId: string;
  /** What for, in words; the family, in words. */
  readonly kind: string;
  readonly family: string;
  /** ISO days. */
  readonly cameOn: string;
  readonly closedOn: string;
  /** What was charged for work, before tax and without pieces. */
  readonly workMinor: number;
  readonly totalMinor: number;
  /** Bench minutes by the stations' clocks; 0 where nobody pressed. */
  readonly minutes: number;
  readonly quotedMinutes: number;
  /** Days it waited on its owner's answer, a parcel, our hands, and waiting for collection. */
  readonly waits: Readonly<Record<WaitsOn, number>>;
  /** The cause it came back for, where it is a comeback; the job it came back from. */
  readonly comeback: string | null;
}

export const waitsOn = {
  us: "our hands",
  customer: "the customer's answer",
  supplier: "a parcel",
  shelf: "waiting for collection",
} as const;
export type WaitsOn = keyof typeof waitsOn;

/** A middle with where half of all lie. */
export interface Spread {
  readonly n: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export const spreadOf = (values: readonly number[]): Spread | null =>
  values.length ? { n: values.length, low: quantile(values, 0.25), middle: median(values), high: quantile(values, 0.75) } : null;

/** Under so many minutes by the clock a job says nothing of an hour. */
const leastMinutes = 5;

/** What an hour at the bench brought with a job, in minor units; null where nobody was timed. */
export const hourOf = ({ workMinor, minutes }: CountedJob): number | null => (minutes >= leastMinutes ? (60 * workMinor) / minutes : null);

/** What a job took against what was quoted: 1.2 is a fifth longer. */
export const tookOf = ({ minutes, quotedMinutes }: CountedJob): number | null =>
  minutes >= leastMinutes && quotedMinutes > 0 ? minutes / quotedMinutes : null;

export interface Figure {
  /** Names the figure in an address; the jobs behind it are found by it again. */
  readonly id: string;
  readonly group: string;
  readonly spread: Spread;
}

const ways = {
  "hour-kind": { group: (job: CountedJob) => job.kind, value: hourOf },
  "hour-family": { group: (job: CountedJob) => job.family, value: hourOf },
  "took-kind": { group: (job: CountedJob) => job.kind, value: tookOf },
  "took-family": { group: (job: CountedJob) => job.family, value: tookOf },
} as const;
export type FigureWay = keyof typeof ways;

/** A figure for each group of jobs that has one, the most jobs first. */
export function figuresBy(jobs: readonly CountedJob[], way: FigureWay): Figure[] {
  const { group, value } = ways[way];
  return [...groupBy(jobs, group)]
    .flatMap(([name, of]) => {
      const spread = spreadOf(of.flatMap((job) => value(job) ?? []));
      return spread ? [{ id: `${way}:${name}`, group: name, spread }] : [];
    })
    .sort((a, b) => b.spread.n - a.spread.n || (a.group < b.group ? -1 : 1));
}

/** How long jobs waited on whom, those that waited at all. */
export const waitFigures = (jobs: readonly CountedJob[]): (Figure & { readonly on: WaitsOn; readonly days: number })[] =>
  (Object.keys(waitsOn) as WaitsOn[]).flatMap((on) => {
    const waited = jobs.map(({ waits }) => waits[on]).filter((days) => days >= 1);
    const spread = spreadOf(waited);
    return spread ? [{ id: `wait:${on}`, group: waitsOn[on], on, spread, days: waited.reduce((sum, days) => sum + days, 0) }] : [];
  });

export interface Counted {
  readonly id: string;
  readonly group: string;
  readonly jobs: number;
}

const countBy = (jobs: readonly CountedJob[], name: string, group: (job: CountedJob) => string | null): Counted[] =>
  [
    ...groupBy(
      jobs.filter((job) => group(job) !== null),
      (job) => group(job)!,
    ),
  ]
    .map(([value, of]) => ({ id: `${name}:${value}`, group: value, jobs: of.length }))
    .sort((a, b) => b.jobs - a.jobs || (a.group < b.group ? -1 : 1));

/** Comebacks by their cause, the most first. */
export const comebacksByCause = (jobs: readonly CountedJob[]): Counted[] => countBy(jobs, "comeback", ({ comeback }) => comeback);

/** Jobs and what they brought, month by month, the first first; months without one stand there too. */
export function monthsOf(jobs: readonly CountedJob[], from: string, to: string): (Counted & { readonly totalMinor: number })[] {
  const months: (Counted & { readonly totalMinor: number })[] = [];
  for (let month = from.slice(0, 7); month <= to.slice(0, 7); ) {
    const of = jobs.filter(({ closedOn }) => closedOn.startsWith(month));
    months.push({
      id: `month:${month}`,
      group: month,
      jobs: of.length,
      totalMinor: of.reduce((sum, { totalMinor }) => sum + totalMinor, 0),
    });
    const [year, number] = [Number(month.slice(0, 4)), Number(month.slice(5))];
    month = number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, "0")}`;
  }
  return months;
}

/** The jobs behind a figure, by its id; all of them for an id that names none. */
export function jobsBehind(jobs: readonly CountedJob[], id: string): readonly CountedJob[] {
  const at = id.indexOf(":");
  const [name, group] = [id.slice(0, at), id.slice(at + 1)];
  if (name in ways) {
    const { group: groupOf, value } = ways[name as FigureWay];
    return jobs.filter((job) => groupOf(job) === group && value(job) !== null);
  }
  if (name === "wait" && group in waitsOn) return jobs.filter(({ waits }) => waits[group as WaitsOn] >= 1);
  if (name === "comeback") return jobs.filter(({ comeback }) => comeback === group);
  if (name === "month") return jobs.filter(({ closedOn }) => closedOn.startsWith(group));
  if (name === "model") return jobs.filter(({ modelId }) => modelId === group);
  return jobs;
}
