import { type Case, caseNet, isLookedAt, type Observation, raisedBy, weighMixture } from "./case-net";
import { diagnose, isReal, type RankedFault } from "./diagnose";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import { type Look, type Opening, openings, reliabilities } from "./look-table";
import { binaryEntropy, type CandidateTest, testValues } from "./next-test";

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
export function nextTests(subject: Case, most = 8): NextTest[] {
  const built = caseNet(subject);
  const { faults, nets, evidence, sweep, indexOf, linksOf } = built;
  const { looks } = built.knowledge;
  const raised = raisedBy(built, weighMixture(nets, evidence, sweep));
  // Without anything noticed, as before a service, all are in question.
  const asked = raised.size ? [...raised] : faults.map((_, f) => f);
  // What a test of the protocol has just found good from outside is not felt again from outside; what was bad may be looked at closer.
  const answered = (o: Observation) =>
    isLookedAt(o) || (o.by === "test" && o.verdict === "good" && looks.get(o.finding)?.open === "nothing");
  const made = new Set(subject.observations.flatMap((o) => (answered(o) ? [o.finding] : [])));
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
  const values = testValues(
    nets,
    evidence,
    asked.map((f) => [f]),
    tests,
    asked.map((f) => stakeOf(faults[f]!)),
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
