export interface LotNeed {
  /** Expected number among the rest. */
  readonly mean: number;
  /** In eight lots of ten the number lies between these, both included. */
  readonly low: number;
  readonly high: number;
}

/**
 * How many of the reels nobody has opened yet will have a fault, from those that were: a Beta prior moved by what was proved and ruled out, and
 * the rest drawn from it (beta-binomial distribution).
 * @param prior what the trade or the shop thinks of one such reel. @param weight reels that thought is worth.
 * @throws RangeError for counts that cannot be.
 */
export function lotNeed(prior: number, counted: { proved: number; settled: number }, rest: number, weight = 4): LotNeed {
  if (!(prior > 0 && prior < 1) || counted.proved < 0 || counted.proved > counted.settled || rest < 0 || !Number.isInteger(rest))
    throw new RangeError("lotNeed: a prior between 0 and 1, proved not above settled, a whole rest");
  const a = prior * weight + counted.proved;
  const b = (1 - prior) * weight + counted.settled - counted.proved;
  // P(k) by its ratio to P(k − 1), scaled at the end: no factorials.
  const shares = [1];
  for (let k = 1; k <= rest; k++) shares.push((shares[k - 1]! * (rest - k + 1) * (a + k - 1)) / (k * (b + rest - k)));
  const total = shares.reduce((sum, share) => sum + share, 0);
  const quantile = (q: number) => {
    let sum = 0;
    for (let k = 0; k <= rest; k++) {
      sum += shares[k]! / total;
      if (sum >= q - 1e-12) return k;
    }
    return rest;
  };
  return { mean: (rest * a) / (a + b), low: quantile(0.1), high: quantile(0.9) };
}
