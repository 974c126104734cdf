import { median } from "@/core/quantile";
import { intervalNotBelowNothing } from "@/core/statistics/bounded-interval";
import { leastSquaresWithin } from "./least-squares";
import { type LossTerm, lossTerms, type SpinLosses, stopSeconds } from "./losses";
import { slowestEven, spreadAt } from "./pulse-spread";

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
  /** Spread of the timing of one pulse at the middle speed, s. */
  readonly timingS: number;
  /** How widely each pulse spreads against one at the middle speed: a slow one more where it is the angle that is uneven. */
  readonly spreads: readonly number[];
  /** How late each pulse came, by the law, s; empty where nothing could be fitted. */
  readonly lateS: readonly number[];
  readonly speedRatio: number;
  /** Its last quarter was slower than its first, by more than a hand that beats time ever is: a run that comes to its end. */
  readonly slowsDown: boolean;
  /** Why the terms cannot be told apart; empty when they can. */
  readonly cannot: string;
  /** Seconds from a standard start, for comparing one run with another. */
  readonly standardStopS: number;
}

/** Start speed runs are compared at: 1000 turns a minute. */
export const standardStartRadPerS = (1000 * 2 * Math.PI) / 60;
/** A beat, a tune, a spool that is driven keep their pace to a tenth or so; a free spool loses more on its way. */
const leastSlowing = 1.2;
/** Below this range of speeds the three terms look alike. */
const leastRange = 4;

/** Longest step of the walk between two pulses, s: the losses change a speed over seconds. */
const longestStepS = 0.1;
/** Pulses that are fitted one by one. */
const mostPulses = 1000;
/** Marks up to which the place of each is found with the losses, set by hand or cut; of more, the unevenness is taken as a spread of angle. */
const mostPlaced = 40;
/** Rounds in which the fit and what is known of its pulses' spread settle. */
const spreadRounds = 3;
/** Last pulses that are not asked for it: a stray sound there, or a pulse that was missed, looks like a spread that grows. */
const lastNotAsked = 3;
/** A pulse with less left to turn than so many times its spread of angle is too near the stand; it counts as so many times wider spread. */
const nearStandTimes = 15;
const farOff = 100;

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
  /** Regressors of the lateness, and speed, by pulse. */
  readonly rows: readonly (readonly number[])[];
  readonly speeds: readonly number[];
}

/**
 * Least squares on the times themselves: how late each pulse came is how far the angle is behind, over the speed there (Gauss and Newton, steps
 * halved until they help). @param marks which mark each pulse is of: each has a place of its own. @param spreads how widely each spreads, against
 * the others. @returns null where the readings cannot bear so many terms.
 */
function fitTimes(
  times: readonly number[],
  places: readonly number[],
  marks: readonly number[],
  step: number,
  kept: readonly LossTerm[],
  first: Start,
  spreads: readonly number[],
): TimesFit | null {
  const columns = ["speed", ...kept].map((name) => ["speed", ...lossTerms].indexOf(name));
  const lateness = ({ angles, speeds }: Passed, offsets: readonly number[]) =>
    places.map((place, i) => (place * step - offsets[marks[i]!]! - angles[i]!) / speeds[i]!);
  const squares = (late: readonly number[]) => late.reduce((sum, r, i) => sum + (r / spreads[i]!) ** 2, 0);
  let start: Start = { ...first, ...Object.fromEntries(lossTerms.filter((term) => !kept.includes(term)).map((term) => [term, 0])) };
  let offsets: readonly number[] = Array.from({ length: Math.max(...marks) + 1 }, () => 0);
  let passed = walk(times, start);
  if (!passed) return null;
  let late = lateness(passed, offsets);
  for (let round = 0; ; round++) {
    const { speeds, moved } = passed;
    const rows = speeds.map((w, i) => columns.map((column) => moved[i]![column]! / w));
    const linear = leastSquaresWithin(
      rows.map((row, i) => row.map((x) => x / spreads[i]!)),
      late.map((x, i) => x / spreads[i]!),
      marks,
      speeds.map((w, i) => 1 / (w * spreads[i]!)),
    );
    if (!linear) return null;
    const now = squares(late);
    let better = false;
    for (let share = 1; share > 1e-4 && !better; share /= 2) {
      const move = linear.coefficients.map((x) => x * share);
      const next: Start = {
        ...start,
        speed: start.speed + move[0]!,
        ...Object.fromEntries(kept.map((term, i) => [term, start[term] + move[i + 1]!])),
      };
      const then = walk(times, next);
      if (!then) continue;
      const placed = offsets.map((offset, mark) => offset + share * linear.offsets[mark]!);
      const after = lateness(then, placed);
      // Nor a step so far that nothing is a number any more.
      if (!(squares(after) <= now * (1 + 1e-12))) continue;
      better = squares(after) < now * (1 - 1e-9);
      [start, offsets, passed, late] = [next, placed, then, after];
      if (!better) break;
    }
    if (!better || round === 30)
      return {
        start,
        errors: new Map(kept.map((term, i) => [term, linear.errors[i + 1]!])),
        freedom: linear.freedom,
        timingS: linear.residualSd,
        late,
        rows,
        speeds,
      };
  }
}

