import type { Alternative, Cause, Evidence, Net } from "./net";

/**
 * Inference in a noisy-OR net without alternating signs. The findings that are not plainly absent span a table over their subsets: w[S] is the
 * probability that exactly the findings of S are there, given the causes folded in so far, and that the plainly absent ones are not. It starts
 * with the leaks; folding a cause in gives
 *
 *     w' = p0·w + Σ_i p_i · Π_absent(1 − q_ix) · T_i(w)
 *
 * where T_i moves mass from S to S∪{x} with probability q_ix. All terms are positive, so nothing is lost on unlikely evidence, where the
 * textbook sum over subsets of the present findings (Heckerman 1990, "quickscore") loses all digits. One forward and one backward pass give
 * every marginal in O(causes · k · 2^k) for k findings of the table.
 */
export interface Passes {
  /** Probability of the evidence. */
  readonly evidence: number;
  /** forward[f]: the table before cause f; forward[n] is the last. */
  readonly forward: readonly Float64Array[];
  /** backward[f]: for each subset, how likely the evidence is if the causes from f on are still to come. */
  readonly backward: readonly Float64Array[];
  readonly causes: readonly FoldedCause[];
}

interface FoldedAlternative {
  readonly prior: number;
  /** Π over the plainly absent findings that this alternative does not bring them about. */
  readonly keepsAbsent: number;
  /** Strength by place in the table. */
  readonly strengths: readonly number[];
}

export interface FoldedCause {
  readonly none: number;
  readonly alternatives: readonly FoldedAlternative[];
  /** It can say nothing of what was seen, and leaves every table as it is. */
  readonly silent: boolean;
}

/** The findings of the table, and those that are plainly absent; asked about and nothing else. */
export function split(evidence: Evidence): { table: number[]; absent: number[]; scale: number } {
  const table: number[] = [];
  const absent: number[] = [];
  let scale = 1;
  for (const [finding, [without, withIt]] of evidence) {
    if (withIt === 0) {
      absent.push(finding);
      scale *= without;
    } else table.push(finding);
  }
  return { table, absent, scale };
}

export function foldCause(cause: Cause, table: readonly number[], absent: readonly number[]): FoldedCause {
  const fold = ({ prior, strengths }: Alternative): FoldedAlternative => ({
    prior,
    keepsAbsent: absent.reduce((product, x) => product * (1 - strengths[x]!), 1),
    strengths: table.map((x) => strengths[x]!),
  });
  const alternatives = cause.alternatives.map(fold);
  return {
    none: 1 - alternatives.reduce((sum, { prior }) => sum + prior, 0),
    alternatives,
    silent: alternatives.every(({ keepsAbsent, strengths }) => keepsAbsent === 1 && strengths.every((q) => q === 0)),
  };
}

/** The table before any cause: leaks alone. */
export function leakTable(net: Net, table: readonly number[], absent: readonly number[], scale: number): Float64Array {
  const size = 1 << table.length;
  const w = new Float64Array(size);
  w[0] = absent.reduce((product, x) => product * (1 - net.leaks[x]!), scale);
  table.forEach((finding, bit) => {
    const leak = net.leaks[finding]!;
    const mask = 1 << bit;
    for (let s = 0; s < mask; s++) {
      w[s | mask] = w[s]! * leak;
      w[s] = w[s]! * (1 - leak);
    }
  });
  return w;
}

/** T: mass moves from S to S∪{x}, each finding by itself. In place. */
function spread(w: Float64Array, strengths: readonly number[]): Float64Array {
  for (let bit = 0; bit < strengths.length; bit++) {
    const q = strengths[bit]!;
    if (q === 0) continue;
    const mask = 1 << bit;
    for (let block = 0; block < w.length; block += mask << 1)
      for (let s = block; s < block + mask; s++) {
        const mass = w[s]!;
        w[s + mask] = w[s + mask]! + mass * q;
        w[s] = mass * (1 - q);
      }
  }
  return w;
}

/** The transpose of T: what is expected of S once the cause has acted. In place. */
function gather(b: Float64Array, strengths: readonly number[]): Float64Array {
  for (let bit = 0; bit < strengths.length; bit++) {
    const q = strengths[bit]!;
    if (q === 0) continue;
    const mask = 1 << bit;
    for (let block = 0; block < b.length; block += mask << 1)
      for (let s = block; s < block + mask; s++) b[s] = (1 - q) * b[s]! + q * b[s + mask]!;
  }
  return b;
}

export function foldIn(w: Float64Array, cause: FoldedCause): Float64Array {
  if (cause.silent) return w;
  const out = w.map((mass) => mass * cause.none);
  for (const { prior, keepsAbsent, strengths } of cause.alternatives) {
    const moved = spread(w.slice(), strengths);
    const factor = prior * keepsAbsent;
    for (let s = 0; s < out.length; s++) out[s] = out[s]! + factor * moved[s]!;
  }
  return out;
}

function foldBack(b: Float64Array, cause: FoldedCause): Float64Array {
  if (cause.silent) return b;
  const out = b.map((mass) => mass * cause.none);
  for (const { prior, keepsAbsent, strengths } of cause.alternatives) {
    const seen = gather(b.slice(), strengths);
    const factor = prior * keepsAbsent;
    for (let s = 0; s < out.length; s++) out[s] = out[s]! + factor * seen[s]!;
  }
  return out;
}

export const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let s = 0; s < a.length; s++) sum += a[s]! * b[s]!;
  return sum;
};

