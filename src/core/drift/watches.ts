import { daysPerMonth, daysPerYear, yearsOf } from "@/core/day/day";
import { groupBy } from "@/core/group-by";
import { median } from "@/core/quantile";
import { fitLives, type LifeFit } from "@/core/survival/weibull";
import { levelOfNormal, levelOfShares, watchFalls, watchShares } from "./cusum";

/** Faults by which a friction washer has come to its end. */
export const washerFaults = ["drag-dry", "drag-worn", "drag-oiled", "drag-ridged", "drag-glazed", "drag-hard", "drag-fused"] as const;

/** A piece of one kind from one source, in a reel. Days are numbered. */
export interface FittedPiece {
  readonly source: string;
  readonly water: string;
  readonly tripsPerYear: number;
  readonly fittedOn: number;
  /** When it was found worn, or seen last. */
  readonly until: number;
  readonly ended: boolean;
  readonly jobId: number;
}

/** A reading of a reel as it leaves. */
export interface LeavingReading {
  readonly model: string;
  readonly reel: number;
  readonly on: number;
  readonly value: number;
  readonly jobId: number;
}

/** A finished job, and when the reel came back for it; null where it did not. */
export interface FinishedWork {
  readonly person: string;
  readonly on: number;
  readonly cameBackOn: number | null;
  readonly jobId: number;
}

export type WatchKind = "supplier" | "model" | "person";

/** Something that is watched, and what was found. */
export interface Watch {
  readonly kind: WatchKind;
  readonly id: string;
  /** Day of the alarm and about when it began; null where all is as it should be. */
  readonly alarm: { readonly on: number; readonly since: number } | null;
  /** Counts: how many were seen of how many expected since then, or in all. Readings: the change of their middle, as a share. */
  readonly seen: number;
  readonly expected: number;
  /** Jobs behind it. */
  readonly jobIds: readonly number[];
}

/** A change of so many times is looked for, and a fall of readings by so many standard deviations. */
const ratio = 2;
const shift = 0.8;
/** Pieces that wear early do so by more: ends in their youth, so many times as many. */
const earlyTimes = 3;
/** One false alarm of the whole shop may come in so many months. */
export const falseAlarmMonths = 24;
/** A stream of less is not watched: it could not tell. */
const leastPieces = 12;
const leastReadings = 24;
const leastWorks = 40;

interface Streams {
  readonly pieces: readonly FittedPiece[];
  readonly readings: readonly LeavingReading[];
  readonly works: readonly FinishedWork[];
  readonly today: number;
}

/** The chance that has run up by so many trips, as an expected count. */
const hazard = ({ median, shape }: LifeFit, trips: number): number => Math.LN2 * (Math.max(0, trips) / median) ** shape;

const monthOf = (day: number, first: number): number => Math.floor((day - first) / daysPerMonth);

/** The share of a usual life that counts as its youth. */
const youth = 0.4;

/** Months of a stream: its own and everybody's, at risk and seen. */
interface Month {
  risk: number;
  seen: number;
}
const monthsUpTo = (first: number, today: number): Month[] =>
  Array.from({ length: Math.max(1, monthOf(today, first) + 1) }, () => ({ risk: 0, seen: 0 }));

/** The law of all pieces in one water: at which age how many end, whoever they are from. */
function lawsOf(pieces: readonly FittedPiece[]): ReadonlyMap<string, LifeFit> {
  return new Map(
    [...groupBy(pieces, ({ water }) => water)].map(([water, own]) => [
      water,
      fitLives(
        own.map((piece) => ({ time: Math.max(0.1, tripsOf(piece, piece.until)), ended: piece.ended })),
        { logMedian: Math.log(100), logMedianSpread: 1, logShape: Math.log(1.8), logShapeSpread: 0.4 },
      ),
    ]),
  );
}
const tripsOf = ({ tripsPerYear, fittedOn }: FittedPiece, day: number): number => yearsOf(day - fittedOn) * tripsPerYear;

function supplierWatches(pieces: readonly FittedPiece[], today: number, streams: number): Watch[] {
  if (!pieces.length) return [];
  const laws = lawsOf(pieces);
  const first = Math.min(...pieces.map(({ fittedOn }) => fittedOn));
  const months = new Map([...new Set(pieces.map(({ source }) => source))].map((source) => [source, monthsUpTo(first, today)]));
  for (const whole of pieces) {
    const own = months.get(whole.source)!;
    const law = laws.get(whole.water)!;
    // Only its youth tells of early wear: what ends in its time would water it down.
    const youthEnds = whole.fittedOn + ((youth * law.median) / whole.tripsPerYear) * daysPerYear;
    const piece = whole.until <= youthEnds ? whole : { ...whole, until: youthEnds, ended: false };
    for (let month = monthOf(piece.fittedOn, first); month <= Math.min(own.length - 1, monthOf(piece.until, first)); month++) {
      const from = Math.max(piece.fittedOn, first + month * daysPerMonth);
      const to = Math.min(piece.until, first + (month + 1) * daysPerMonth);
      if (to > from) own[month]!.risk += hazard(law, tripsOf(piece, to)) - hazard(law, tripsOf(piece, from));
    }
    if (piece.ended) own[Math.min(own.length - 1, monthOf(piece.until, first))]!.seen++;
  }
  return shareWatches(
    "supplier",
    months,
    first,
    streams,
    (source) => pieces.filter((piece) => piece.source === source),
    leastPieces,
    earlyTimes,
  );
}

