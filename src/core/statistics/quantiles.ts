import jstat from "jstat";

const { jStat } = jstat;

/** Student's t that a two-sided 95 % interval reaches to either side; infinite where no freedom is left. @param freedom readings less what was fitted. */
export const t95 = (freedom: number): number => (freedom >= 1 ? jStat.studentt.inv(0.975, freedom) : Number.POSITIVE_INFINITY);

/** Chi-square below which 95 of 100 lie. */
export const chiSquare95 = (freedom: number): number => jStat.chisquare.inv(0.95, freedom);

/** Fisher's F below which 95 of 100 lie. @param one freedom of the numerator. @param other freedom of the denominator. */
export const f95 = (one: number, other: number): number => (other >= 1 ? jStat.centralF.inv(0.95, one, other) : Number.POSITIVE_INFINITY);

/** Chance of at most k for a Poisson count (the incomplete gamma function). @param k a whole number from 0. @param mean above 0. */
export const poissonAtMost = (k: number, mean: number): number => 1 - jStat.lowRegGamma(k + 1, mean);

/**
 * Chance of at most k for a negative binomial count with this mean and a larger variance (the incomplete beta function).
 * @param k a whole number from 0.
 */
export function negativeBinomialAtMost(k: number, mean: number, variance: number): number {
  const size = mean ** 2 / (variance - mean);
  return jStat.ibeta(size / (size + mean), size, k + 1);
}

/** Student's t below which a share of all lies. @param freedom from 1. */
export const tQuantile = (share: number, freedom: number): number => jStat.studentt.inv(share, freedom);