/** The likelihood of what was seen, for each subset of the table's findings. */
export function weightTable(weights: readonly (readonly [number, number])[]): Float64Array {
  const b = new Float64Array(1 << weights.length);
  b[0] = 1;
  weights.forEach(([without, withIt], bit) => {
    const mask = 1 << bit;
    for (let s = 0; s < mask; s++) {
      b[s | mask] = b[s]! * withIt;
      b[s] = b[s]! * without;
    }
  });
  return b;
}

export function forwardPass(net: Net, table: readonly number[], absent: readonly number[], scale: number, order?: readonly number[]) {
  const causes = (order ?? net.causes.map((_, f) => f)).map((f) => foldCause(net.causes[f]!, table, absent));
  const forward = [leakTable(net, table, absent, scale)];
  for (const cause of causes) forward.push(foldIn(forward.at(-1)!, cause));
  return { causes, forward };
}

export function backwardPass(causes: readonly FoldedCause[], last: Float64Array): Float64Array[] {
  const backward = [last];
  for (let f = causes.length - 1; f >= 0; f--) backward.push(foldBack(backward.at(-1)!, causes[f]!));
  return backward.reverse();
}

/** Both passes. @param order the causes' order; any gives the same answer, an order by group lets a group be left out at once. */
export function passes(net: Net, evidence: Evidence, order?: readonly number[]): Passes {
  const { table, absent, scale } = split(evidence);
  const { causes, forward } = forwardPass(net, table, absent, scale, order);
  const backward = backwardPass(causes, weightTable(table.map((x) => evidence.get(x)!)));
  return { forward, backward, causes, evidence: dot(forward.at(-1)!, backward.at(-1)!) };
}

export interface Posterior {
  /** Probability of what was seen, before it was seen. */
  readonly evidence: number;
  /** By cause and alternative: how likely it is there, given what was seen. */
  readonly causes: readonly (readonly number[])[];
  /** By finding of the evidence: how likely it is really there. */
  readonly findings: ReadonlyMap<number, number>;
}

/**
 * Everything the evidence says of each cause.
 * @throws RangeError when the net cannot bring the evidence about at all: an observation that excludes both, or leaks of nothing.
 */
export function posterior(net: Net, evidence: Evidence): Posterior {
  const { table, absent } = split(evidence);
  const { forward, backward, causes, evidence: z } = passes(net, evidence);
  if (!(z > 0)) throw new RangeError("posterior: the net cannot bring about what was seen");
  const last = forward.at(-1)!;
  const weights = backward.at(-1)!;
  const findings = new Map<number, number>(absent.map((x) => [x, 0]));
  table.forEach((finding, bit) => {
    let there = 0;
    for (let s = 0; s < last.length; s++) if (s & (1 << bit)) there += last[s]! * weights[s]!;
    findings.set(finding, there / z);
  });
  return { evidence: z, causes: marginalsOf({ forward, backward, causes, evidence: z }), findings };
}

/** How likely each alternative of each cause is, in the order of the passes. */
export const marginalsOf = ({ forward, backward, causes, evidence: z }: Passes): number[][] =>
  causes.map((cause, f) =>
    cause.alternatives.map(({ prior, keepsAbsent, strengths }) =>
      cause.silent ? prior : (prior * keepsAbsent * dot(spread(forward[f]!.slice(), strengths), backward[f + 1]!)) / z,
    ),
  );

/**
 * How likely it is that no cause of a group is there. Groups part the causes: a cause belongs to one.
 * @param groups cause numbers; those named in none are left as they are.
 */
export function groupAbsence(net: Net, evidence: Evidence, groups: readonly (readonly number[])[]): number[] {
  const grouped = groups.flat();
  const order = [...grouped, ...net.causes.map((_, f) => f).filter((f) => !grouped.includes(f))];
  return absenceOf(passes(net, evidence, order), groups);
}

/** The same from passes whose order begins with the groups, one after the other. */
export function absenceOf({ forward, backward, causes, evidence: z }: Passes, groups: readonly (readonly number[])[]): number[] {
  let at = 0;
  return groups.map((group) => {
    const from = at;
    at += group.length;
    let none = 1;
    for (let f = from; f < at; f++) none *= causes[f]!.none;
    return z > 0 ? Math.min(1, (none * dot(forward[from]!, backward[at]!)) / z) : 1;
  });
}

export interface Combination {
  /** The causes of the chosen ones that are there, by number. */
  readonly causes: readonly number[];
  readonly probability: number;
}

/**
 * The likeliest combinations of some causes, all others summed over. Exact: the others are folded in first, then every subset of the chosen is
 * followed down. @param among at most twelve causes, for the 2^n subsets. Alternatives of a cause are taken together.
 */
export function combinations(net: Net, evidence: Evidence, among: readonly number[], most: number): Combination[] {
  if (among.length > 12) throw new RangeError("combinations: at most twelve causes");
  const { table, absent, scale } = split(evidence);
  const weights = weightTable(table.map((x) => evidence.get(x)!));
  let base = leakTable(net, table, absent, scale);
  net.causes.forEach((cause, f) => {
    if (!among.includes(f)) base = foldIn(base, foldCause(cause, table, absent));
  });
  const found: Combination[] = [];
  let z = 0;
  const follow = (w: Float64Array, i: number, there: readonly number[]) => {
    if (i === among.length) {
      const probability = dot(w, weights);
      z += probability;
      found.push({ causes: there, probability });
      return;
    }
    const { none, alternatives } = foldCause(net.causes[among[i]!]!, table, absent);
    follow(
      w.map((mass) => mass * none),
      i + 1,
      there,
    );
    follow(foldIn(w, { none: 0, alternatives, silent: false }), i + 1, [...there, among[i]!]);
  };
  follow(base, 0, []);
  return found
    .map(({ causes, probability }) => ({ causes, probability: probability / z }))
    .sort((a, b) => b.probability - a.probability)
    .slice(0, most);
}
