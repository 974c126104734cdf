import { blend, type Case, caseNet, raisedBy, weighMixture } from "./case-net";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import { type HistoryId, historyIds } from "./histories";
import { type Combination, combinations, groupAbsence } from "./posterior";

export interface RankedFault {
  readonly fault: Fault;
  readonly probability: number;
  readonly prior: number;
  /** Something that was noticed speaks for it; the others stand at what is usual, and come after. */
  readonly spokenFor: boolean;
  /** What speaks for it (above 0) and against it (below), in bits of log-odds, most telling first; whether it was noticed or looked for and not there. */
  readonly reasons: readonly { readonly finding: FindingId; readonly bits: number; readonly there: boolean }[];
}

export interface Diagnosis {
  /** What is still in question, likeliest first. */
  readonly ranked: readonly RankedFault[];
  /** Proved and ruled out with the part in the hand: no longer in question. */
  readonly settled: readonly RankedFault[];
  /** By section: how likely something in it is wrong. */
  readonly sections: Readonly<Record<string, number>>;
  /** How likely nothing that needs a hand is wrong. */
  readonly nothing: number;
  readonly combinations: readonly { readonly faults: readonly string[]; readonly probability: number }[];
  /** What the reel has been through, as far as what was noticed and settled tells. */
  readonly histories: readonly { readonly id: HistoryId; readonly probability: number }[];
  readonly leftOut: readonly FindingId[];
}

export const isReal = (fault: Fault): boolean => fault.remedy.minutes > 0;
const logit = (p: number): number => Math.log2(p / (1 - p));

/** What is wrong with a reel, exactly as far as what was noticed tells. @param why also weighs each reason. */
export function diagnose(subject: Case, why = true): Diagnosis {
  const built = caseNet(subject);
  const { faults, nets, priors, evidence, sweep, leftOut } = built;
  const { findings } = built.knowledge;
  const bySection = new Map<string, number[]>();
  faults.forEach((fault, f) => {
    if (isReal(fault)) bySection.set(fault.section, [...(bySection.get(fault.section) ?? []), f]);
  });
  const sections = [...bySection.values()];
  const weighed = weighMixture(nets, evidence, sweep);
  const { shares, probabilities } = weighed;
  const raised = raisedBy(built, weighed);
  // Without each observation in turn: what its being there changed.
  const without = why
    ? [...evidence.keys()].map((finding) => {
        const rest = new Map(evidence);
        rest.delete(finding);
        const [ifNot, ifThere] = evidence.get(finding)!;
        return { finding, there: ifThere > ifNot, of: weighMixture(nets, rest).probabilities };
      })
    : [];
  const all = faults
    .map(
      (fault, f): RankedFault => ({
        fault,
        probability: probabilities[f]!,
        spokenFor: raised.has(f),
        prior: priors[f]!,
        reasons: without
          .map(({ finding, there, of }) => ({ finding: findings[finding]!.id, bits: logit(probabilities[f]!) - logit(of[f]!), there }))
          .filter(({ bits }) => Number.isFinite(bits) && Math.abs(bits) >= 0.1)
          .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits)),
      }),
    )
    .sort(
      (a, b) =>
        Number(b.spokenFor) - Number(a.spokenFor) ||
        // What wants no hand explains a word or two; it stands after what does.
        Number(isReal(b.fault)) - Number(isReal(a.fault)) ||
        b.probability - a.probability ||
        (a.fault.id < b.fault.id ? -1 : 1),
    );
  const isSettled = ({ fault }: RankedFault) => subject.settled?.has(fault.id) === true;
  const ranked = all.filter((one) => !isSettled(one));
  const absent = blend(
    nets.map(({ net }, i) => ({ share: shares[i]!, of: groupAbsence(net, evidence, [...sections, sections.flat()], sweep) })),
  );
  const among = ranked.slice(0, 6).map(({ fault }) => faults.indexOf(fault));
  return {
    ranked,
    // A person's word needs no reasons, and none speaks against it.
    settled: all.filter(isSettled).map((one) => ({ ...one, reasons: [] })),
    sections: Object.fromEntries([...bySection.keys()].map((section, i) => [section, 1 - absent[i]!])),
    nothing: absent.at(-1)!,
    combinations: likeliestTogether(
      nets.map(({ net }, i) => ({ share: shares[i]!, of: combinations(net, evidence, among, 1 << among.length, sweep) })),
      4,
    ).map(({ causes, probability }) => ({ faults: causes.map((f) => faults[f]!.id), probability })),
    histories: historyIds.map((id, bit) => ({
      id,
      probability: shares.reduce((sum, share, at) => sum + (at & (1 << bit) ? share : 0), 0),
    })),
    leftOut,
  };
}

/** The likeliest combinations over a whole mixture. */
function likeliestTogether(parts: readonly { readonly share: number; readonly of: readonly Combination[] }[], most: number): Combination[] {
  const sums = new Map<string, Combination>();
  for (const { share, of } of parts)
    for (const { causes, probability } of of) {
      const key = causes.join(" ");
      sums.set(key, { causes, probability: (sums.get(key)?.probability ?? 0) + share * probability });
    }
  return [...sums.values()].sort((a, b) => b.probability - a.probability).slice(0, most);
}
