import type { Life } from "./kaplan-meier";

/** A law of lives: half of them last `median`; `shape` 1 ends at any age alike, above it the more with age. */
export interface LifeLaw {
  readonly median: number;
  readonly shape: number;
}

/** What is believed before lives were seen, each on a log scale: a middle and a standard deviation. */
export interface LifeBelief {
  readonly logMedian: number;
  readonly logMedianSpread: number;
  readonly logShape: number;
  readonly logShapeSpread: number;
}

export interface LifeFit extends LifeLaw {
  readonly lives: number;
  readonly ended: number;
  /** Covariance of log median and log shape (Laplace: the inverse curvature at the best fit). */
  readonly covariance: readonly [readonly [number, number], readonly [number, number]];
}

const ln2 = Math.LN2;

/** Log likelihood of lives under a Weibull law with a log median and a log shape. */
function logLikelihood(lives: readonly Life[], logMedian: number, logShape: number): number {
  const shape = Math.exp(logShape);
  let sum = 0;
  for (const { time, ended } of lives) {
    const age = shape * (Math.log(Math.max(1e-9, time)) - logMedian);
    // The cumulative hazard reaches ln 2 at the median.
    sum -= ln2 * Math.exp(age);
    if (ended) sum += Math.log(ln2) + logShape + age - Math.log(Math.max(1e-9, time));
  }
  return sum;
}

const beliefAt = (belief: LifeBelief | null, logMedian: number, logShape: number): number =>
  belief
    ? -0.5 * ((logMedian - belief.logMedian) / belief.logMedianSpread) ** 2 -
      0.5 * ((logShape - belief.logShape) / belief.logShapeSpread) ** 2
    : 0;

/**
 * Fits a Weibull law to lives, some of them cut off, by the greatest likelihood times what is believed: with few lives the belief counts, with many
 * it fades. By Newton's method in the logs of median and shape, halving a step that makes it worse.
 * @param belief null for the likelihood alone; then at least two lives have to have ended, at different ages. @throws RangeError for less.
 */
export function fitLives(lives: readonly Life[], belief: LifeBelief | null): LifeFit {
  const ended = lives.filter((life) => life.ended);
  if (!belief && ended.length < 2) throw new RangeError(`fitLives: ${ended.length} lives ended; two are the least without a belief`);
  // Lives that all end at one age, with none seen beyond it, fit any shape the better the steeper it is: of their spread nothing can be told.
  if (!belief && ended.every(({ time }) => time === ended[0]!.time) && lives.every(({ time }) => time <= ended[0]!.time))
    throw new RangeError("fitLives: all of them ended at one age, so nothing can be told of how lives spread; more of them are needed");
  const value = (m: number, s: number) => logLikelihood(lives, m, s) + beliefAt(belief, m, s);
  const middle = ended.length ? ended.reduce((sum, { time }) => sum + Math.log(Math.max(1e-9, time)), 0) / ended.length : 0;
  let [m, s] = belief ? [belief.logMedian, belief.logShape] : [middle, 0.2];
  let at = value(m, s);
  const step = 1e-4;
  const curvature = (x: number, y: number) => {
    const f = (dx: number, dy: number) => value(x + dx * step, y + dy * step);
    const centre = f(0, 0);
    const gm = (f(1, 0) - f(-1, 0)) / (2 * step);
    const gs = (f(0, 1) - f(0, -1)) / (2 * step);
    const mm = (f(1, 0) - 2 * centre + f(-1, 0)) / step ** 2;
    const ss = (f(0, 1) - 2 * centre + f(0, -1)) / step ** 2;
    const ms = (f(1, 1) - f(1, -1) - f(-1, 1) + f(-1, -1)) / (4 * step ** 2);
    return { gm, gs, mm, ss, ms };
  };
  for (let round = 0; round < 100; round++) {
    const { gm, gs, mm, ss, ms } = curvature(m, s);
    const determinant = mm * ss - ms * ms;
    // Away from the top the curvature may be no dome: then it goes uphill a little.
    const dome = mm < 0 && determinant > 1e-12;
    let dm = dome ? (-ss * gm + ms * gs) / determinant : gm / (1 + Math.abs(mm));
    let ds = dome ? (ms * gm - mm * gs) / determinant : gs / (1 + Math.abs(ss));
    const length = Math.hypot(dm, ds);
    if (length > 1) [dm, ds] = [dm / length, ds / length];
    let next = value(m + dm, s + ds);
    for (let half = 0; half < 30 && !(next >= at); half++) {
      [dm, ds] = [dm / 2, ds / 2];
      next = value(m + dm, s + ds);
    }
    [m, s, at] = [m + dm, s + ds, next];
    if (Math.hypot(dm, ds) < 1e-7) break;
  }
  const { mm, ss, ms } = curvature(m, s);
  const determinant = Math.max(1e-12, mm * ss - ms * ms);
  return {
    median: Math.exp(m),
    shape: Math.exp(s),
    lives: lives.length,
    ended: ended.length,
    covariance: [
      [-ss / determinant, ms / determinant],
      [ms / determinant, -mm / determinant],
    ],
  };
}

/** The time by which a share has ended. */
export const lifeOf = ({ median, shape }: LifeLaw, ended: number): number => median * (-Math.log(1 - ended) / ln2) ** (1 / shape);

/** That time with its interval, in which the truth lies with 95 in 100: of the logs, by the curvature. */
export function lifeWithInterval(fit: LifeFit, ended: number): { readonly time: number; readonly low: number; readonly high: number } {
  const time = lifeOf(fit, ended);
  // log time = log median + log(hazard) / shape: its slopes are 1 and -log(hazard) / shape in the log shape.
  const slope = -Math.log(-Math.log(1 - ended) / ln2) / fit.shape;
  const [[mm, ms], [, ss]] = fit.covariance;
  const spread = Math.sqrt(Math.max(0, mm + 2 * slope * ms + slope ** 2 * ss));
  return { time, low: time * Math.exp(-1.96 * spread), high: time * Math.exp(1.96 * spread) };
}

/** A fit as the belief of a narrower group: as sure as it is, and as different as groups are. @param apart standard deviation of the log between groups. */
export const beliefOf = ({ median, shape, covariance }: LifeFit, apart: number): LifeBelief => ({
  logMedian: Math.log(median),
  logMedianSpread: Math.sqrt(covariance[0][0] + apart ** 2),
  logShape: Math.log(shape),
  logShapeSpread: Math.sqrt(covariance[1][1] + (apart / 2) ** 2),
});
