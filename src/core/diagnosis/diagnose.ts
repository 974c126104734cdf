import { runToEnd, type Sliced } from "@/core/slices";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { UseFactor } from "@/core/vocabulary/use";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import { commonKnowledge, type Knowledge } from "./knowledge";
import { type Look, type Opening, openings, reliabilities } from "./look-table";
import type { Evidence, Net, Weight } from "./net";
import { binaryEntropy, type CandidateTest, testValueSteps } from "./next-test";
import { absenceOf, type Combination, combinations, marginalsOf, passes, posterior } from "./posterior";
import { type Link, strengths } from "./strength-table";

/** What somebody noticed of a finding, and how. */
export type Observation =
  | { readonly by: "told"; readonly finding: FindingId }
  | { readonly by: "test"; readonly finding: FindingId; readonly verdict: Verdict }
  /** A reading beside this model's own: how likely it is without the finding and with it. */
  | { readonly by: "number"; readonly finding: FindingId; readonly weight: Weight }
  | { readonly by: "look"; readonly finding: FindingId; readonly so: boolean };

export interface Case {
  /** Part roles this very reel has: a fault that needs another cannot be. */
  readonly roles: ReadonlySet<string>;
  readonly use: readonly UseFactor[];
  readonly observations: readonly Observation[];
  /** Faults somebody confirmed or ruled out with the part in the hand. */
  readonly settled?: ReadonlyMap<string, boolean>;
  /** What is open already: looking there costs no opening. */
  readonly open?: readonly Opening[];
  /** The shop's own priors, where it has counted; else the table's. */
  readonly priors?: ReadonlyMap<string, number>;
  /** What is reasoned from; the common tables where a shop added nothing. */
  readonly knowledge?: Knowledge;
}

/** How a verdict of a test comes out, without the finding and with it. Rule of thumb (common practice). */
const verdictWeights: Record<Verdict, Weight> = { good: [0.8, 0.07], doubtful: [0.15, 0.25], bad: [0.05, 0.68] };

/** What each test of the protocol looks for. */
export const findingOfTest: Record<TestId, FindingId> = {
  "free-spool": "short-spin",
  turning: "stiff-in-gear",
  "drag-light": "drag-jerks-start",
  "drag-strike": "drag-weak",
  "drag-full": "drag-weak",
  "anti-reverse": "slips-back",
  click: "click-weak",
  bail: "bail-lazy",
  roller: "roller-drags",
  "level-wind": "level-wind-sticks",
  "cast-pin": "loses-line",
  "side-play": "side-play-large",
  "dead-angle": "slips-back",
  knob: "knob-stiff",
};

interface Index {
  readonly indexOf: ReadonlyMap<FindingId, number>;
  readonly linksOf: ReadonlyMap<string, readonly Link[]>;
}
const indices = new WeakMap<Knowledge, Index>();

/** Findings by number and links by fault, made once for each state of the knowledge. */
function indexOfKnowledge(knowledge: Knowledge): Index {
  const known = indices.get(knowledge);
  if (known) return known;
  const linksOf = new Map<string, Link[]>();
  for (const link of knowledge.links) linksOf.set(link.fault, [...(linksOf.get(link.fault) ?? []), link]);
  const index = { indexOf: new Map(knowledge.findings.map((finding, i) => [finding.id, i])), linksOf };
  indices.set(knowledge, index);
  return index;
}

function weightOf(observation: Observation, { looks }: Knowledge): Weight {
  switch (observation.by) {
    case "told": {
      const [hit, alarm] = reliabilities.told;
      return [alarm, hit];
    }
    case "test":
      return verdictWeights[observation.verdict];
    case "number":
      return observation.weight;
    case "look": {
      const [hit, alarm] = reliabilities[looks.get(observation.finding)!.trust];
      return observation.so ? [alarm, hit] : [1 - alarm, 1 - hit];
    }
  }
}

/** Most findings the exact table is made for; beyond it the least telling are left out, and said. */
export const mostFindings = 14;