/** Each one's share of what happened against its share of what was at risk. */
function shareWatches(
  kind: WatchKind,
  months: ReadonlyMap<string, readonly Month[]>,
  first: number,
  streams: number,
  jobsOf: (id: string) => readonly { readonly jobId: number }[],
  least: number,
  times = ratio,
): Watch[] {
  const count = [...months.values()][0]?.length ?? 0;
  const all = Array.from({ length: count }, (_, month) => {
    const of = [...months.values()].map((own) => own[month]!);
    return { risk: of.reduce((sum, { risk }) => sum + risk, 0), seen: of.reduce((sum, { seen }) => sum + seen, 0) };
  });
  return [...months].flatMap(([id, own]): Watch[] => {
    const jobs = jobsOf(id);
    if (jobs.length < least) return [];
    const steps = own.map(({ risk, seen }, month) => ({
      all: all[month]!.seen,
      share: all[month]!.risk > 0 ? risk / all[month]!.risk : 0,
      own: seen,
    }));
    const { alarmAt, sinceAt } = watchShares(steps, times, levelOfShares(steps, times, falseAlarmMonths * streams));
    const watched = alarmAt < 0 ? steps : steps.slice(sinceAt, alarmAt + 1);
    return [
      {
        kind,
        id,
        alarm:
          alarmAt < 0 ? null : { on: Math.round(first + (alarmAt + 1) * daysPerMonth), since: Math.round(first + sinceAt * daysPerMonth) },
        seen: watched.reduce((sum, step) => sum + step.own, 0),
        expected: watched.reduce((sum, step) => sum + step.all * step.share, 0),
        jobIds: jobs.map(({ jobId }) => jobId),
      },
    ];
  });
}

/** Each reading against what its own reel showed before, in order; a reel's first says nothing. Reels of a model differ more than a reel from itself. */
function againstItself(readings: readonly LeavingReading[]): { readonly on: number; readonly change: number; readonly jobId: number }[] {
  const before = new Map<number, number[]>();
  return [...readings]
    .sort((a, b) => a.on - b.on || a.jobId - b.jobId)
    .flatMap(({ reel, on, value, jobId }) => {
      const own = before.get(reel) ?? [];
      before.set(reel, [...own, Math.log(value)]);
      if (!own.length) return [];
      const mean = own.reduce((sum, log) => sum + log, 0) / own.length;
      // The mean of few is itself read: what follows lies apart from it by so much more.
      return [{ on, jobId, change: (Math.log(value) - mean) / Math.sqrt(1 + 1 / own.length) }];
    });
}

function modelWatches(readings: readonly LeavingReading[], streams: number): Watch[] {
  const byModel = [...groupBy(readings, ({ model }) => model)]
    .map(([model, own]) => [model, againstItself(own)] as const)
    .filter(([, changes]) => changes.length >= leastReadings);
  // One spread for all, by the middle of what they lie apart, so that a model that drifts does not widen it.
  const apart = byModel.flatMap(([, changes]) => changes.map(({ change }) => Math.abs(change)));
  const spread = apart.length ? Math.max(1e-6, 1.4826 * median(apart)) : 1;
  return byModel.map(([model, changes]): Watch => {
    const perMonth = Math.max(0.05, (changes.length * daysPerMonth) / Math.max(daysPerMonth, changes.at(-1)!.on - changes[0]!.on));
    const { alarmAt, sinceAt } = watchFalls(
      // What lies far out (another scale, a slip of the hand) counts as four at most.
      changes.map(({ change }) => Math.max(-4, Math.min(4, change / spread))),
      shift,
      levelOfNormal(shift, Math.max(20, falseAlarmMonths * streams * perMonth)),
    );
    const watched = alarmAt < 0 ? changes : changes.slice(sinceAt, alarmAt + 1);
    return {
      kind: "model",
      id: model,
      alarm: alarmAt < 0 ? null : { on: changes[alarmAt]!.on, since: changes[sinceAt]!.on },
      seen: Math.exp(watched.reduce((sum, { change }) => sum + change, 0) / watched.length),
      expected: 1,
      jobIds: changes.map(({ jobId }) => jobId),
    };
  });
}

/** A piece of work may come back for so long as our own. */
const backDays = 180;

function personWatches(works: readonly FinishedWork[], today: number, streams: number): Watch[] {
  if (!works.length) return [];
  const first = Math.min(...works.map(({ on }) => on));
  const months = new Map([...new Set(works.map(({ person }) => person))].map((person) => [person, monthsUpTo(first, today)]));
  for (const { person, on, cameBackOn } of works) {
    const own = months.get(person)!;
    for (let month = monthOf(on, first); month <= Math.min(own.length - 1, monthOf(on + backDays, first)); month++) own[month]!.risk++;
    if (cameBackOn !== null) own[Math.min(own.length - 1, monthOf(cameBackOn, first))]!.seen++;
  }
  return shareWatches("person", months, first, streams, (person) => works.filter((work) => work.person === person), leastWorks);
}

/**
 * Watches suppliers' pieces that wear early, models whose readings fall and people whose work comes back, each by its own watched sum; all together
 * alarm falsely about once in two years. What is too little to tell is not watched.
 */
export function watches({ pieces, readings, works, today }: Streams): Watch[] {
  const enough = <T>(of: readonly T[], key: (one: T) => string, least: number) =>
    [...groupBy(of, key).values()].filter((own) => own.length >= least).length;
  const streams = Math.max(
    1,
    enough(pieces, ({ source }) => source, leastPieces) +
      [...groupBy(readings, ({ model }) => model).values()].filter((own) => againstItself(own).length >= leastReadings).length +
      enough(works, ({ person }) => person, leastWorks),
  );
  return [...supplierWatches(pieces, today, streams), ...modelWatches(readings, streams), ...personWatches(works, today, streams)];
}
