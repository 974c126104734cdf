import { median } from "@/core/quantile";
import { intervalNotBelowNothing } from "@/core/statistics/bounded-interval";
import { leastSquares } from "./least-squares";
import { type LossTerm, lossTerms, type SpinLosses, stopSeconds } from "./losses";

export interface SpinTerm {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Its 95 % interval leaves nothing out: it is there. */
  readonly there: boolean;
}

export interface SpinFit {
  readonly terms: Readonly<Record<LossTerm, SpinTerm>>;
  readonly startRadPerS: number;
  /** Spread of the timing of one pulse, s. */
  readonly timingS: number;
  /** How late each pulse came, by the law, s; empty where nothing could be fitted. */
  readonly lateS: readonly number[];
  readonly speedRatio: number;
  /** Why the terms cannot be told apart; empty when they can. */
  readonly cannot: string;
  /** Seconds from a standard start, for comparing one run with another. */
  readonly standardStopS: number;
}

/** Start speed runs are compared at: 1000 turns a minute. */
export const standardStartRadPerS = (1000 * 2 * Math.PI) / 60;
/** Below this range of speeds the three terms look alike. */
const leastRange = 4;

/** Longest step of the walk between two pulses, s: the losses change a speed over seconds. */
const longestStepS = 0.1;
/** Pulses that are fitted one by one. */
const mostPulses = 1000;
/** Marks up to which their places are taken as set by hand, and found with the losses; more are cut by a machine. */
const mostByHand = 8;

interface Start extends SpinLosses {
  readonly speed: number;
}

interface Passed {
  readonly angles: readonly number[];
  readonly speeds: readonly number[];
  /** By pulse: how the angle moves with start speed, a, b and c. */
  readonly moved: readonly (readonly number[])[];
}

/**
 * The law walked from pulse to pulse (Runge and Kutta), with the equations of its derivatives beside it. @returns null where it stands before
 * the last pulse.
 */
export function walk(times: readonly number[], { speed, a, b, c }: Start): Passed | null {
  const angles = [0];
  const speeds = [speed];
  const moved = [[0, 0, 0, 0]];
  // Derivatives of speed and angle by start speed, a, b and c; and of the stages of a step.
  const s = new Float64Array([1, 0, 0, 0]);
  const g = new Float64Array(4);
  const at = new Float64Array(4);
  const slope = new Float64Array(4);
  const sumS = new Float64Array(4);
  const sumG = new Float64Array(4);
  let w = speed;
  let angle = 0;
  for (let i = 1; i < times.length; i++) {
    const took = times[i]! - times[i - 1]!;
    const steps = Math.ceil(took / longestStepS);
    const h = took / steps;
    for (let n = 0; n < steps; n++) {
      let [stageW, fall, sumFall, sumW] = [w, 0, 0, 0];
      sumS.fill(0);
      sumG.fill(0);
      for (let stage = 0; stage < 4; stage++) {
        const reach = stage === 0 ? 0 : stage === 3 ? h : h / 2;
        const share = stage === 0 || stage === 3 ? 1 : 2;
        stageW = w + reach * fall;
        for (let j = 0; j < 4; j++) at[j] = s[j]! + reach * slope[j]!;
        fall = -(a + (b + c * stageW) * stageW);
        const by = -(b + 2 * c * stageW);
        slope[0] = by * at[0]!;
        slope[1] = by * at[1]! - 1;
        slope[2] = by * at[2]! - stageW;
        slope[3] = by * at[3]! - stageW * stageW;
        sumFall += share * fall;
        sumW += share * stageW;
        for (let j = 0; j < 4; j++) {
          sumS[j] = sumS[j]! + share * slope[j]!;
          sumG[j] = sumG[j]! + share * at[j]!;
        }
      }
      w += (h / 6) * sumFall;
      angle += (h / 6) * sumW;
      for (let j = 0; j < 4; j++) {
        s[j] = s[j]! + (h / 6) * sumS[j]!;
        g[j] = g[j]! + (h / 6) * sumG[j]!;
      }
    }
    if (!(w > 0)) return null;
    angles.push(angle);
    speeds.push(w);
    moved.push([...g]);
  }
  return { angles, speeds, moved };
}

