import { leastSquares } from "./least-squares";

/** Spin-down, dω/dt = −(a + b·ω + c·ω²); each is a torque over the inertia that turns, in rad, s. */
export interface SpinLosses {
  /** Rubbing, closed tension, grit, a dry or preloaded bearing: rad/s². */
  readonly a: number;
  /** Shear of oil or grease, eddy currents of magnets: 1/s. */
  readonly b: number;
  /** Air, centrifugal blocks: 1/rad. */
  readonly c: number;
}
export const lossTerms = ["a", "b", "c"] as const;
export type LossTerm = (typeof lossTerms)[number];
export const lossWords: Readonly<Record<LossTerm, string>> = {
  a: "rubbing: closed tension, grit, a dry or preloaded bearing",
  b: "shear: oil, grease, magnets (take it again with magnets at zero)",
  c: "air and centrifugal blocks (take it again with the blocks parked)",
};

/** Seconds until it stands; infinite where nothing rubs. Closed forms by the sign of 4ac − b², with a tolerance at zero. */
export function stopSeconds(startRadPerS: number, { a, b, c }: SpinLosses): number {
  const w0 = startRadPerS;
  if (a <= 0) return Number.POSITIVE_INFINITY;
  if (c < 1e-15) return b < 1e-15 ? w0 / a : Math.log(1 + (b * w0) / a) / b;
  const d = 4 * a * c - b * b;
  if (Math.abs(d) < 1e-12 * Math.max(4 * a * c, b * b)) return b > 0 ? 2 / b - 2 / (2 * c * w0 + b) : w0 / (a + c * w0);
  if (d > 0) {
    const root = Math.sqrt(d);
    return (2 / root) * (Math.atan((2 * c * w0 + b) / root) - Math.atan(b / root));
  }
  const root = Math.sqrt(-d);
  return (1 / root) * Math.log(((2 * c * w0 + b - root) * (b + root)) / ((2 * c * w0 + b + root) * (b - root)));
}

/** Speed and angle at times, walked with the rule of Runge and Kutta; stands still once it stands. @param steps a second. */
export function spinDown(
  startRadPerS: number,
  { a, b, c }: SpinLosses,
  seconds: number,
  steps = 200,
): { t: number; speed: number; angle: number }[] {
  const slow = (w: number) => (w > 0 ? -(a + b * w + c * w * w) : 0);
  const points = [{ t: 0, speed: startRadPerS, angle: 0 }];
  const h = 1 / steps;
  for (let i = 1; i <= Math.round(seconds * steps); i++) {
    const { speed: w, angle } = points.at(-1)!;
    const k1 = slow(w);
    const k2 = slow(w + (h / 2) * k1);
    const k3 = slow(w + (h / 2) * k2);
    const k4 = slow(w + h * k3);
    const next = Math.max(0, w + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4));
    points.push({ t: i * h, speed: next, angle: angle + (h / 6) * (w + 4 * Math.max(0, w + (h / 2) * k2) + next) });
    if (next === 0) break;
  }
  return points;
}

export interface SpinTerm {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Its 95 % interval excludes nothing: it is there. */
  readonly there: boolean;
}

export interface SpinFit {
  readonly terms: Readonly<Record<LossTerm, SpinTerm>>;
  readonly startRadPerS: number;
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

/**
 * Losses of a spin-down from the times of its pulses. Speed over each turn's part is known from its two pulses; integrated, the law is linear:
 * ω = ω₀ − a·t − b·θ − c·∫ω dθ, so counted angles do the smoothing. Negative terms are left out, the one that gains least first.
 * @param times seconds, rising. @param pulsesPerTurn marks on the spool. @throws RangeError for fewer than eight pulses or times that do not rise.
 */
export function fitSpin(times: readonly number[], pulsesPerTurn: number): SpinFit {
  if (!(pulsesPerTurn >= 1 && Number.isInteger(pulsesPerTurn))) throw new RangeError("fitSpin: pulses a turn is a whole number from 1");
  if (times.length < 8) throw new RangeError("fitSpin: at least eight pulses");
  if (times.some((t, i) => i > 0 && !(t > times[i - 1]!))) throw new RangeError("fitSpin: the times do not rise");
  const step = (2 * Math.PI) / pulsesPerTurn;
  const speeds = times.slice(1).map((t, i) => step / (t - times[i]!));
  // Where the mean speed of an interval is passed, to second order: its middle in time.
  const t0 = times[0]!;
  const at = times.slice(1).map((t, i) => (t + times[i]!) / 2 - t0);
  const angle = speeds.map((_, i) => (i + 0.5) * step);
  let squared = 0;
  const integral = speeds.map((speed) => {
    const here = squared + (speed * step) / 2;
    squared += speed * step;
    return here;
  });
  const regressors: Record<LossTerm, readonly number[]> = { a: at, b: angle, c: integral };
  // Fast intervals are short and timed worse: a timing error of a constant size weighs as the square of the speed.
  const weight = speeds.map((speed) => 1 / (speed * speed));
  const fitOf = (kept: readonly LossTerm[]) =>
    leastSquares(
      speeds.map((_, i) => [weight[i]!, ...kept.map((term) => -regressors[term][i]! * weight[i]!)]),
      speeds.map((speed, i) => speed * weight[i]!),
    );
  let kept: LossTerm[] = [...lossTerms];
  let fit = fitOf(kept);
  while (kept.some((_, i) => fit.coefficients[i + 1]! < 0)) {
    const worst = kept.reduce(
      (least, _, i) => (fit.coefficients[i + 1]! / fit.errors[i + 1]! < fit.coefficients[least + 1]! / fit.errors[least + 1]! ? i : least),
      0,
    );
    kept = kept.filter((_, i) => i !== worst);
    fit = kept.length ? fitOf(kept) : fitOf([]);
  }
  const none: SpinTerm = { value: 0, low: 0, high: 0, there: false };
  const terms = Object.fromEntries(
    lossTerms.map((term): [LossTerm, SpinTerm] => {
      const i = kept.indexOf(term);
      if (i < 0) return [term, none];
      const value = fit.coefficients[i + 1]!;
      const half = 1.96 * fit.errors[i + 1]!;
      return [term, { value, low: Math.max(0, value - half), high: value + half, there: value - half > 0 }];
    }),
  ) as Record<LossTerm, SpinTerm>;
  const speedRatio = Math.max(...speeds) / Math.min(...speeds);
  return {
    terms,
    startRadPerS: fit.coefficients[0]!,
    speedRatio,
    cannot:
      speedRatio < leastRange
        ? `speeds from ${Math.min(...speeds).toFixed(0)} to ${Math.max(...speeds).toFixed(0)} rad/s: under four to one the terms look alike. Let it run down further.`
        : "",
    standardStopS: stopSeconds(standardStartRadPerS, { a: terms.a.value, b: terms.b.value, c: terms.c.value }),
  };
}
