import { runToEnd, type Sliced } from "@/core/slices";
import type { Evidence, Net, Weight, WeightedNet } from "./net";
import { backwardPass, dot, forwardPass, split, weightTable } from "./posterior";

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

/**
 * What each test would tell about what is to be done: the groups are the sections to open, or the remedies to make. The expected drop of their
 * uncertainty, before any cost. A test of a finding that has evidence already adds to it, as a second look does.
 * Pauses after each finding. @param of one net, or a mixture of nets of the same causes and findings.
 * @param groups cause numbers; a cause belongs to one group. @param stakes how much the doubt about each group weighs.
 * @returns best per minute first.
 */
export function* testValueSteps(
  of: Net | readonly WeightedNet[],
  evidence: Evidence,
  groups: readonly (readonly number[])[],
  tests: readonly CandidateTest[],
  stakes: readonly number[] = groups.map(() => 1),
): Sliced<TestValue[]> {
  const nets = "leaks" in of ? [{ weight: 1, net: of }] : of;
  const grouped = groups.flat();
  const order = [...grouped, ...nets[0]!.net.causes.map((_, f) => f).filter((f) => !grouped.includes(f))];
  const byFinding = new Map<number, CandidateTest[]>();
  for (const test of tests) byFinding.set(test.finding, [...(byFinding.get(test.finding) ?? []), test]);
  const values: TestValue[] = [];
  for (const [finding, about] of byFinding) {
    // The finding under test has to be in the table even where its evidence so far excludes it.
    const { table, absent, scale } = split(evidence);
    const known = evidence.get(finding) ?? [1, 1];
    const inTable = table.includes(finding) ? table : [...table, finding];
    const stillAbsent = absent.filter((x) => x !== finding);
    const fixed = absent.includes(finding) ? scale / known[0] : scale;
    // What is expected is linear in the weight pair of this finding: one backward pass without it, one with it, serve every outcome. It is linear
    // in the nets of a mixture as well, which add up by their weights.
    const z: [number, number] = [0, 0];
    const none = groups.map((): [number, number] => [0, 0]);
    for (const { weight: share, net } of nets) {
      const { causes, forward } = forwardPass(net, inTable, stillAbsent, fixed, order);
      const half = (there: 0 | 1) =>
        backwardPass(
          causes,
          weightTable(inTable.map((x): Weight => (x === finding ? (there ? [0, known[1]] : [known[0], 0]) : evidence.get(x)!))),
        );
      const halves = [half(0), half(1)] as const;
      const last = forward.at(-1)!;
      let at = 0;
      const from = groups.map((group) => {
        const start = at;
        at += group.length;
        return start;
      });
      for (const side of [0, 1] as const) {
        z[side] += share * dot(last, halves[side].at(-1)!);
        groups.forEach((group, g) => {
          let absentPrior = 1;
          for (let f = from[g]!; f < from[g]! + group.length; f++) absentPrior *= causes[f]!.none;
          none[g]![side] += share * absentPrior * dot(forward[from[g]!]!, halves[side][from[g]! + group.length]!);
        });
      }
    }
    const mix = ([a, b]: Weight) => {
      const evidenceZ = a * z[0] + b * z[1];
      return { z: evidenceZ, present: none.map(([n0, n1]) => (evidenceZ > 0 ? Math.max(0, 1 - (a * n0 + b * n1) / evidenceZ) : 0)) };
    };
    const now = mix([1, 1]);
    const uncertainty = (present: readonly number[]) => present.reduce((sum, p, g) => sum + stakes[g]! * binaryEntropy(p), 0);
    const before = uncertainty(now.present);
    for (const test of about) {
      const outcomes = test.outcomes.map(({ id, weight }) => {
        const after = mix(weight);
        return { id, probability: now.z > 0 ? after.z / now.z : 0, groups: after.present };
      });
      const gain = before - outcomes.reduce((sum, outcome) => sum + outcome.probability * uncertainty(outcome.groups), 0);
      values.push({ id: test.id, gain, gainPerMinute: gain / test.minutes, outcomes });
    }
    yield;
  }
  return values.sort((a, b) => b.gainPerMinute - a.gainPerMinute || (a.id < b.id ? -1 : 1));
}

/** The same at once. */
export const testValues = (...of: Parameters<typeof testValueSteps>): TestValue[] => runToEnd(testValueSteps(...of));
