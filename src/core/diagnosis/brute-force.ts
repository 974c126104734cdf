import type { Evidence, Net } from "./net";

/**
 * The same marginals by adding up every combination of causes and findings: 2^(causes + findings) terms, for checks on small nets only.
 * Alternatives of a cause are states of their own.
 */
export function bruteForce(
  net: Net,
  evidence: Evidence,
): { evidence: number; causes: number[][]; noneOf: (group: readonly number[]) => number } {
  const states: number[][] = [[]];
  for (const cause of net.causes) {
    const before = states.splice(0);
    for (const state of before) for (let a = -1; a < cause.alternatives.length; a++) states.push([...state, a]);
  }
  const seen = [...evidence];
  let z = 0;
  const sums = net.causes.map((cause) => cause.alternatives.map(() => 0));
  const worlds: { state: readonly number[]; mass: number }[] = [];
  for (const state of states) {
    let mass = 1;
    state.forEach((a, f) => {
      const { alternatives } = net.causes[f]!;
      mass *= a < 0 ? 1 - alternatives.reduce((sum, { prior }) => sum + prior, 0) : alternatives[a]!.prior;
    });
    for (const [x, [without, withIt]] of seen) {
      // In logarithms, so that a finding which is hardly ever there keeps its digits.
      let logAbsent = Math.log1p(-net.leaks[x]!);
      state.forEach((a, f) => {
        if (a >= 0) logAbsent += Math.log1p(-net.causes[f]!.alternatives[a]!.strengths[x]!);
      });
      mass *= Math.exp(logAbsent) * without - Math.expm1(logAbsent) * withIt;
    }
    z += mass;
    state.forEach((a, f) => {
      if (a >= 0) sums[f]![a] = sums[f]![a]! + mass;
    });
    worlds.push({ state, mass });
  }
  return {
    evidence: z,
    causes: sums.map((row) => row.map((sum) => sum / z)),
    noneOf: (group) => worlds.filter(({ state }) => group.every((f) => state[f]! < 0)).reduce((sum, { mass }) => sum + mass, 0) / z,
  };
}
