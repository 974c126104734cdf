import { median, quantile } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { t95 } from "@/core/statistics/quantiles";
import { levelOf, type Pulsing, stepSd } from "./pull-level";

export interface PullSample {
  readonly tMs: number;
  readonly forceN: number;
}

export interface Interval {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface PullReading {
  /** Highest force before the line runs evenly, N. */
  readonly startPeakN: number;
  /** Mean of the running part, N: the number that is kept. */
  readonly runningMeanN: number;
  /** The same with its 95 % interval, by the scatter of the trace alone; the scale's own error comes on top. */
  readonly running: Interval;
  /** Spread (standard deviation) of the running part over its mean: 0 is perfectly even. */
  readonly ripple: number;
  /** Start peak ÷ running mean; well above 1 is a drag that jerks at the start. */
  readonly startRatio: number;
  /** The same with its 95 % interval. */
  readonly start: Interval;
  /** Whether the peak stands out of what the running part does anyway. */
  readonly startsWithPeak: boolean;
  /** A swing that comes again and again while the line runs: a bent plate, a proud washer. Null where there is none. */
  readonly pulsing: Pulsing | null;
  /** The end of the trace is the hand letting go; it is not counted. */
  readonly released: boolean;
  readonly runningFromMs: number;
  readonly runningToMs: number;
}

/** A line that ran shows a level that stays, for at least this long. */
const leastRunMs = 800;
const leastSamples = 12;
/** A start peak stands so far above the level, and is over where it has come down so far. */
const peakOver = 1.15;
const tailOver = 1.03;
/** Over the running part the level may rise or bow by this share at most; more is a hand that pulls harder, not a drag that gives. */
const mostRise = 0.12;
const mostBow = 0.08;
/** It may fall a little as the drag warms; more is a hand that lets go. */
const mostFall = 0.25;

function smoothed(forces: readonly number[]): number[] {
  return forces.map((_, i) => median(forces.slice(Math.max(0, i - 2), i + 3)));
}

/** Samples that say as much as any more would: a scale gives 25 a second. */
const mostSamples = 500;

/** As many samples as are of use, each the mean of so many neighbours. */
function thinned(samples: readonly PullSample[]): readonly PullSample[] {
  const each = Math.ceil(samples.length / mostSamples);
  return Array.from({ length: Math.floor(samples.length / each) }, (_, i) => {
    const some = samples.slice(i * each, (i + 1) * each);
    const mean = (of: (sample: PullSample) => number) => some.reduce((sum, sample) => sum + of(sample), 0) / some.length;
    return { tMs: mean(({ tMs }) => tMs), forceN: mean(({ forceN }) => forceN) };
  });
}

/** Where the line is taken up: the force rises no more than a fourth as steeply as it did from three to eight tenths of its level. */
export function takenUp(times: readonly number[], even: readonly number[], begin: number, level: number): number {
  const low = even.findIndex((force) => force >= 0.3 * level);
  const steep = low < begin ? (even[begin]! - even[low]!) / (times[begin]! - times[low]!) : Number.POSITIVE_INFINITY;
  const ends = even.findIndex(
    (force, i) => i >= begin && i + 3 < even.length && (even[i + 3]! - force) / (times[i + 3]! - times[i]!) < steep / 4,
  );
  return ends < 0 ? even.length - 1 : ends;
}

/**
 * Reads a pull trace: line taken up, perhaps a start peak, then steady slip, and the hand letting go.
 * A pull counts only where it shows a level that stays: a force that rises, or rises and falls, is the hand, not the drag.
 * @returns `too-short` under 20 samples, `no-slip` when the force was still rising at the end, `let-go` when it fell again before a level showed,
 * `no-times` for times that do not rise.
 */
export function readPullTrace(given: readonly PullSample[]): Result<PullReading, "too-short" | "no-slip" | "let-go" | "no-times"> {
  if (given.length < 20) return fail("too-short", "The pull was too short to read: draw line for at least two seconds.");
  const samples = thinned(given);
  const times = samples.map(({ tMs }) => tMs);
  if (given.some(({ tMs }, i) => !Number.isFinite(tMs) || (i > 0 && !(tMs > given[i - 1]!.tMs))))
    return fail("no-times", "The times of the pull do not rise from reading to reading.");
  const forces = samples.map(({ forceN }) => forceN);
  const even = smoothed(forces);
  const noSlip = () =>
    fail("no-slip", "The line never ran: the force was still rising at the end. Pull on until it slips, or ease the star.");
  const letGo = () =>
    fail("let-go", "The force rose and fell with the hand: no level showed. Pull on evenly while line runs, then let go.");
  const top = quantile(even, 0.95);
  if (!(top > 0)) return noSlip();
  const under = even.flatMap((force, i) => (force >= 0.3 * top ? [i] : []));
  const level = median(under.map((i) => even[i]!));
  const begin = even.findIndex((force) => force >= 0.8 * level);
  const last = even.findLastIndex((force) => force >= 0.8 * level);
  const released = last < samples.length - 1;
  // Of a release the first samples already fall.
  const end = released ? last - 2 : last;
  // The start peak stands in the first part of what is pulled.
  const searchTo = begin + Math.max(3, Math.ceil((end - begin) * 0.4));
  let peakAt = begin;
  for (let i = begin; i <= Math.min(searchTo, end); i++) if (forces[i]! > forces[peakAt]!) peakAt = i;
  // A highest place that what follows stands above is none: the force still rises, and is read from where the line was taken up.
  const peaks = peakAt === end || forces[peakAt]! > median(forces.slice(peakAt + 1, end + 1));
  let from = peaks ? peakAt : takenUp(times, even, begin, level);
  // A peak dies away slowly: what is left of it would lift the level.
  const above = forces[peakAt]! > level * peakOver ? tailOver : 1.15;
  while (from < end && (even[from]! < level * 0.85 || even[from]! > level * above || forces[from]! > level * 1.25)) from++;
  // The sample that comes down from the peak is between peak and level.
  from = Math.min(from + 1, end);
  const [runTimes, run] = [times.slice(from, end + 1), forces.slice(from, end + 1)];
  const long = run.length >= leastSamples && runTimes.at(-1)! - runTimes[0]! >= leastRunMs;
  if (!long) return released ? letGo() : noSlip();
  const { mean, rise, bow, pulsing, scatter, meanError, freedom } = levelOf(runTimes, run);
  if (rise > mostRise) return noSlip();
  if (rise < -mostFall || (bow > mostBow && released)) return letGo();
  if (bow > mostBow) return noSlip();
  const startPeak = forces[peakAt]!;
  const reach = t95(freedom) * meanError;
  const ratio = startPeak / mean;
  // One reading scatters as any; the mean is known better. Gain cancels, for both are read on one scale.
  const ratioReach = t95(freedom) * Math.hypot(Math.hypot(scatter, stepSd) / mean, (ratio * meanError) / mean);
  // A drag that warms begins above its mean, and has no peak for that.
  const begins = mean * Math.max(1, 1 - rise / 2 - bow / 1.5);
  const crest = begins + mean * (pulsing?.share ?? 0) + 3 * scatter;
  return ok({
    startPeakN: startPeak,
    runningMeanN: mean,
    running: { value: mean, low: mean - reach, high: mean + reach },
    ripple: Math.sqrt(run.reduce((sum, force) => sum + (force - mean) ** 2, 0) / run.length) / mean,
    startRatio: ratio,
    start: { value: ratio, low: Math.max(0, ratio - ratioReach), high: ratio + ratioReach },
    startsWithPeak: startPeak > crest && startPeak > 1.05 * begins,
    pulsing,
    released,
    runningFromMs: runTimes[0]!,
    runningToMs: runTimes.at(-1)!,
  });
}
