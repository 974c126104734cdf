/** How much one measuring of a model's number scatters, and how much models of a family differ, as shares (rule of thumb). */
const measuredShare = 0.15;
const familyShare = 0.4;

const meanLog = (values: readonly number[]) => values.reduce((sum, value) => sum + Math.log(value), 0) / values.length;

/**
 * A model's own number from what was measured on its reels, drawn to its family by as much as the measurings leave open: one is drawn a little, many
 * hardly at all, none is the family's. In logarithms, for such numbers differ by shares. @param own measured on this model. @param family one number
 * for each other model of the family. @param usual what to begin with where nobody measured. All above 0.
 */
export function shrunk(own: readonly number[], family: readonly number[], usual: number): number {
  // What to begin with counts as one model of the family.
  const centre = meanLog([...family, usual]);
  if (!own.length) return Math.exp(centre);
  const ofOwn = own.length / measuredShare ** 2;
  const ofFamily = 1 / (familyShare ** 2 * (1 + 1 / (family.length + 1)));
  return Math.exp((meanLog(own) * ofOwn + centre * ofFamily) / (ofOwn + ofFamily));
}
