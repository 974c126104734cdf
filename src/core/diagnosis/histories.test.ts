import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { UseFactor } from "@/core/vocabulary/use";
import { type Case, type Observation, verdictWeights } from "./case-net";
import { diagnose } from "./diagnose";
import type { Fault } from "./fault";
import { findings as commonFindings, type FindingId } from "./finding-table";
import { historyIds, historyOdds, historyPriors, historyStates } from "./histories";
import { commonKnowledge, type Knowledge } from "./knowledge";
import { leastGain, nextTests } from "./next-looks";
import { withVerdict } from "./number-weight";
import { priorOf } from "./prior-table";
import { strengths } from "./strength-table";

const roles = new Set([...families["star-drag-bridge"].parts.map((part) => part.role), "gear-bearing"]);
const subject = (change: Partial<Case> = {}): Case => ({ roles, use: [], observations: [], ...change });
const chance = (of: Case, fault: string): number => {
  const { ranked, settled } = diagnose(of, false);
  return [...ranked, ...settled].find((one) => one.fault.id === fault)!.probability;
};

describe("what a reel has been through", () => {
  it("has states whose weights add up to one, and a word about it raises its own history alone", () => {
    for (const use of [[], ["salt"], ["kayak", "stored", "opened"]] as UseFactor[][])
      expect(historyStates(use).reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12);
    expect(historyPriors(["kayak"])).toMatchObject({ neglect: historyPriors([]).neglect, hands: historyPriors([]).hands });
    expect(historyPriors(["kayak"]).water).toBeGreaterThan(historyPriors(["salt"]).water);
  });

  it("moves a fault's odds so that no word leaves it as it is, and a sure one makes it as likely as the table says", () => {
    for (const factor of [1.8, 3, 5]) {
      const { there, absent } = historyOdds(factor);
      expect(0.9 * absent + 0.1 * there).toBeCloseTo(1, 9);
      expect(0.25 * absent + 0.75 * there).toBeCloseTo(factor, 9);
    }
  });

  it("does not count two words for one wet life twice", () => {
    const ratio = (use: UseFactor[]) => priorOf("spool-bearing-rough", use) / priorOf("spool-bearing-rough", []);
    expect(ratio(["salt", "kayak"])).toBeGreaterThan(ratio(["kayak"]));
    expect(ratio(["salt", "kayak"])).toBeLessThan(ratio(["kayak"]) * 1.25);
    expect(chance(subject({ use: ["salt", "salt", "salt"] }), "water-in")).toBe(chance(subject({ use: ["salt"] }), "water-in"));
  });

  it("makes the next rough bearing likelier after one, less likely after a sound one, and leaves what has no share in it", () => {
    const plain = chance(subject(), "gear-bearing-rough");
    const once = (proved: boolean, fault: string) => chance(subject({ settled: new Map([["spool-bearing-rough", proved]]) }), fault);
    expect(once(true, "gear-bearing-rough")).toBeGreaterThan(plain * 1.4);
    expect(once(false, "gear-bearing-rough")).toBeLessThan(plain);
    expect(once(true, "tension-washers-nested")).toBeCloseTo(chance(subject(), "tension-washers-nested"), 9);
  });

  it("goes along a chain: a torn seal makes water likelier, water a rough bearing", () => {
    const sealed = new Set(families["spinning-sealed-bail-less"].parts.map((part) => part.role));
    const wet = subject({ roles: sealed, use: ["kayak"] });
    const proved = (...ids: string[]) => ({ ...wet, settled: new Map(ids.map((id) => [id, true])) });
    expect(chance(proved("seals-worn"), "water-in")).toBeGreaterThan(chance(wet, "water-in"));
    expect(chance(proved("seals-worn", "water-in"), "gear-bearing-rough")).toBeGreaterThan(
      chance(proved("seals-worn"), "gear-bearing-rough"),
    );
  });

  it("is the exact mixture: against the sum over every world of histories, faults and findings", () => {
    const own: Fault[] = ["spool-bearing-rough", "water-in", "clutch-greased", "hardened-grease"].map(
      (id) => commonKnowledge.faults.find((fault) => fault.id === id)!,
    );
    const seen: FindingId[] = ["gritty-in-gear", "water-inside", "stiff-in-gear"];
    const links = commonKnowledge.links.filter(({ fault, finding }) => own.some(({ id }) => id === fault) && seen.includes(finding));
    const small: Knowledge = { ...commonKnowledge, faults: own, findings: commonFindings.filter(({ id }) => seen.includes(id)), links };
    const use: UseFactor[] = ["salt", "opened"];
    const observations: Observation[] = [
      { by: "told", finding: "gritty-in-gear" },
      { by: "look", finding: "water-inside", so: true },
      { by: "test", finding: "stiff-in-gear", verdict: "bad" },
    ];
    // Likelihoods of each observation, without the finding and with it, as the tables have them.
    const weights: Record<string, readonly [number, number]> = {
      "gritty-in-gear": [0.015, 0.6],
      "water-inside": [0.008, 0.95],
      "stiff-in-gear": verdictWeights.bad,
    };
    const all = new Set([...roles, ...own.flatMap(({ needs }) => needs ?? [])]);
    const settled = new Map([["clutch-greased", true]]);
    const sums = own.map(() => 0);
    let total = 0;
    for (const { there, weight } of historyStates(use))
      for (let world = 0; world < 1 << own.length; world++) {
        let mass = weight;
        own.forEach(({ id }, f) => {
          const p = small.priorGiven(id, use, there);
          const on = (world & (1 << f)) > 0;
          mass *= settled.has(id) ? (on === settled.get(id) ? (on ? p : 1 - p) : 0) : on ? p : 1 - p;
        });
        for (const finding of small.findings) {
          let absent = 1 - finding.leak;
          own.forEach(({ id }, f) => {
            const link = links.find((one) => one.fault === id && one.finding === finding.id);
            if (link && world & (1 << f)) absent *= 1 - strengths[link.strength];
          });
          const [without, withIt] = weights[finding.id]!;
          mass *= absent * without + (1 - absent) * withIt;
        }
        total += mass;
        own.forEach((_, f) => {
          if (world & (1 << f)) sums[f]! += mass;
        });
      }
    const asked: Case = { roles: all, use, observations, settled, knowledge: small };
    for (const [f, { id }] of own.entries()) expect(chance(asked, id), id).toBeCloseTo(sums[f]! / total, 9);
    const { histories } = diagnose(asked, false);
    expect(histories.map(({ id }) => id)).toEqual(historyIds);
  });
});

