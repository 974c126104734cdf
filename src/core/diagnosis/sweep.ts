import type { Net } from "./net";

/** One cause's turn in a sweep. */
export interface SweepStep {
  readonly cause: number;
  /** Findings that join the table before it, each at the top bit. */
  readonly joins: readonly number[];
  /** The findings of the table while it acts: bit i is scope[i]. */
  readonly scope: readonly number[];
  /** Bits that leave after it, highest first. */
  readonly leaves: readonly number[];
}

/** An order in which to go through the causes, and where each finding joins the table and leaves it. */
export interface Sweep {
  readonly steps: readonly SweepStep[];
  /** Findings that no cause can bring about. */
  readonly lone: readonly number[];
  /** Causes that can say nothing of these findings. */
  readonly silent: ReadonlySet<number>;
  /** Most findings in the table at once: the work is causes · 2^width. */
  readonly width: number;
}

/**
 * A sweep that keeps the table narrow: the finding whose remaining causes bring the fewest new ones along is finished first (the "min-fill" kind of
 * greedy order of variable elimination). Any order gives the same answer. @param findings those that something was noticed of.
 */
export function sweepOf(net: Net, findings: readonly number[]): Sweep {
  const left = new Map<number, readonly number[]>();
  const silent = new Set<number>();
  net.causes.forEach(({ alternatives }, f) => {
    const reached = findings.filter((x) => alternatives.some(({ strengths }) => strengths[x]! > 0));
    if (reached.length) left.set(f, reached);
    else silent.add(f);
  });
  const causesOf = new Map<number, Set<number>>(findings.map((x) => [x, new Set()]));
  for (const [f, reached] of left) for (const x of reached) causesOf.get(x)!.add(f);
  const lone = findings.filter((x) => causesOf.get(x)!.size === 0);
  const open = new Set(findings.filter((x) => causesOf.get(x)!.size > 0));
  let scope: number[] = [];
  const steps: SweepStep[] = [];
  let width = 0;
  const newWith = (x: number): number => {
    const all = new Set([x]);
    for (const f of causesOf.get(x)!) for (const y of left.get(f)!) all.add(y);
    for (const y of scope) all.delete(y);
    return all.size;
  };
  while (open.size) {
    let best = -1;
    let fewest = Number.POSITIVE_INFINITY;
    for (const x of open) {
      const count = newWith(x);
      if (count < fewest) [best, fewest] = [x, count];
      if (count === 0) break;
    }
    // Of one finding's causes those first that bring least along.
    const causes = [...causesOf.get(best)!].sort((a, b) => left.get(a)!.length - left.get(b)!.length);
    for (const cause of causes) {
      const joins = left.get(cause)!.filter((x) => !scope.includes(x));
      const during = [...scope, ...joins];
      width = Math.max(width, during.length);
      for (const x of left.get(cause)!) causesOf.get(x)!.delete(cause);
      const leaves = during.flatMap((x, bit) => (causesOf.get(x)!.size === 0 ? [bit] : [])).reverse();
      for (const bit of leaves) open.delete(during[bit]!);
      scope = during.filter((_, bit) => !leaves.includes(bit));
      steps.push({ cause, joins, scope: during, leaves });
    }
  }
  return { steps, lone, silent, width };
}
