import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { UseFactor } from "@/core/vocabulary/use";
import { broughtByEffects, priorInChain } from "./chains";
import { consequences } from "./consequence-table";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import { historyStates } from "./histories";
import { commonKnowledge, type Knowledge } from "./knowledge";
import { type Opening, reliabilities } from "./look-table";
import type { Evidence, Weight, WeightedNet } from "./net";
import { weigh } from "./posterior";
import { knowledgeOn, mayHave } from "./signs-on-reel";
import { type Link, strengths } from "./strength-table";
import { type Sweep, sweepOf } from "./sweep";

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

/** Tests that are the look at the sign itself: the hand feels the fault and not what it leads to. */
const looksThemselves: ReadonlySet<FindingId> = new Set([findingOfTest["side-play"], findingOfTest.knob]);

/** Whether somebody has looked at a sign, be it by a test of the protocol. */
export const isLookedAt = (observation: Observation): boolean =>
  observation.by === "look" ||
  (observation.by === "test" && observation.verdict !== "doubtful" && looksThemselves.has(observation.finding));

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
    case "test": {
      if (!isLookedAt(observation)) return verdictWeights[observation.verdict];
      const [hit, alarm] = reliabilities[looks.get(observation.finding)!.trust];
      return observation.verdict === "bad" ? [alarm, hit] : [1 - alarm, 1 - hit];
    }
    case "number":
      return observation.weight;
    case "look": {
      // Looked for though this reel cannot show it: heard like something felt.
      const [hit, alarm] = reliabilities[looks.get(observation.finding)?.trust ?? "felt"];
      return observation.so ? [alarm, hit] : [1 - alarm, 1 - hit];
    }
  }
}

/** How often a sign that is the fault itself is there though the fault is not: a part of another make that looks so. */
const proofLeak = 1e-4;

/**
 * Widest table that is gone through. The common knowledge needs less even with every finding noticed at once; where a shop's own links make it
 * wider, the least telling findings are left out, and said.
 */
const widest = 16;

export interface CaseNet extends Index {
  readonly knowledge: Knowledge;
  readonly faults: readonly Fault[];
  /** One net for each thing the reel may have been through, weighed by that and by what is settled. */
  readonly nets: readonly WeightedNet[];
  /** Before anything was seen or settled. */
  readonly priors: readonly number[];
  /** The same by net. */
  readonly usual: readonly (readonly number[])[];
  readonly evidence: Evidence;
  /** The way through the causes for this evidence. */
  readonly sweep: Sweep;
  readonly leftOut: readonly FindingId[];
}

/** What this case is reasoned from, in words that fit its reel. */
export const knowledgeOfCase = ({ knowledge, roles }: Case): Knowledge => knowledgeOn(knowledge ?? commonKnowledge, roles);

