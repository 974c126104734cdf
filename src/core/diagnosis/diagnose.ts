import { runToEnd, type Sliced } from "@/core/slices";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { UseFactor } from "@/core/vocabulary/use";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import { type HistoryId, historyIds, historyStates } from "./histories";
import { commonKnowledge, type Knowledge } from "./knowledge";
import { type Look, type Opening, openings, reliabilities } from "./look-table";
import type { Evidence, Net, Weight, WeightedNet } from "./net";
import { binaryEntropy, type CandidateTest, testValueSteps } from "./next-test";
import { absenceOf, type Combination, combinations, marginalsOf, type Passes, passes, posterior } from "./posterior";
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
export const verdictWeights: Record<Verdict, Weight> = { good: [0.8, 0.07], doubtful: [0.15, 0.25], bad: [0.05, 0.68] };

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

/** How often a sign that is the fault itself is there though the fault is not: a part of another make that looks so. */
const proofLeak = 1e-4;

/** Most findings the exact table is made for; beyond it the least telling are left out, and said. */
export const mostFindings = 14;

interface Built extends Index {
  readonly knowledge: Knowledge;
  readonly faults: readonly Fault[];
  /** One net for each thing the reel may have been through, weighed by that and by what is settled. */
  readonly nets: readonly WeightedNet[];
  /** Before anything was seen or settled. */
  readonly priors: readonly number[];
  readonly evidence: Evidence;
  readonly leftOut: readonly FindingId[];
}