/** Which of the marks that were heard each pulse is of; all of one where their places are not to be found. */
function marksOf(places: readonly number[], pulsesPerTurn: number): readonly number[] {
  if (pulsesPerTurn > mostPlaced || places.length < 5 + 3 * pulsesPerTurn) return places.map(() => 0);
  const heard = [...new Set(places.map((place) => place % pulsesPerTurn))];
  return places.map((place) => heard.indexOf(place % pulsesPerTurn));
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
 * @param allTimes seconds, rising. @param marksPerTurn marks on the spool; up to forty are taken as set or cut not quite evenly.
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
  const marks = marksOf(places, each === 1 ? marksPerTurn : 1);
  const step = ((2 * Math.PI) / marksPerTurn) * each;
  const rough = roughStart(times, places, step);
  const even = times.map(() => 1);
  let [spreads, wider, slow] = [even, even, 0];
  let all = fitTimes(times, places, marks, step, lossTerms, rough, spreads);
  for (let round = 0; all && round < spreadRounds; round++) {
    const before = slow;
    const asked = <T>(of: readonly T[]) => of.slice(0, times.length - lastNotAsked);
    slow = slowestEven(asked(all.rows), asked(all.late), asked(all.speeds), asked(marks), asked(wider));
    if (slow === before) break;
    const middle = spreadAt(median(all.speeds), slow);
    const { a, b, c } = all.start;
    const unevenRad = (slow * all.timingS) / middle;
    // So near its stand what a spool has left to turn is no straight line of time any more: such a pulse tells next to nothing.
    const leftRad = (w: number) => w ** 2 / (2 * Math.max(1e-12, a + (b + c * w) * w));
    wider = all.speeds.map((w) => (leftRad(w) < nearStandTimes * unevenRad ? farOff : 1));
    spreads = all.speeds.map((w, i) => (spreadAt(w, slow) / middle) * wider[i]!);
    all = fitTimes(times, places, marks, step, lossTerms, all.start, spreads) ?? all;
  }
  let kept: readonly LossTerm[] = lossTerms;
  let best = all;
  while (kept.length && (!best || kept.some((term) => best!.start[term] < 0))) {
    const sure = (term: LossTerm) => (best ? best.start[term] / best.errors.get(term)! : 0);
    const worst = kept.reduce((least, term) => (sure(term) < sure(least) ? term : least));
    kept = kept.filter((term) => term !== worst);
    const fitFrom = (start: Start) => fitTimes(times, places, marks, step, kept, start, spreads);
    best = fitFrom(best?.start ?? rough) ?? fitFrom(rough);
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
  const [early, late] = [median(speeds.slice(0, quarter)), median(speeds.slice(-quarter))];
  const driven = late > early;
  const speedRatio = fastest / slowest;
  return {
    terms,
    startRadPerS: best?.start.speed ?? rough.speed,
    timingS: (all ?? best)?.timingS ?? Number.NaN,
    lateS: (all ?? best)?.late ?? [],
    spreads,
    speedRatio,
    slowsDown: early >= leastSlowing * late,
    cannot: driven
      ? "the spool got faster on its way: take a run that nothing drives any more."
      : speedRatio < leastRange
        ? `speeds from ${slowest.toFixed(0)} to ${fastest.toFixed(0)} rad/s: under four to one the terms look alike. Let it run down further.`
        : "",
    standardStopS: stopSeconds(standardStartRadPerS, { a: value("a"), b: value("b"), c: value("c") }),
  };
}
