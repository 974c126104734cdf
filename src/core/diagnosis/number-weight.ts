import type { Weight } from "./net";

/** What a reading usually is on such a reel: the median, and the spread of its logarithm (0.25 is about a quarter up or down). */
export interface Norm {
  readonly median: number;
  readonly spread: number;
  /** Readings it was learned from; 0 for a rule of thumb. */
  readonly count: number;
}

/** No reading by hand speaks more than this for or against: it may have been taken wrongly. */
const mostOdds = 40;
/** Spreads towards the bad side at which a reading speaks neither way, and how fast it then speaks (rule of thumb). */
const [neutral, slope] = [1.2, 1.6];

/**
 * What a reading says of its finding, smoothly and never by a cliff: the logarithm of the odds grows with the spreads the reading lies on the bad
 * side of its norm, and levels off.
 * @param better which way is better for this test. @throws RangeError for a norm or value that cannot be.
 */
export function numberWeight(value: number, norm: Norm, better: "more" | "less"): Weight {
  if (!(norm.median > 0) || !(norm.spread > 0) || !(value >= 0))
    throw new RangeError("numberWeight: a norm above nothing, a value of at least nothing");
  // A reading of nothing at all is as far off as a hundredth of the norm.
  const off = Math.log(Math.max(value, norm.median / 100) / norm.median) / norm.spread;
  const bad = better === "more" ? -off : off;
  const most = Math.log(mostOdds);
  const odds = Math.exp(most * Math.tanh((slope * (bad - neutral)) / most));
  return [1 / (1 + odds), odds / (1 + odds)];
}

const oddsOf = ([without, withIt]: Weight): number => Math.log(Math.max(withIt, 1e-9) / Math.max(without, 1e-9));

/** Of two that say the same the weaker counts half: hand and number felt one thing. Against the hand a number counts half as much as the hand. */
const half = 0.5;

/**
 * A number and a technician's verdict on the same test, together: neither is dropped. Where they disagree the verdict outweighs the norm, which
 * belongs to other reels; the number only makes it less sure.
 */
export function withVerdict(number: Weight, verdict: Weight): Weight {
  const [n, v] = [oddsOf(number), oddsOf(verdict)];
  const together =
    n * v >= 0
      ? Math.sign(n || v) * (Math.max(Math.abs(n), Math.abs(v)) + half * Math.min(Math.abs(n), Math.abs(v)))
      : v + Math.sign(n) * Math.min(Math.abs(n), half * Math.abs(v));
  const odds = Math.exp(together);
  return [1 / (1 + odds), odds / (1 + odds)];
}