interface Built extends Index {
  readonly knowledge: Knowledge;
  readonly faults: readonly Fault[];
  readonly net: Net;
  readonly evidence: Evidence;
  readonly leftOut: readonly FindingId[];
}

function build(subject: Case, limit = mostFindings): Built {
  const knowledge = subject.knowledge ?? commonKnowledge;
  const { findings } = knowledge;
  const index = indexOfKnowledge(knowledge);
  const { indexOf, linksOf } = index;
  const faults = knowledge.faults.filter((fault) => fault.needs === undefined || subject.roles.has(fault.needs));
  const net: Net = {
    leaks: findings.map((finding) => finding.leak),
    causes: faults.map((fault) => {
      const row = findings.map(() => 0);
      for (const link of linksOf.get(fault.id) ?? []) row[indexOf.get(link.finding)!] = strengths[link.strength];
      const settled = subject.settled?.get(fault.id);
      const prior = settled === undefined ? (subject.priors?.get(fault.id) ?? knowledge.priorOf(fault.id, subject.use)) : settled ? 1 : 0;
      return { alternatives: [{ prior, strengths: row }] };
    }),
  };
  const weights = new Map<FindingId, Weight>();
  for (const observation of subject.observations) {
    // A sign the shop took away since it was looked at is not heard any more.
    if (!indexOf.has(observation.finding)) continue;
    const before = weights.get(observation.finding) ?? ([1, 1] as Weight);
    const weight = weightOf(observation, knowledge);
    weights.set(observation.finding, [before[0] * weight[0], before[1] * weight[1]]);
  }
  const byTelling = [...weights].sort((a, b) => Math.abs(Math.log(b[1][1] / b[1][0])) - Math.abs(Math.log(a[1][1] / a[1][0])));
  return {
    ...index,
    knowledge,
    faults,
    net,
    evidence: new Map(byTelling.slice(0, limit).map(([finding, weight]) => [indexOf.get(finding)!, weight])),
    leftOut: byTelling.slice(limit).map(([finding]) => finding),
  };
}

export interface RankedFault {
  readonly fault: Fault;
  readonly probability: number;
  readonly prior: number;
  /** Something that was noticed speaks for it; the others stand at what is usual, and come after. */
  readonly spokenFor: boolean;
  /** What speaks for it (above 0) and against it (below), in bits of log-odds, most telling first. */
  readonly reasons: readonly { readonly finding: FindingId; readonly bits: number }[];
}

export interface Diagnosis {
  readonly ranked: readonly RankedFault[];
  /** By section: how likely something in it is wrong. */
  readonly sections: Readonly<Record<string, number>>;
  /** How likely nothing that needs a hand is wrong. */
  readonly nothing: number;
  readonly combinations: readonly { readonly faults: readonly string[]; readonly probability: number }[];
  readonly leftOut: readonly FindingId[];
}

/** Odds that rose by less than this have hardly been spoken for. */
const raisedOdds = 1.2;

/** The faults that what was noticed speaks for: likelier now than before it. What may be wrong besides, unasked, is what a service looks for. */
function raisedBy({ faults, net }: Built, probabilities: readonly number[]): ReadonlySet<number> {
  const odds = (p: number) => p / (1 - p);
  return new Set(
    faults.flatMap((_, f) => (odds(probabilities[f]!) >= raisedOdds * odds(net.causes[f]!.alternatives[0]!.prior) ? [f] : [])),
  );
}

const isReal = (fault: Fault): boolean => fault.remedy.minutes > 0;
const logit = (p: number): number => Math.log2(p / (1 - p));