function build(subject: Case, limit = mostFindings): Built {
  const knowledge = subject.knowledge ?? commonKnowledge;
  const { findings } = knowledge;
  const index = indexOfKnowledge(knowledge);
  const { indexOf, linksOf } = index;
  const faults = knowledge.faults.filter((fault) => fault.needs === undefined || subject.roles.has(fault.needs));
  // A sign that is the fault itself is there for no other reason.
  const leaks = findings.map(({ id, leak }) => (knowledge.looks.get(id)?.trust === "proof" ? Math.min(leak, proofLeak) : leak));
  const strengthsOf = faults.map((fault) => {
    const row = findings.map(() => 0);
    for (const link of linksOf.get(fault.id) ?? []) row[indexOf.get(link.finding)!] = strengths[link.strength];
    return row;
  });
  const use = [...new Set(subject.use)];
  const states = historyStates(use);
  const odds = (p: number) => p / (1 - p);
  // What a shop has counted moves a fault's odds as much after every history.
  const shifts = faults.map(({ id }) => {
    const own = subject.priors?.get(id);
    return own === undefined ? 1 : odds(Math.min(Math.max(own, 1e-6), 1 - 1e-6)) / odds(knowledge.priorOf(id, use));
  });
  const priors = faults.map(() => 0);
  const nets = states.map(({ there, weight }): WeightedNet => {
    let share = weight;
    const causes = faults.map((fault, f) => {
      const moved = odds(knowledge.priorGiven(fault.id, use, there)) * shifts[f]!;
      const prior = moved / (1 + moved);
      priors[f]! += weight * prior;
      const settled = subject.settled?.get(fault.id);
      // What is settled tells of the history as well: one bad bearing makes the next likelier.
      if (settled !== undefined) share *= settled ? prior : 1 - prior;
      return { alternatives: [{ prior: settled === undefined ? prior : settled ? 1 : 0, strengths: strengthsOf[f]! }] };
    });
    return { weight: share, net: { leaks, causes } };
  });
  const weights = new Map<FindingId, Weight>();
  const heard = new Set<string>();
  for (const observation of subject.observations) {
    // The same word twice is one word.
    const word = JSON.stringify(observation);
    if (observation.by === "told" && heard.has(word)) continue;
    heard.add(word);
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
    nets,
    priors,
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

/** A history less likely than this hardly moves what a look or a reason is worth. */
const leastLook = 0.03;
/** A history that what was seen leaves less than this is not followed any more: it moves no figure that is shown. */
const leastShare = 1e-4;

interface MixedPass {
  /** Which history, as a number of bits in the order of their ids. */
  readonly at: number;
  /** How likely it is, given what was seen and settled. */
  readonly share: number;
  readonly net: Net;
  readonly pass: Passes;
}

/** The passes of every net of a mixture with what each weighs after the evidence: the exact posterior is their sum by these shares. */
function mixed(nets: readonly WeightedNet[], evidence: Evidence, order?: readonly number[]): MixedPass[] {
  const all = nets.map(({ weight, net }, at) => {
    const pass = passes(net, evidence, order);
    return { at, net, pass, share: weight * pass.evidence };
  });
  const total = all.reduce((sum, { share }) => sum + share, 0);
  if (!(total > 0)) throw new RangeError("diagnose: the net cannot bring about what was seen");
  return all.map((one) => ({ ...one, share: one.share / total }));
}

/** Figures of several nets, by their shares. */
const blend = (parts: readonly { readonly share: number; readonly of: readonly number[] }[]): number[] =>
  (parts[0]?.of ?? []).map((_, i) => parts.reduce((sum, { share, of }) => sum + share * of[i]!, 0));

/** How likely each cause is over a whole mixture. */
function mixedMarginals(nets: readonly WeightedNet[], evidence: Evidence): number[] {
  const parts = nets.map(({ weight, net }) => {
    const { evidence: z, causes } = posterior(net, evidence);
    return { share: weight * z, of: causes.map(([p]) => p!) };
  });
  const total = parts.reduce((sum, { share }) => sum + share, 0);
  return blend(parts.map(({ share, of }) => ({ share: share / total, of })));
}

/** The likeliest combinations over a whole mixture. */
function likeliestTogether(both: readonly MixedPass[], evidence: Evidence, among: readonly number[], most: number): Combination[] {
  const sums = new Map<string, { readonly causes: readonly number[]; probability: number }>();
  for (const { share, net } of both) {
    if (share < leastShare) continue;
    for (const { causes, probability } of combinations(net, evidence, among, 1 << among.length)) {
      const key = causes.join(" ");
      const known = sums.get(key) ?? { causes, probability: 0 };
      known.probability += share * probability;
      sums.set(key, known);
    }
  }
  return [...sums.values()].sort((a, b) => b.probability - a.probability).slice(0, most);
}

/** Odds that rose by less than this have hardly been spoken for. */
const raisedOdds = 1.2;

/**
 * The faults that what was noticed speaks for: likelier now than the reel's history alone makes them. What may be wrong besides, unasked, is what
 * a service looks for.
 */
function raisedBy({ faults, nets }: Built, shares: readonly number[], probabilities: readonly number[]): ReadonlySet<number> {
  const odds = (p: number) => p / (1 - p);
  const usual = blend(nets.map(({ net }, i) => ({ share: shares[i]!, of: net.causes.map(({ alternatives }) => alternatives[0]!.prior) })));
  return new Set(faults.flatMap((_, f) => (odds(probabilities[f]!) >= raisedOdds * odds(usual[f]!) ? [f] : [])));
}

const isReal = (fault: Fault): boolean => fault.remedy.minutes > 0;
const logit = (p: number): number => Math.log2(p / (1 - p));

/** What is wrong with a reel, as far as what was noticed tells. Exact up to the limit of findings. @param why also weighs each reason. */
export function diagnose(subject: Case, why = true, limit = mostFindings): Diagnosis {
  const built = build(subject, limit);
  const { faults, nets, priors, evidence, leftOut } = built;
  const { findings } = built.knowledge;
  // One pair of passes serves all: what needs a hand first, section by section, then what needs none.
  const bySection = new Map<string, number[]>();
  faults.forEach((fault, f) => {
    if (isReal(fault)) bySection.set(fault.section, [...(bySection.get(fault.section) ?? []), f]);
  });
  const sections = [...bySection.values()];
  const real = sections.flat();
  const order = [...real, ...faults.flatMap((fault, f) => (isReal(fault) ? [] : [f]))];
  const both = mixed(nets, evidence, order);
  const place = new Map(order.map((f, i) => [f, i]));
  const marginals = both.map(({ share, pass }) => ({ share, of: marginalsOf(pass) }));
  const probabilities = faults.map((_, f) => marginals.reduce((sum, { share, of }) => sum + share * of[place.get(f)!]![0]!, 0));
  const raised = raisedBy(
    built,
    both.map(({ share }) => share),
    probabilities,
  );
  // Without each observation in turn: what its being there changed.
  // What a reason is worth in bits hardly hangs on a history that is all but excluded.
  const followed = nets.filter((_, i) => both[i]!.share >= leastLook);
  const without = why
    ? [...evidence.keys()].map((finding) => {
        const rest = new Map(evidence);
        rest.delete(finding);
        return { finding, causes: mixedMarginals(followed, rest) };
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
          .map(({ finding, causes }) => ({ finding: findings[finding]!.id, bits: logit(probabilities[f]!) - logit(causes[f]!) }))
          .filter(({ bits }) => Number.isFinite(bits) && Math.abs(bits) >= 0.1)
          .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits)),
      }),
    )
    .sort((a, b) => Number(b.spokenFor) - Number(a.spokenFor) || b.probability - a.probability || (a.fault.id < b.fault.id ? -1 : 1));
  const isSettled = ({ fault }: RankedFault) => subject.settled?.has(fault.id) === true;
  const ranked = all.filter((one) => !isSettled(one));
  const absent = blend(both.map(({ share, pass }) => ({ share, of: absenceOf(pass, sections) })));
  const among = ranked.slice(0, 6).map(({ fault }) => faults.indexOf(fault));
  return {
    ranked,
    settled: all.filter(isSettled),
    sections: Object.fromEntries([...bySection.keys()].map((section, i) => [section, 1 - absent[i]!])),
    nothing: blend(both.map(({ share, pass }) => ({ share, of: absenceOf(pass, [real]) })))[0]!,
    combinations: likeliestTogether(both, evidence, among, 4).map(({ causes, probability }: Combination) => ({
      faults: causes.map((f) => faults[f]!.id),
      probability,
    })),
    histories: historyIds.map((id, bit) => ({
      id,
      probability: both.reduce((sum, { share, at }) => sum + (at & (1 << bit) ? share : 0), 0),
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

/** A look that is expected to tell less than this is not worth taking the reel up for, bits. */
export const leastGain = 0.02;

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
  const { faults, evidence, indexOf, linksOf } = built;
  const { looks } = built.knowledge;
  const followed = mixed(built.nets, evidence);
  const nets = built.nets.filter((_, i) => followed[i]!.share >= leastLook);
  const raised = raisedBy(
    built,
    followed.map(({ share }) => share),
    blend(followed.map(({ share, pass }) => ({ share, of: marginalsOf(pass).map(([p]) => p!) }))),
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
    nets,
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
  const proposals = values
    .filter(({ gain }) => gain >= leastGain)
    .map(({ id, gain, outcomes }) => {
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
  // Two looks about one thing are nearly one question: the second counts half, the third a quarter. Nothing is opened for a look while one
  // that needs no opening asks the same for less time and tells at least half as much.
  const rest = [...proposals];
  const asking = new Map<string, number>();
  const inOrder: NextTest[] = [];
  const isOpen = ({ test }: (typeof rest)[number]) => open.has(test.look.open);
  while (rest.length) {
    const worth = ({ chief, test }: (typeof rest)[number]) => test.gain / test.minutes / 2 ** (asking.get(chief) ?? 0);
    const best = (among: typeof rest) => among.reduce((first, one) => (worth(one) > worth(first) ? one : first));
    const wanted = best(rest);
    const cheaper = isOpen(wanted)
      ? []
      : rest.filter(
          (one) =>
            isOpen(one) && one.chief === wanted.chief && one.test.minutes < wanted.test.minutes && one.test.gain >= wanted.test.gain / 2,
        );
    const next = cheaper.length ? best(cheaper) : wanted;
    rest.splice(rest.indexOf(next), 1);
    asking.set(next.chief, (asking.get(next.chief) ?? 0) + 1);
    inOrder.push(next.test);
  }
  // However likely a suspect is, somebody has to see it before the remedy is made: the sign of the one that would cost most in vain is among
  // the first three.
  yield;
  const atStake = ({ fault, probability }: RankedFault) => probability * stakeOf(fault);
  const suspect = diagnose(subject, false, limit)
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
