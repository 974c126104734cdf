import jstat from "jstat";
import { t95 } from "./quantiles";

const { studentt, normal } = jstat.jStat;

/** Where a function that falls through nothing does so. */
function crossing(of: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  for (let i = 0; i < 48; i++) {
    const middle = (a + b) / 2;
    if (of(middle) > 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * How often, were `truth` the truth, a reading would fit it no better than this one does beside the best truth that is not below nothing: the
 * order of Feldman and Cousins for a reading with a normal error of 1.
 */
function asBad(reading: number, truth: number): number {
  const logRatio = (Math.min(0, reading) ** 2 - (reading - truth) ** 2) / 2;
  if (logRatio >= 0) return 1;
  const apart = Math.sqrt(-2 * logRatio);
  const above = 1 - normal.cdf(apart, 0, 1);
  if (truth === 0) return above;
  const below = truth - apart >= 0 ? truth - apart : (logRatio + truth ** 2 / 2) / truth;
  return above + normal.cdf(below - truth, 0, 1);
}

/**
 * The 95 % interval of a quantity that cannot be below nothing, from an estimate that may be (Feldman & Cousins 1998; Student's t brought to the
 * normal): it holds the truth in 95 of 100 cases also where that is nil, which an interval cut off at nothing does more often, and it is never
 * empty. @param estimate unbiased, in any unit. @param error its standard error. @param freedom of the error.
 */
export function intervalNotBelowNothing(estimate: number, error: number, freedom: number): { low: number; high: number } {
  if (!(freedom >= 1) || !Number.isFinite(error)) return { low: 0, high: Number.POSITIVE_INFINITY };
  if (error === 0) return { low: Math.max(0, estimate), high: Math.max(0, estimate) };
  const x = estimate / error;
  const reach = t95(freedom);
  // Far above nothing it is the plain interval.
  if (x > 3 * reach) return { low: error * (x - reach), high: error * (x + reach) };
  const doubt = (truth: number) => asBad(truth + normal.inv(studentt.cdf(x - truth, freedom), 0, 1), truth) - 0.05;
  const best = Math.max(0, x);
  const low = doubt(0) >= 0 ? 0 : crossing((truth) => -doubt(truth), 0, best);
  const high = crossing(doubt, best, best + 3 * reach);
  return { low: error * low, high: error * high };
}
