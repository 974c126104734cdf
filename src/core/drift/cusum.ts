import jstat from "jstat";
import { Matrix, solve } from "ml-matrix";
import { drawAt } from "@/core/promise/draws";

/** Where a watched sum stands after each step, and the first step at which it rose above its level. */
export interface Watched {
  readonly sums: readonly number[];
  /** Place of the first step above the level; -1 where there is none. */
  readonly alarmAt: number;
  /** Place of the step after which the sum last rose from nothing before the alarm: about where the change began. */
  readonly sinceAt: number;
}

function watch(steps: Iterable<number>, level: number): Watched {
  const sums: number[] = [];
  let sum = 0;
  let since = 0;
  let [alarmAt, sinceAt] = [-1, -1];
  for (const step of steps) {
    if (sum <= 0) since = sums.length;
    sum = Math.max(0, sum + step);
    sums.push(sum);
    if (alarmAt < 0 && sum > level) [alarmAt, sinceAt] = [sums.length - 1, since];
  }
  return { sums, alarmAt, sinceAt };
}

/** Watches readings for a fall: each is in standard deviations from its middle; half of `shift` is allowed at every step. */
export const watchFalls = (deviations: readonly number[], shift: number, level: number): Watched =>
  watch(
    deviations.map((each) => -each - shift / 2),
    level,
  );

/**
 * Mean number of readings until a watched sum of normal readings alarms, by a Markov chain over its states (Brook and Evans 1972).
 * @param shift allowed for as in watchFalls. @param level of the sum. @param moved how far the readings have truly moved, in standard deviations.
 */
export function runLengthOfNormal(shift: number, level: number, moved: number, states = 120): number {
  const width = (2 * level) / (2 * states - 1);
  // From a state the sum goes to another by a normal step of mean moved - shift / 2.
  const below = (x: number) => normalBelow(x - (moved - shift / 2));
  const matrix = Array.from({ length: states }, (_, from) =>
    Array.from({ length: states }, (_, to) =>
      to === 0 ? below(width * (0.5 - from)) : below(width * (to - from + 0.5)) - below(width * (to - from - 0.5)),
    ),
  );
  const leaves = new Matrix(matrix.map((row, i) => row.map((p, j) => (i === j ? 1 : 0) - p)));
  return solve(leaves, Matrix.ones(states, 1)).get(0, 0);
}

/** Standard normal share below x. */
const normalBelow = (x: number): number => jstat.jStat.normal.cdf(x, 0, 1);

/** The level above which normal readings alarm falsely once in so many readings on the average. */
export function levelOfNormal(shift: number, readings: number): number {
  let [low, high] = [0.2, 15];
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    if (runLengthOfNormal(shift, middle, 0, 60) < readings) low = middle;
    else high = middle;
  }
  return high;
}

/** In a step some of all that happened were one's own, of whom so many were to be expected by one's share. */
export interface ShareStep {
  readonly all: number;
  /** One's share of what was at risk, 0 to 1. */
  readonly share: number;
  readonly own: number;
}

const shareStep = ({ all, share, own }: ShareStep, ratio: number): number =>
  own * Math.log(ratio) - all * Math.log(1 - share + ratio * share);

/**
 * Watches one's own among all that happened: given how many happened, a season or a change that meets everybody says nothing. Every step adds the
 * likelihood ratio of a risk `ratio` times the others' against the same risk (binomial; Steiner et al. 2000).
 */
export const watchShares = (steps: readonly ShareStep[], ratio: number, level: number): Watched =>
  watch(
    steps.map((step) => shareStep(step, ratio)),
    level,
  );

const simulatedRuns = 240;

/**
 * The level above which shares alarm falsely once in so many steps on the average, found by drawing who it was each time as if all were alike: over
 * the steps that were, again and again.
 */
export function levelOfShares(steps: readonly Pick<ShareStep, "all" | "share">[], ratio: number, wanted: number, seed = 1): number {
  const busy = steps.filter(({ all, share }) => all > 0 && share > 0);
  if (!busy.length) return Number.POSITIVE_INFINITY;
  // Steps in which nothing happened change nothing but the time.
  const wantedSteps = Math.max(4, (wanted * busy.length) / steps.length);
  const most = Math.ceil(4 * wantedSteps);
  const peaks = Array.from({ length: simulatedRuns }, (_, run) => {
    let [sum, peak] = [0, 0];
    const rises: [number, number][] = [];
    for (let n = 0; n < most; n++) {
      const { all, share } = busy[(n + run) % busy.length]!;
      let own = 0;
      for (let i = 0; i < all; i++) if (drawAt(seed, run, n, i) < share) own++;
      sum = Math.max(0, sum + shareStep({ all, share, own }, ratio));
      if (sum > peak) {
        peak = sum;
        rises.push([peak, n + 1]);
      }
    }
    return rises;
  });
  const meanRun = (level: number) =>
    peaks.reduce((sum, rises) => sum + (rises.find(([peak]) => peak > level)?.[1] ?? most), 0) / simulatedRuns;
  // A run that was broken off at its end counts for its length: a mean of so many is reached a little late.
  const target = wantedSteps * (1 - Math.exp(-most / wantedSteps));
  let [low, high] = [0, 30];
  for (let i = 0; i < 22; i++) {
    const middle = (low + high) / 2;
    if (meanRun(middle) < target) low = middle;
    else high = middle;
  }
  return high;
}
