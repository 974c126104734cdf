/**
 * A net of faults and findings, by number. A fault is there or not, by itself (its prior); each finding is there when a present fault brings
 * it about (its strength) or something outside the net does (its leak), every way by itself: a noisy OR (Pearl 1988). What was seen of a
 * finding is soft evidence: how likely that observation is with the finding there, and without.
 */
export interface Alternative {
  readonly prior: number;
  /** Probability that this one alone brings a finding about, by the finding's number; 0 where it never does. */
  readonly strengths: readonly number[];
}

/** One of several alternatives is so, or none: a plain fault is a cause with one alternative. Their priors add up to at most 1. */
export interface Cause {
  readonly alternatives: readonly Alternative[];
}

export interface Net {
  readonly causes: readonly Cause[];
  /** By finding: the probability that it is there though no fault of the net is. */
  readonly leaks: readonly number[];
}

/** One net of a mixture: what the same faults and findings are like after one history. The weights need not add up to 1. */
export interface WeightedNet {
  readonly weight: number;
  readonly net: Net;
}

/** How likely what was observed is without the finding and with it; both 0 cannot be. A finding nobody asked about has none. */
export type Weight = readonly [without: number, withIt: number];
export type Evidence = ReadonlyMap<number, Weight>;

/** @throws RangeError for a number that is no probability: only a programmer can cause that. */
export function checkNet(net: Net): void {
  const probability = (p: number, what: string) => {
    if (!(p >= 0 && p <= 1)) throw new RangeError(`net: ${what} is ${p}, which is no probability`);
  };
  for (const [x, leak] of net.leaks.entries()) probability(leak, `leak ${x}`);
  net.causes.forEach((cause, f) => {
    for (const { prior, strengths } of cause.alternatives) {
      probability(prior, `prior of cause ${f}`);
      if (strengths.length !== net.leaks.length)
        throw new RangeError(`net: cause ${f} has ${strengths.length} strengths for ${net.leaks.length} findings`);
      for (const [x, q] of strengths.entries()) probability(q, `strength ${f} to ${x}`);
    }
    const sum = cause.alternatives.reduce((total, { prior }) => total + prior, 0);
    if (sum > 1 + 1e-12) throw new RangeError(`net: the priors of cause ${f} add up to ${sum}`);
  });
}
