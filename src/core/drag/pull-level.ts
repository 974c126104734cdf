import { leastSquares } from "@/core/spin/least-squares";

/** The scale shows steps of 0.2 N: their standard deviation, if all places within are alike. */
export const stepSd = 0.2 / Math.sqrt(12);
/** A swing of less than this share of the level, or one that explains less than half of the scatter, is no pulsing. */
const leastPulse = 0.05;

/** A swing that comes again and again. */
export interface Pulsing {
  readonly periodMs: number;
  /** Its amplitude over the level. */
  readonly share: number;
}

/** What a stretch of a pull's trace stands at, N. */
export interface Level {
  readonly mean: number;
  /** From its beginning to its end, and in its middle over its ends, as shares of the mean. */
  readonly rise: number;
  readonly bow: number;
  readonly pulsing: Pulsing | null;
  /** Standard deviation of what is left, N. */
  readonly scatter: number;
  /** Standard error of the mean, N, the scale's own step in it, and its freedom. */
  readonly meanError: number;
  readonly freedom: number;
}

/**
 * How many independent readings some that follow each other are worth, by how alike neighbours are: n·(1 − ρ)/(1 + ρ), 4 at least, with ρ
 * unbiased for what is left about a bowed line.
 * @param rest what is left of each reading, N.
 */
export function worthOf(rest: readonly number[]): number {
  const square = rest.reduce((sum, r) => sum + r * r, 0);
  // What is left far under a step of the scale is rounding, which tells nothing.
  if (Math.sqrt(square / rest.length) <= stepSd / 100) return rest.length;
  const follow = rest.slice(1).reduce((sum, r, i) => sum + r * rest[i]!, 0) / square;
  // About a level, a slope and a bow it comes out too small by so much (Shaman and Stine 1988).
  const alike = Math.min(0.95, Math.max(0, follow + (3 + 5 * follow) / rest.length));
  return Math.max(4, (rest.length * (1 - alike)) / (1 + alike));
}

/** The level of a stretch with its slope, its bow and its strongest swing. @param times ms, rising. @param forces N, as many. */
export function levelOf(times: readonly number[], forces: readonly number[]): Level {
  const [from, to] = [times[0]!, times.at(-1)!];
  const basis = times.map((t) => {
    const u = (2 * (t - from)) / (to - from) - 1;
    return [1, u, (3 * u * u - 1) / 2];
  });
  const withSwing = (cycles: number) => {
    const w = (2 * Math.PI * cycles) / (to - from);
    return basis.map((row, i) => [...row, Math.cos(w * (times[i]! - from)), Math.sin(w * (times[i]! - from))]);
  };
  const plain = leastSquares(basis, forces);
  let best = { fit: plain, cycles: 0 };
  // Two whole swings at least, four samples to each at least; a swing too quick for that is scatter.
  const mostCycles = Math.min(60, (times.length - 1) / 4);
  for (let cycles = 2; cycles <= mostCycles; cycles += 0.25) {
    const fit = leastSquares(withSwing(cycles), forces);
    if (fit.residualSd < best.fit.residualSd) best = { fit, cycles };
  }
  const share = best.cycles ? Math.hypot(best.fit.coefficients[3]!, best.fit.coefficients[4]!) / best.fit.coefficients[0]! : 0;
  const pulses = share >= leastPulse && best.fit.residualSd ** 2 < plain.residualSd ** 2 / 2;
  const fit = pulses ? best.fit : plain;
  const rows = pulses ? withSwing(best.cycles) : basis;
  const worth = worthOf(forces.map((force, i) => force - rows[i]!.reduce((sum, x, j) => sum + x * fit.coefficients[j]!, 0)));
  const [mean, slope, curve] = fit.coefficients as readonly [number, number, number];
  return {
    mean,
    rise: (2 * slope) / mean,
    bow: (1.5 * -curve) / mean,
    pulsing: pulses ? { periodMs: (to - from) / best.cycles, share } : null,
    scatter: fit.residualSd,
    meanError: Math.hypot(fit.residualSd / Math.sqrt(worth), stepSd),
    freedom: Math.max(1, Math.floor(worth) - 3),
  };
}
