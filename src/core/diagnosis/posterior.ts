import type { Cause, Evidence, Net, Weight } from "./net";
import { type Sweep, sweepOf } from "./sweep";

/**
 * Inference in a noisy-OR net without alternating signs. A table over subsets of findings goes through the causes one after the other: w[S] is the
 * probability that exactly the findings of S are there, given the causes folded in so far and what was seen of the findings that have left. A
 * finding joins the table before the first cause that can bring it about, with its leak, and leaves after the last, weighed by what was seen of
 * it (variable elimination, Zhang & Poole 1996); so the table is as wide as the causes overlap, not as wide as all that was noticed. Folding a
 * cause in gives
 *
 *     w' = p0·w + Σ_i p_i · T_i(w)
 *
 * where T_i moves mass from S to S∪{x} with probability q_ix. All terms are positive, so nothing is lost on unlikely evidence, where the
 * textbook sum over subsets of the present findings (Heckerman 1990, "quickscore") loses all digits. One pass forward and one back give every
 * marginal.
 */
interface Folded {
  readonly none: number;
  readonly alternatives: readonly { readonly prior: number; readonly strengths: readonly number[] }[];
}

/** A cause with its strengths by bit of the table. */
const fold = ({ alternatives }: Cause, scope: readonly number[]): Folded => ({
  none: 1 - alternatives.reduce((sum, { prior }) => sum + prior, 0),
  alternatives: alternatives.map(({ prior, strengths }) => ({ prior, strengths: scope.map((x) => strengths[x]!) })),
});

/** A finding joins at the top bit, there or not by its leak. */
function join(w: Float64Array, leak: number): Float64Array {
  const out = new Float64Array(w.length << 1);
  for (let s = 0; s < w.length; s++) {
    out[s + w.length] = w[s]! * leak;
    out[s] = w[s]! * (1 - leak);
  }
  return out;
}

/** The transpose of joining: what is expected of S once the finding is there or not by its leak. */
function unjoin(b: Float64Array, leak: number): Float64Array {
  const half = b.length >> 1;
  const out = new Float64Array(half);
  for (let s = 0; s < half; s++) out[s] = (1 - leak) * b[s]! + leak * b[s + half]!;
  return out;
}

/** A finding leaves the table, weighed by what was seen of it. */
function leave(w: Float64Array, bit: number, [without, withIt]: Weight): Float64Array {
  const mask = 1 << bit;
  const out = new Float64Array(w.length >> 1);
  for (let s = 0; s < out.length; s++) {
    const low = s & (mask - 1);
    const at = ((s - low) << 1) | low;
    out[s] = without * w[at]! + withIt * w[at | mask]!;
  }
  return out;
}

/** The transpose of leaving. */
function unleave(b: Float64Array, bit: number, [without, withIt]: Weight): Float64Array {
  const mask = 1 << bit;
  const out = new Float64Array(b.length << 1);
  for (let s = 0; s < b.length; s++) {
    const low = s & (mask - 1);
    const at = ((s - low) << 1) | low;
    out[at] = without * b[s]!;
    out[at | mask] = withIt * b[s]!;
  }
  return out;
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

/** The table after a cause has acted, or (with `gather`) before it. */
function act(table: Float64Array, { none, alternatives }: Folded, by: typeof spread): Float64Array {
  const out = new Float64Array(table.length);
  for (let s = 0; s < out.length; s++) out[s] = none * table[s]!;
  for (const { prior, strengths } of alternatives) {
    if (prior === 0) continue;
    const moved = by(table.slice(), strengths);
    for (let s = 0; s < out.length; s++) out[s] = out[s]! + prior * moved[s]!;
  }
  return out;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let s = 0; s < a.length; s++) sum += a[s]! * b[s]!;
  return sum;
};

/** What no cause can bring about is there by its leak alone. */
const loneShare = (net: Net, evidence: Evidence, { lone }: Sweep): number =>
  lone.reduce((product, x) => {
    const [without, withIt] = evidence.get(x)!;
    return product * ((1 - net.leaks[x]!) * without + net.leaks[x]! * withIt);
  }, 1);