describe("what was noticed", () => {
  it("counts a word once however often it is told", () => {
    const told = (times: number) =>
      subject({ observations: Array.from({ length: times }, () => ({ by: "told", finding: "stiff-in-gear" }) as const) });
    expect(chance(told(3), "gear-shaft-frozen")).toBe(chance(told(1), "gear-shaft-frozen"));
  });

  it("proves a fault whose sign is the fault itself, and an answer taken back leaves nothing", () => {
    const look = (finding: FindingId, so: boolean) => subject({ observations: [{ by: "look", finding, so }] });
    for (const [finding, fault] of [
      ["dog-inverted", "dog-upside-down"],
      ["jack-astray", "jack-off-stud"],
      ["cups-nested", "tension-washers-nested"],
    ] as const) {
      expect(chance(look(finding, true), fault), fault).toBeGreaterThan(0.75);
      expect(chance(look(finding, false), fault), fault).toBeLessThan(chance(subject(), fault) / 10);
    }
    // With any other sign of it, it is as good as certain.
    const both = subject({
      observations: [
        { by: "look", finding: "dog-inverted", so: true },
        { by: "test", finding: "slips-back", verdict: "bad" },
        { by: "look", finding: "turns-backwards", so: true },
      ],
    });
    expect(chance(both, "dog-upside-down")).toBeGreaterThan(0.99);
  });

  it("never drops a verdict because a number stands beside it", () => {
    const { bad, good } = verdictWeights;
    const odds = ([without, withIt]: readonly [number, number]) => withIt / without;
    const [sound, worn] = [
      [0.9, 0.1],
      [0.1, 0.9],
    ] as const;
    // Against a number of a sound reel "bad" stays bad, only less so; with one of a worn reel it is surer than either.
    expect(odds(withVerdict(sound, bad))).toBeGreaterThan(1);
    expect(odds(withVerdict(sound, bad))).toBeLessThan(odds(bad));
    expect(odds(withVerdict(worn, bad))).toBeGreaterThan(Math.max(odds(worn), odds(bad)));
    expect(odds(withVerdict(worn, good))).toBeLessThan(1);
  });

  it("leaves what is settled out of the ranking, and still lists it", () => {
    const { ranked, settled } = diagnose(
      subject({
        settled: new Map([
          ["drag-worn", true],
          ["gears-worn", false],
        ]),
      }),
      false,
    );
    expect(ranked.some(({ fault }) => fault.id === "drag-worn" || fault.id === "gears-worn")).toBe(false);
    expect(settled.map(({ fault, probability }) => [fault.id, probability]).sort()).toEqual([
      ["drag-worn", 1],
      ["gears-worn", 0],
    ]);
  });

  it("proposes no look that tells next to nothing, and none that was just made", () => {
    for (const finding of ["stiff-in-gear", "short-spin", "drag-weak"] as const) {
      const of = subject({
        observations: [
          { by: "told", finding },
          { by: "look", finding: "grease-hard", so: false },
        ],
      });
      const proposed = nextTests(of);
      for (const { gain, look } of proposed) {
        expect(gain).toBeGreaterThanOrEqual(leastGain);
        expect(look.finding).not.toBe("grease-hard");
      }
      expect(new Set(proposed.slice(0, 3).map(({ look }) => look.finding)).size).toBe(Math.min(3, proposed.length));
    }
  });

  it("opens nothing for a look while one that needs no opening asks the same for less and tells half as much", () => {
    for (const finding of ["stiff-in-gear", "short-spin", "drag-weak", "slips-back", "click-weak"] as const) {
      const proposed = nextTests(subject({ observations: [{ by: "told", finding }] }), 20);
      proposed.forEach((closed, i) => {
        if (closed.look.open === "nothing") return;
        const waits = proposed
          .slice(i + 1)
          .filter(
            (one) =>
              one.look.open === "nothing" &&
              one.minutes < closed.minutes &&
              one.gain >= closed.gain / 2 &&
              one.parts.yes !== null &&
              one.parts.yes === closed.parts.yes,
          );
        expect(
          waits.map(({ look }) => look.finding),
          `${finding}: ${closed.look.finding}`,
        ).toEqual([]);
      });
    }
  });
});