interface TimesFit {
  readonly start: Start;
  /** Standard errors of the losses that were fitted. */
  readonly errors: ReadonlyMap<LossTerm, number>;
  readonly freedom: number;
  readonly timingS: number;
  readonly late: readonly number[];
}

/**
 * Least squares on the times themselves: how late each pulse came is how far the angle is behind, over the speed there. Every pulse is timed as
 * well as any other, fast or slow (Gauss and Newton, steps halved until they help). @returns null where the readings cannot bear so many terms.
 */
function fitTimes(
  times: readonly number[],
  places: readonly number[],
  step: number,
  pulsesPerTurn: number,
  kept: readonly LossTerm[],
  first: Start,
): TimesFit | null {
  const columns = ["speed", ...kept].map((name) => ["speed", ...lossTerms].indexOf(name));
  const marks = pulsesPerTurn <= mostByHand && times.length >= 5 + 3 * pulsesPerTurn ? pulsesPerTurn - 1 : 0;
  const lateness = (passed: Passed, offset: number, set: readonly number[]) =>
    places.map((place, i) => (place * step + (set[(place % pulsesPerTurn) - 1] ?? 0) - offset - passed.angles[i]!) / passed.speeds[i]!);
  const squares = (late: readonly number[]) => late.reduce((sum, r) => sum + r * r, 0);
  let start: Start = { ...first, ...Object.fromEntries(lossTerms.filter((term) => !kept.includes(term)).map((term) => [term, 0])) };
  let offset = 0;
  let set: readonly number[] = Array.from({ length: marks }, () => 0);
  let passed = walk(times, start);
  if (!passed) return null;
  let late = lateness(passed, offset, set);
  for (let round = 0; ; round++) {
    const rows = times.map((_, i) => [
      1 / passed!.speeds[i]!,
      ...columns.map((column) => passed!.moved[i]![column]! / passed!.speeds[i]!),
      ...set.map((_place, mark) => (places[i]! % pulsesPerTurn === mark + 1 ? -1 / passed!.speeds[i]! : 0)),
    ]);
    let linear: ReturnType<typeof leastSquares>;
    try {
      linear = leastSquares(rows, late);
    } catch (error) {
      if (error instanceof RangeError) return null;
      throw error;
    }
    const now = squares(late);
    let better = false;
    for (let share = 1; share > 1e-4 && !better; share /= 2) {
      const move = linear.coefficients.map((x) => x * share);
      const next: Start = {
        ...start,
        speed: start.speed + move[1]!,
        ...Object.fromEntries(kept.map((term, i) => [term, start[term] + move[i + 2]!])),
      };
      const then = walk(times, next);
      if (!then) continue;
      const placed = set.map((place, mark) => place + move[kept.length + 2 + mark]!);
      const after = lateness(then, offset + move[0]!, placed);
      // Nor a step so far that nothing is a number any more.
      if (!(squares(after) <= now * (1 + 1e-12))) continue;
      better = squares(after) < now * (1 - 1e-9);
      [start, offset, set, passed, late] = [next, offset + move[0]!, placed, then, after];
      if (!better) break;
    }
    if (!better || round === 30)
      return {
        start,
        errors: new Map(kept.map((term, i) => [term, linear.errors[i + 2]!])),
        freedom: linear.freedom,
        timingS: linear.residualSd,
        late,
      };
  }
}

/** Where to start from: a straight run-down from the first speed to half the last; Gauss and Newton find the rest. */
function roughStart(times: readonly number[], places: readonly number[], step: number): Start {
  const speed = (i: number) => ((places[i + 1]! - places[i]!) * step) / (times[i + 1]! - times[i]!);
  const [first, last] = [speed(0), speed(times.length - 2)];
  return { speed: first, a: (first - last / 2) / (times.at(-1)! - times[0]!), b: 0, c: 0 };
}