/** What is wrong with a reel, as far as what was noticed tells. Exact up to the limit of findings. @param why also weighs each reason. */
export function diagnose(subject: Case, why = true): Diagnosis {
  const built = build(subject);
  const { faults, net, evidence, leftOut } = built;
  const { findings } = built.knowledge;
  // One pair of passes serves all: what needs a hand first, section by section, then what needs none.
  const bySection = new Map<string, number[]>();
  faults.forEach((fault, f) => {
    if (isReal(fault)) bySection.set(fault.section, [...(bySection.get(fault.section) ?? []), f]);
  });
  const sections = [...bySection.values()];
  const real = sections.flat();
  const order = [...real, ...faults.flatMap((fault, f) => (isReal(fault) ? [] : [f]))];
  const both = passes(net, evidence, order);
  const marginals = marginalsOf(both);
  const probabilities = faults.map((_, f) => marginals[order.indexOf(f)]![0]!);
  const raised = raisedBy(built, probabilities);
  // Without each observation in turn: what its being there changed.
  const without = why
    ? [...evidence.keys()].map((finding) => {
        const rest = new Map(evidence);
        rest.delete(finding);
        return { finding, causes: posterior(net, rest).causes.map(([p]) => p!) };
      })
    : [];
  const ranked = faults
    .map(
      (fault, f): RankedFault => ({
        fault,
        probability: probabilities[f]!,
        spokenFor: raised.has(f) || subject.settled?.get(fault.id) === true,
        prior: net.causes[f]!.alternatives[0]!.prior,
        reasons: without
          .map(({ finding, causes }) => ({ finding: findings[finding]!.id, bits: logit(probabilities[f]!) - logit(causes[f]!) }))
          .filter(({ bits }) => Number.isFinite(bits) && Math.abs(bits) >= 0.1)
          .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits)),
      }),
    )
    .sort((a, b) => Number(b.spokenFor) - Number(a.spokenFor) || b.probability - a.probability || (a.fault.id < b.fault.id ? -1 : 1));
  const absent = absenceOf(both, sections);
  const among = ranked.slice(0, 6).map(({ fault }) => faults.indexOf(fault));
  return {
    ranked,
    sections: Object.fromEntries([...bySection.keys()].map((section, i) => [section, 1 - absent[i]!])),
    nothing: absenceOf(both, [real])[0]!,
    combinations: combinations(net, evidence, among, 4).map(({ causes, probability }: Combination) => ({
      faults: causes.map((f) => faults[f]!.id),
      probability,
    })),
    leftOut,
  };
}

export interface NextTest {
  readonly look: Look;
  /** Expected drop of doubt about what is to be done, bits. */
  readonly gain: number;
  readonly minutes: number;
  /** The faults it parts best: likelier after a yes, likelier after a no. */
  readonly parts: { readonly yes: string | null; readonly no: string | null };
  readonly probabilityYes: number;
}

/** Looks that share an opening share its minutes: nobody opens a reel for one glance. */
const looksAnOpening = 3;
/** Taking the reel up, turning the lamp, noting the answer: minutes on top of any look (rule of thumb). */
const handlingMinutes = 2;

/** What a doubt about a fault weighs: a long remedy more than a short one, and whether there is anything to be done at all a little. */
const stakeOf = (fault: Fault): number => Math.min(1, Math.max(0.3, fault.remedy.minutes / 15));

/**
 * What to look at next, best first: the drop of doubt that is to be expected about what is to be done, one remedy a fault in question, per
 * minute of bench time. A look whose finding nothing in question brings about is not proposed, nor one that was made already.
 */