/** The pass through all causes. @param before is given the table as each cause finds it. @param fixed causes that are there, or are not. */
function forward(
  net: Net,
  evidence: Evidence,
  sweep: Sweep,
  before: (table: Float64Array) => void = () => {},
  fixed: ReadonlyMap<number, boolean> = new Map(),
): number {
  let w: Float64Array = new Float64Array([loneShare(net, evidence, sweep)]);
  for (const [f, there] of fixed) {
    const { none } = fold(net.causes[f]!, []);
    // One that can say nothing of what was seen only scales.
    if (sweep.silent.has(f)) w[0] = w[0]! * (there ? 1 - none : none);
  }
  for (const { cause, joins, scope, leaves } of sweep.steps) {
    for (const x of joins) w = join(w, net.leaks[x]!);
    before(w);
    const folded = fold(net.causes[cause]!, scope);
    const state = fixed.get(cause);
    if (state === undefined) w = act(w, folded, spread);
    else if (state) w = act(w, { ...folded, none: 0 }, spread);
    else w = w.map((mass) => mass * folded.none);
    for (const bit of leaves) w = leave(w, bit, evidence.get(scope[bit]!)!);
  }
  return w[0]!;
}

export interface Posterior {
  /** Probability of what was seen, before it was seen. */
  readonly evidence: number;
  /** By cause and alternative: how likely it is there, given what was seen. All nothing where the evidence cannot be. */
  readonly causes: readonly (readonly number[])[];
}

/** Everything the evidence says of each cause, without an opinion on evidence that cannot be. @param sweep the way through the causes. */
export function weigh(net: Net, evidence: Evidence, sweep: Sweep = sweepOf(net, [...evidence.keys()])): Posterior {
  const tables: Float64Array[] = [];
  const z = forward(net, evidence, sweep, (table) => tables.push(table));
  const causes = net.causes.map(({ alternatives }) => alternatives.map(({ prior }) => (z > 0 ? prior : 0)));
  let b: Float64Array = new Float64Array([1]);
  for (let i = sweep.steps.length - 1; i >= 0 && z > 0; i--) {
    const { cause, joins, scope, leaves } = sweep.steps[i]!;
    for (const bit of [...leaves].reverse()) b = unleave(b, bit, evidence.get(scope[bit]!)!);
    const folded = fold(net.causes[cause]!, scope);
    causes[cause] = folded.alternatives.map(({ prior, strengths }) =>
      prior === 0 ? 0 : (prior * dot(spread(tables[i]!.slice(), strengths), b)) / z,
    );
    b = act(b, folded, gather);
    for (const x of [...joins].reverse()) b = unjoin(b, net.leaks[x]!);
  }
  return { evidence: z, causes };
}

/**
 * Everything the evidence says of each cause.
 * @throws RangeError when the net cannot bring the evidence about at all: an observation that excludes both, or leaks of nothing.
 */
export function posterior(net: Net, evidence: Evidence, sweep?: Sweep): Posterior {
  const found = weigh(net, evidence, sweep);
  if (!(found.evidence > 0)) throw new RangeError("posterior: the net cannot bring about what was seen");
  return found;
}

/**
 * How likely it is that no cause of a group is there.
 * @param groups cause numbers; those named in none are left as they are.
 */
export function groupAbsence(
  net: Net,
  evidence: Evidence,
  groups: readonly (readonly number[])[],
  sweep: Sweep = sweepOf(net, [...evidence.keys()]),
): number[] {
  const z = forward(net, evidence, sweep);
  return groups.map((group) => {
    const none = forward(net, evidence, sweep, undefined, new Map(group.map((f) => [f, false])));
    return z > 0 ? Math.min(1, none / z) : 1;
  });
}

export interface Combination {
  /** The causes of the chosen ones that are there, by number. */
  readonly causes: readonly number[];
  readonly probability: number;
}

/**
 * The likeliest combinations of some causes, all others summed over: one pass for every subset of the chosen, and so exact.
 * @param among at most twelve causes, for the 2^n subsets. Alternatives of a cause are taken together.
 */
export function combinations(
  net: Net,
  evidence: Evidence,
  among: readonly number[],
  most: number,
  sweep: Sweep = sweepOf(net, [...evidence.keys()]),
): Combination[] {
  if (among.length > 12) throw new RangeError("combinations: at most twelve causes");
  const z = forward(net, evidence, sweep);
  return Array.from({ length: 1 << among.length }, (_, mask) => {
    const fixed = new Map(among.map((f, i) => [f, (mask & (1 << i)) !== 0]));
    return {
      causes: among.filter((f) => fixed.get(f)),
      probability: z > 0 ? forward(net, evidence, sweep, undefined, fixed) / z : 0,
    };
  })
    .sort((a, b) => b.probability - a.probability)
    .slice(0, most);
}