/**
 * Losses of a spin-down from the times of its pulses. The intervals are those of all three losses at once, none
 * below nothing; the values are the best within them. A loss that is truly nil lies in its interval as often as any other.
 * @param allTimes seconds, rising. @param marksPerTurn marks on the spool; up to eight are taken as set by hand, not quite evenly.
 * @param allPlaces which pulse each time is, where some were missed; one after the other without.
 * @throws RangeError for fewer than eight pulses or times that do not rise.
 */
export function fitSpin(
  allTimes: readonly number[],
  marksPerTurn: number,
  allPlaces: readonly number[] = allTimes.map((_, i) => i),
): SpinFit {
  if (!(marksPerTurn >= 1 && Number.isInteger(marksPerTurn))) throw new RangeError("fitSpin: pulses a turn is a whole number from 1");
  if (allTimes.length < 8) throw new RangeError("fitSpin: at least eight pulses");
  if (allTimes.some((t, i) => !Number.isFinite(t) || (i > 0 && !(t > allTimes[i - 1]!))))
    throw new RangeError("fitSpin: the times do not rise");
  // Of very many pulses every so manieth says as much; taken by whole turns, marks set by hand do not matter.
  const each = allTimes.length > mostPulses ? Math.ceil(allTimes.length / mostPulses / marksPerTurn) * marksPerTurn : 1;
  const taken = allTimes.flatMap((_, i) => (allPlaces[i]! % each === 0 ? [i] : []));
  const times = taken.map((i) => allTimes[i]!);
  const places = taken.map((i) => (allPlaces[i]! - allPlaces[taken[0]!]!) / each);
  if (times.length < 8) throw new RangeError("fitSpin: at least eight whole turns of so many marks");
  const pulsesPerTurn = each === 1 ? marksPerTurn : 1;
  const step = ((2 * Math.PI) / marksPerTurn) * each;
  const rough = roughStart(times, places, step);
  const all = fitTimes(times, places, step, pulsesPerTurn, lossTerms, rough);
  let kept: readonly LossTerm[] = lossTerms;
  let best = all;
  while (kept.length && (!best || kept.some((term) => best!.start[term] < 0))) {
    const sure = (term: LossTerm) => (best ? best.start[term] / best.errors.get(term)! : 0);
    const worst = kept.reduce((least, term) => (sure(term) < sure(least) ? term : least));
    kept = kept.filter((term) => term !== worst);
    best =
      fitTimes(times, places, step, pulsesPerTurn, kept, best?.start ?? rough) ?? fitTimes(times, places, step, pulsesPerTurn, kept, rough);
  }
  const value = (term: LossTerm) => Math.max(0, kept.includes(term) ? (best?.start[term] ?? 0) : 0);
  const terms = Object.fromEntries(
    lossTerms.map((term): [LossTerm, SpinTerm] => {
      const { low, high } = all
        ? intervalNotBelowNothing(all.start[term], all.errors.get(term)!, all.freedom)
        : { low: 0, high: Number.POSITIVE_INFINITY };
      return [term, { value: Math.min(high, Math.max(low, value(term))), low, high, there: low > 0 }];
    }),
  ) as Record<LossTerm, SpinTerm>;
  const speeds = times.slice(1).map((t, i) => ((places[i + 1]! - places[i]!) * step) / (t - times[i]!));
  const [fastest, slowest] = [Math.max(...speeds), Math.min(...speeds)];
  const quarter = Math.ceil(speeds.length / 4);
  const driven = median(speeds.slice(-quarter)) > median(speeds.slice(0, quarter));
  const speedRatio = fastest / slowest;
  return {
    terms,
    startRadPerS: best?.start.speed ?? rough.speed,
    timingS: (all ?? best)?.timingS ?? Number.NaN,
    lateS: (all ?? best)?.late ?? [],
    speedRatio,
    cannot: driven
      ? "the spool got faster on its way: take a run that nothing drives any more."
      : speedRatio < leastRange
        ? `speeds from ${slowest.toFixed(0)} to ${fastest.toFixed(0)} rad/s: under four to one the terms look alike. Let it run down further.`
        : "",
    standardStopS: stopSeconds(standardStartRadPerS, { a: value("a"), b: value("b"), c: value("c") }),
  };
}
