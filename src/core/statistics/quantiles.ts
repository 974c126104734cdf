import jstat from "jstat";

const { jStat } = jstat;

/** Student's t that a two-sided 95 % interval reaches to either side; infinite where no freedom is left. @param freedom readings less what was fitted. */
export const t95 = (freedom: number): number => (freedom >= 1 ? jStat.studentt.inv(0.975, freedom) : Number.POSITIVE_INFINITY);

/** Chi-square below which 95 of 100 lie. */
export const chiSquare95 = (freedom: number): number => jStat.chisquare.inv(0.95, freedom);

/** Fisher's F below which 95 of 100 lie. @param one freedom of the numerator. @param other freedom of the denominator. */
export const f95 = (one: number, other: number): number => (other >= 1 ? jStat.centralF.inv(0.95, one, other) : Number.POSITIVE_INFINITY);