export function* nextTestSteps(subject: Case, most = 8, limit = mostFindings): Sliced<NextTest[]> {
  const built = build(subject, limit);
  const { faults, net, evidence, indexOf, linksOf } = built;
  const { looks } = built.knowledge;
  const raised = raisedBy(
    built,
    posterior(net, evidence).causes.map(([p]) => p!),
  );
  // Without anything noticed, as before a service, all are in question.
  const asked = raised.size ? [...raised] : faults.map((_, f) => f);
  const made = new Set(subject.observations.flatMap((o) => (o.by === "look" ? [o.finding] : [])));
  const open = new Set<Opening>(["nothing", ...(subject.open ?? [])]);
  const reachable = new Set(asked.flatMap((f) => (linksOf.get(faults[f]!.id) ?? []).map((link) => link.finding)));
  const minutesOf = (look: Look) =>
    handlingMinutes + look.minutes + (open.has(look.open) ? 0 : openings[look.open].minutes / looksAnOpening);
  const tests = [...looks.values()]
    .filter((look) => reachable.has(look.finding) && !made.has(look.finding))
    .map((look): CandidateTest => {
      const [hit, alarm] = reliabilities[look.trust];
      return {
        id: look.finding,
        finding: indexOf.get(look.finding)!,
        minutes: minutesOf(look),
        outcomes: [
          { id: "yes", weight: [alarm, hit] },
          { id: "no", weight: [1 - alarm, 1 - hit] },
        ],
      };
    });
  const values = yield* testValueSteps(
    net,
    evidence,
    asked.map((f) => [f]),
    tests,
  );
  const likelier = (present: readonly number[], other: readonly number[]) => {
    let at = -1;
    present.forEach((p, f) => {
      if (p > 0.02 && (at < 0 || p - other[f]! > present[at]! - other[at]!)) at = f;
    });
    return at >= 0 && present[at]! - other[at]! > 0.02 ? faults[asked[at]!]!.id : null;
  };
  const proposals = values.map(({ id, gain, outcomes }) => {
    const look = looks.get(id as FindingId)!;
    const [yes, no] = [outcomes[0]!, outcomes[1]!];
    // What it is chiefly about: the fault whose own doubt it is expected to lessen most.
    const drops = asked.map((f, g) => {
      const [p, q] = [yes.groups[g]!, no.groups[g]!];
      const mixed = yes.probability * p + no.probability * q;
      return stakeOf(faults[f]!) * (binaryEntropy(mixed) - yes.probability * binaryEntropy(p) - no.probability * binaryEntropy(q));
    });
    const chief = faults[asked[drops.indexOf(Math.max(...drops))]!]!.id;
    return {
      chief,
      test: {
        look,
        gain,
        minutes: minutesOf(look),
        probabilityYes: yes.probability,
        parts: { yes: likelier(yes.groups, no.groups), no: likelier(no.groups, yes.groups) },
      },
    };
  });
  // Two looks about one thing are nearly one question: the second counts half, the third a quarter.
  const rest = [...proposals];
  const asking = new Map<string, number>();
  const inOrder: NextTest[] = [];
  while (rest.length) {
    const worth = ({ chief, test }: (typeof rest)[number]) => test.gain / test.minutes / 2 ** (asking.get(chief) ?? 0);
    const at = rest.reduce((best, one, i) => (worth(one) > worth(rest[best]!) ? i : best), 0);
    const [next] = rest.splice(at, 1);
    asking.set(next!.chief, (asking.get(next!.chief) ?? 0) + 1);
    inOrder.push(next!.test);
  }
  // However likely a suspect is, somebody has to see it before the remedy is made: the sign of the one that would cost most in vain is among
  // the first three.
  yield;
  const atStake = ({ fault, probability }: RankedFault) => probability * stakeOf(fault);
  const suspect = diagnose(subject, false)
    .ranked.filter(({ fault, spokenFor }) => spokenFor && isReal(fault))
    .sort((a, b) => atStake(b) - atStake(a))[0];
  const signs = new Set((linksOf.get(suspect?.fault.id ?? "") ?? []).flatMap((link) => (link.strength === "always" ? [link.finding] : [])));
  const proof = inOrder.find(({ look }) => signs.has(look.finding));
  if (proof && inOrder.indexOf(proof) > 2) {
    inOrder.splice(inOrder.indexOf(proof), 1);
    inOrder.splice(2, 0, proof);
  }
  return inOrder.slice(0, most);
}

/** The same at once. */
export const nextTests = (subject: Case, most = 8): NextTest[] => runToEnd(nextTestSteps(subject, most));

/** Findings up to which the looks are valued while somebody waits: each more doubles the work. */
export const quickFindings = 8;

/** Whether valuing the looks takes noticeably long, so that a quick answer comes first. */
export const isHeavy = (subject: Case): boolean => new Set(subject.observations.map(({ finding }) => finding)).size > quickFindings;

/** What to look at next from the most telling findings alone: a first answer of a heavy case, exact for any other. */
export const quickNextTests = (subject: Case, most = 8): NextTest[] => runToEnd(nextTestSteps(subject, most, quickFindings));
