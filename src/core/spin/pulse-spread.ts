import { leastSquaresWithin } from "./least-squares";

/**
 * How much of a pulse's spread is of angle: a tongue that lets go a little early or late, teeth cut unevenly. That takes the longer the slower
 * the spool turns, where the spread of a timer or of a recording stays as it is.
 */

/** Spreads of angle that are tried: at the middle speed as large as so many times that of time. */
export const sharesTried = [0.1, 0.2, 0.4, 0.7, 1, 1.5, 2.5, 5, 20] as const;
/** Twice the gain in log likelihood from which an even spread is given up (chi squared of one degree, at its border: 1 in 40). */
const gainFrom = 3.84;

/** How much more a pulse spreads at a speed, as its standard deviation. @param slow speed at which both spreads are alike, rad/s; 0 for none of angle. */
export const spreadAt = (speed: number, slow: number): number => Math.hypot(1, slow / speed);

/**
 * The speed at which the spread of angle is as large as that of time, rad/s, by the likeliest of some, the fitted coefficients allowed for
 * (restricted maximum likelihood, Patterson and Thompson 1971). 0 where the pulses do not speak for any.
 * @param rows regressors of each pulse's lateness. @param late s. @param speeds rad/s. @param marks which mark each is of, each with a place of its own.
 * @param wider how many times as wide some pulses spread for other reasons.
 */
export function slowestEven(
  rows: readonly (readonly number[])[],
  late: readonly number[],
  speeds: readonly number[],
  marks: readonly number[],
  wider: readonly number[],
): number {
  if (late.length - rows[0]!.length - Math.max(...marks) < 4) return 0;
  const middle = Math.exp(speeds.reduce((sum, w) => sum + Math.log(w), 0) / speeds.length);
  /** Minus twice the log likelihood, without what is the same for all. */
  const against = (slow: number): number => {
    const spreads = speeds.map((w, i) => spreadAt(w, slow) * wider[i]!);
    const fit = leastSquaresWithin(
      rows.map((row, i) => row.map((x) => x / spreads[i]!)),
      late.map((x, i) => x / spreads[i]!),
      marks,
      speeds.map((w, i) => 1 / (w * spreads[i]!)),
    );
    if (!fit) return Number.POSITIVE_INFINITY;
    return 2 * spreads.reduce((sum, s) => sum + Math.log(s), 0) + 2 * fit.freedom * Math.log(fit.residualSd) + fit.logDeterminant;
  };
  let [best, least] = [0, against(0) - gainFrom];
  for (const share of sharesTried) {
    const here = against(share * middle);
    if (here < least) [best, least] = [share * middle, here];
  }
  return best;
}