export function caseNet(subject: Case): CaseNet {
  const knowledge = knowledgeOfCase(subject);
  const { findings } = knowledge;
  const index = indexOfKnowledge(knowledge);
  const { indexOf, linksOf } = index;
  const faults = knowledge.faults.filter((fault) => mayHave(fault, subject.roles));
  // A sign that is the fault itself is there for no other reason.
  const leaks = findings.map(({ id, leak }) => (knowledge.looks.get(id)?.trust === "proof" ? Math.min(leak, proofLeak) : leak));
  const settled = subject.settled ?? new Map<string, boolean>();
  const possible = new Set(faults.map(({ id }) => id));
  const signsOf = (id: string) => (linksOf.get(id) ?? []).map(({ finding }) => finding);
  const strengthsOf = faults.map((fault) => {
    const row = findings.map(() => 0);
    // What a proved cause brings about through another is that other's to explain: the search goes on behind it.
    const through = broughtByEffects(fault.id, possible, settled, consequences, signsOf);
    for (const link of linksOf.get(fault.id) ?? [])
      if (!through.has(link.finding)) row[indexOf.get(link.finding)!] = strengths[link.strength];
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
  const usual: number[][] = [];
  const numberOf = new Map(faults.map(({ id }, f) => [id, f]));
  const arrows = consequences.filter(
    ({ cause, effect }) => possible.has(cause) && possible.has(effect) && (settled.has(cause) || settled.has(effect)),
  );
  const nets = states.map(({ there, weight }): WeightedNet => {
    let share = weight;
    const before = faults.map((fault, f) => {
      const moved = odds(knowledge.priorGiven(fault.id, use, there)) * shifts[f]!;
      return moved / (1 + moved);
    });
    const priorOf = (id: string) => before[numberOf.get(id) ?? -1] ?? 0;
    usual.push(before);
    const causes = faults.map((fault, f) => {
      const prior = before[f]!;
      priors[f]! += weight * prior;
      const so = settled.get(fault.id);
      // What is settled tells of the history as well: one bad bearing makes the next likelier.
      if (so !== undefined) share *= so ? prior : 1 - prior;
      return {
        alternatives: [
          {
            prior: so === undefined ? priorInChain(fault.id, priorOf, settled, arrows) : Number(so),
            strengths: strengthsOf[f]!,
          },
        ],
      };
    });
    return { weight: share, net: { leaks, causes } };
  });
  const weights = new Map<FindingId, Weight>();
  const heard = new Set<string>();
  // Two tests of one sign ask it in two ways: where one shows it, the other does not take that back, and two that agree are one hand's word.
  const tested = new Map<FindingId, Weight>();
  for (const observation of subject.observations) {
    // The same word twice is one word.
    const word = JSON.stringify(observation);
    if (observation.by === "told" && heard.has(word)) continue;
    heard.add(word);
    // A sign the shop took away since it was looked at is not heard any more.
    if (!indexOf.has(observation.finding)) continue;
    if (observation.by === "test" || observation.by === "number") {
      const weight = weightOf(observation, knowledge);
      const other = tested.get(observation.finding);
      if (!other || weight[1] * other[0] > other[1] * weight[0]) tested.set(observation.finding, weight);
      continue;
    }
    const before = weights.get(observation.finding) ?? ([1, 1] as Weight);
    const weight = weightOf(observation, knowledge);
    weights.set(observation.finding, [before[0] * weight[0], before[1] * weight[1]]);
  }
  for (const [finding, weight] of tested) {
    const before = weights.get(finding) ?? ([1, 1] as Weight);
    weights.set(finding, [before[0] * weight[0], before[1] * weight[1]]);
  }
  const byTelling = [...weights].sort((a, b) => Math.abs(Math.log(b[1][1] / b[1][0])) - Math.abs(Math.log(a[1][1] / a[1][0])));
  const sweepOfFirst = (count: number) =>
    sweepOf(
      nets[0]!.net,
      byTelling.slice(0, count).map(([finding]) => indexOf.get(finding)!),
    );
  let limit = byTelling.length;
  let sweep = sweepOfFirst(limit);
  while (sweep.width > widest) sweep = sweepOfFirst(--limit);
  return {
    ...index,
    knowledge,
    faults,
    nets,
    priors,
    usual,
    evidence: new Map(byTelling.slice(0, limit).map(([finding, weight]) => [indexOf.get(finding)!, weight])),
    sweep,
    leftOut: byTelling.slice(limit).map(([finding]) => finding),
  };
}

/** What the evidence says of each history and each cause: the exact mixture of all nets, by what each weighs after it. */
export interface Weighed {
  /** How likely each net is, given what was seen and settled. */
  readonly shares: readonly number[];
  /** How likely each fault is over all of them. */
  readonly probabilities: readonly number[];
}

/** @throws RangeError when no net can bring the evidence about. */
export function weighMixture(nets: readonly WeightedNet[], evidence: Evidence, sweep?: Sweep): Weighed {
  const way = sweep ?? sweepOf(nets[0]!.net, [...evidence.keys()]);
  const parts = nets.map(({ weight, net }) => {
    const { evidence: z, causes } = weigh(net, evidence, way);
    return { share: weight * z, of: causes.map(([p]) => p!) };
  });
  const total = parts.reduce((sum, { share }) => sum + share, 0);
  if (!(total > 0)) throw new RangeError("diagnose: the net cannot bring about what was seen");
  const shares = parts.map(({ share }) => share / total);
  return { shares, probabilities: blend(parts.map(({ of }, i) => ({ share: shares[i]!, of }))) };
}

/** Figures of several nets, by their shares. */
export const blend = (parts: readonly { readonly share: number; readonly of: readonly number[] }[]): number[] =>
  (parts[0]?.of ?? []).map((_, i) => parts.reduce((sum, { share, of }) => sum + share * of[i]!, 0));

/** Odds that rose by less than this have hardly been spoken for. */
const raisedOdds = 1.2;

/**
 * The faults that what was noticed speaks for: likelier now than the reel's history alone makes them. What may be wrong besides, unasked, is what
 * a service looks for.
 */
export function raisedBy({ faults, usual: before }: CaseNet, { shares, probabilities }: Weighed): ReadonlySet<number> {
  const odds = (p: number) => p / (1 - p);
  const usual = blend(before.map((of, i) => ({ share: shares[i]!, of })));
  return new Set(faults.flatMap((_, f) => (odds(probabilities[f]!) >= raisedOdds * odds(usual[f]!) ? [f] : [])));
}
