import type { Evidence, Net, Weight, WeightedNet } from "./net";
import { groupAbsence, weigh } from "./posterior";
import { type Sweep, sweepOf } from "./sweep";

/** Uncertainty of a yes or no, bits (Shannon 1948). */
export const binaryEntropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)));

/** One way to look at a finding: how likely each outcome is without it and with it. */
export interface TestOutcome {
  readonly id: string;
  readonly weight: Weight;
}
export interface CandidateTest {
  readonly id: string;
  readonly finding: number;
  readonly outcomes: readonly TestOutcome[];
  /** Bench minutes, opening included. */
  readonly minutes: number;
}

export interface TestValue {
  readonly id: string;
  /** Expected drop of Σ h(P(something of the group is there)) over the groups, bits. */
  readonly gain: number;
  readonly gainPerMinute: number;
  readonly outcomes: readonly {
    readonly id: string;
    readonly probability: number;
    /** By group: how likely something of it is there, once this was the outcome. */
    readonly groups: readonly number[];
  }[];
}

/** How likely the evidence is, and how likely that with it something of each group is there; added up over a mixture. */
function mass(nets: readonly WeightedNet[], evidence: Evidence, groups: readonly (readonly number[])[], sweep: Sweep) {
  let z = 0;
  const present = groups.map(() => 0);
  const many = groups.filter((group) => group.length !== 1);
  for (const { weight, net } of nets) {
    const found = weigh(net, evidence, sweep);
    const without = groupAbsence(net, evidence, many, sweep);
    const share = weight * found.evidence;
    z += share;
    groups.forEach((group, g) => {
      const probability = group.length !== 1 ? 1 - without[many.indexOf(group)]! : found.causes[group[0]!]!.reduce((sum, p) => sum + p, 0);
      present[g]! += share * probability;
    });
  }
  return { z, present };
}

/**
 * What each test would tell about what is to be done: the groups are the sections to open, or the remedies to make. The expected drop of their
 * uncertainty, before any cost. A test of a finding that has evidence already adds to it, as a second look does.
 * @param of one net, or a mixture of nets of the same causes and findings that differ in priors alone.
 * @param groups cause numbers; a cause belongs to one group. @param stakes how much the doubt about each group weighs.
 * @returns best per minute first.
 */
export function testValues(
  of: Net | readonly WeightedNet[],
  evidence: Evidence,
  groups: readonly (readonly number[])[],
  tests: readonly CandidateTest[],
  stakes: readonly number[] = groups.map(() => 1),
): TestValue[] {
  const nets = "leaks" in of ? [{ weight: 1, net: of }] : of;
  const byFinding = new Map<number, CandidateTest[]>();
  for (const test of tests) byFinding.set(test.finding, [...(byFinding.get(test.finding) ?? []), test]);
  const uncertainty = (present: readonly number[]) => present.reduce((sum, p, g) => sum + stakes[g]! * binaryEntropy(p), 0);
  const values: TestValue[] = [];
  for (const [finding, about] of byFinding) {
    const [without, withIt] = evidence.get(finding) ?? [1, 1];
    const sweep = sweepOf(nets[0]!.net, [...new Set([...evidence.keys(), finding])]);
    // What is expected is linear in the weight pair of this finding: one sweep without it and one with it serve every outcome.
    const absent = mass(nets, new Map(evidence).set(finding, [without, 0]), groups, sweep);
    const probability = mass(nets, new Map(evidence).set(finding, [0, withIt]), groups, sweep);
    const mix = ([a, b]: Weight) => {
      const z = a * absent.z + b * probability.z;
      return { z, present: groups.map((_, g) => (z > 0 ? Math.min(1, (a * absent.present[g]! + b * probability.present[g]!) / z) : 0)) };
    };
    const now = mix([1, 1]);
    const before = uncertainty(now.present);
    for (const test of about) {
      const outcomes = test.outcomes.map(({ id, weight }) => {
        const after = mix(weight);
        return { id, probability: now.z > 0 ? after.z / now.z : 0, groups: after.present };
      });
      const gain = before - outcomes.reduce((sum, outcome) => sum + outcome.probability * uncertainty(outcome.groups), 0);
      values.push({ id: test.id, gain, gainPerMinute: gain / test.minutes, outcomes });
    }
  }
  return values.sort((a, b) => b.gainPerMinute - a.gainPerMinute || (a.id < b.id ? -1 : 1));
}
