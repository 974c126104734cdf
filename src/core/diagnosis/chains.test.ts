import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { type Case, findingOfTest, type Observation } from "./case-net";
import { broughtByEffects, priorInChain } from "./chains";
import { type Consequence, consequences } from "./consequence-table";
import { diagnose } from "./diagnose";
import { commonKnowledge } from "./knowledge";
import { nextTests } from "./next-looks";

const rolesOf = (family: (typeof familyIds)[number]) => new Set(families[family].parts.map((part) => part.role));
const needs = new Map(commonKnowledge.faults.map(({ id, needs }) => [id, needs]));
const signsOf = (id: string) => commonKnowledge.links.filter(({ fault }) => fault === id);
const seen = (finding: string): Observation => ({ by: "look", finding: finding as never, so: true });
/** Every arrow in every family that can have both of its ends. */
const pairs = consequences.flatMap((arrow) =>
  familyIds
    .map((family) => ({ arrow, family, roles: rolesOf(family) }))
    .filter(({ roles }) => [arrow.cause, arrow.effect].every((id) => needs.get(id) === undefined || roles.has(needs.get(id)!))),
);
const at = (subject: Case, id: string) =>
  [...diagnose(subject, false).ranked, ...diagnose(subject, false).settled].find(({ fault }) => fault.id === id)!.probability;

describe("the table of consequences", () => {
  it("names faults that there are, each arrow once, none to itself and no ring", () => {
    expect(consequences.filter(({ cause, effect }) => !needs.has(cause) || !needs.has(effect) || cause === effect)).toEqual([]);
    expect(new Set(consequences.map(({ cause, effect }) => `${cause} ${effect}`)).size).toBe(consequences.length);
    const behind = (id: string, seenBefore: readonly string[] = []): boolean =>
      seenBefore.includes(id) || consequences.some(({ cause, effect }) => cause === id && behind(effect, [...seenBefore, id]));
    for (const { cause } of consequences) expect(behind(cause), cause).toBe(false);
    for (const { cause, effect } of consequences)
      expect(
        familyIds.some((family) => [cause, effect].every((id) => !needs.get(id) || rolesOf(family).has(needs.get(id)!))),
        `${cause} ${effect}`,
      ).toBe(true);
  });
});

describe("a proved cause", () => {
  it("makes its consequence likelier, never less: in every family, with nothing seen, each sign of it, and all its usual signs", () => {
    const first = new Set<Consequence>();
    for (const { arrow, family, roles } of pairs) {
      // Every family with nothing seen; the signs in the first that can have both.
      const whole = !first.has(arrow);
      first.add(arrow);
      const own = signsOf(arrow.effect).map(({ finding }) => finding);
      const usual = signsOf(arrow.effect)
        .filter(({ strength }) => strength === "usually" || strength === "often")
        .map(({ finding }) => finding);
      for (const findings of whole ? [[], ...own.map((finding) => [finding]), usual] : [[]]) {
        const observations = findings.map(seen);
        const before = at({ roles, use: [], observations }, arrow.effect);
        const after = at({ roles, use: [], observations, settled: new Map([[arrow.cause, true]]) }, arrow.effect);
        expect(after, `${family}: ${arrow.cause} → ${arrow.effect} with ${findings.join(", ")}`).toBeGreaterThanOrEqual(before - 1e-9);
        const ruledOut = at({ roles, use: [], observations, settled: new Map([[arrow.cause, false]]) }, arrow.effect);
        if (!findings.length) expect(ruledOut, `${family}: not ${arrow.cause}`).toBeLessThan(before);
      }
    }
  });

  it("does so whatever else was seen", () => {
    const findings = commonKnowledge.findings.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.constantFrom(...pairs),
        fc.array(fc.tuple(fc.constantFrom(...findings), fc.boolean()), { maxLength: 4 }),
        ({ arrow, roles }, told) => {
          const observations = told.map(([finding, so]): Observation => ({ by: "look", finding, so }));
          const before = at({ roles, use: [], observations }, arrow.effect);
          const after = at({ roles, use: [], observations, settled: new Map([[arrow.cause, true]]) }, arrow.effect);
          expect(after).toBeGreaterThan(before * 0.98);
        },
      ),
      { numRuns: 150 },
    );
  });

  it("leaves a next look for its consequence, at a sign that would show it", () => {
    for (const { arrow, family, roles } of pairs) {
      const sure = signsOf(arrow.cause).find(({ strength }) => strength === "always")!.finding;
      const looks = nextTests({ roles, use: [], observations: [seen(sure)], settled: new Map([[arrow.cause, true]]) }, 20);
      const signs = new Set(signsOf(arrow.effect).map(({ finding }) => finding));
      expect(
        looks.some(({ look }) => signs.has(look.finding)),
        `${family}: ${arrow.cause} → ${arrow.effect}`,
      ).toBe(true);
    }
  });

  it("is the likelier itself where its consequence is proved", () => {
    for (const { arrow, family, roles } of pairs) {
      const before = at({ roles, use: [], observations: [] }, arrow.cause);
      const after = at({ roles, use: [], observations: [], settled: new Map([[arrow.effect, true]]) }, arrow.cause);
      expect(after, `${family}: ${arrow.effect} ← ${arrow.cause}`).toBeGreaterThan(before);
    }
  });
});

// Worked by hand: a leak is there in 20 of 100, water in 30, and of a leak comes water in half of all ("often", 0.5).
describe("how likely a fault is in its chain", () => {
  const arrows: readonly Consequence[] = [{ cause: "leak", effect: "water", strength: "often", note: "" }];
  const prior = (id: string) => ({ leak: 0.2, water: 0.3 })[id] ?? 0;
  const settle = (...of: [string, boolean][]) => new Map(of);

  it("is its table's figure while nothing is settled", () => {
    expect(priorInChain("water", prior, settle(), arrows)).toBeCloseTo(0.3, 12);
    expect(priorInChain("leak", prior, settle(), arrows)).toBeCloseTo(0.2, 12);
  });

  it("parts what the cause brings from what comes by itself: 1 - 0.7 / 0.9 = 0.2222 without the leak, 1 - 0.7778 × 0.5 = 0.6111 with it", () => {
    expect(priorInChain("water", prior, settle(["leak", false]), arrows)).toBeCloseTo(0.22222, 4);
    expect(priorInChain("water", prior, settle(["leak", true]), arrows)).toBeCloseTo(0.61111, 4);
  });

  it("turns the arrow round by Bayes: 0.2 × 0.6111 / 0.3 = 0.4074 once there is water, 0.2 × 0.3889 / 0.7 = 0.1111 once there is none", () => {
    expect(priorInChain("leak", prior, settle(["water", true]), arrows)).toBeCloseTo(0.40741, 4);
    expect(priorInChain("leak", prior, settle(["water", false]), arrows)).toBeCloseTo(0.11111, 4);
  });

  it("never has a fault only as a consequence: where causes would bring more than there is, a fifth comes by itself", () => {
    const rare = (id: string) => ({ leak: 0.2, water: 0.01 })[id] ?? 0;
    expect(priorInChain("water", rare, settle(["leak", false]), arrows)).toBeCloseTo(0.002, 6);
  });

  it("gives a proved cause's signs to the consequence that may bring them, and to none that was ruled out or cannot be", () => {
    const signs = (id: string) => (id === "water" ? ["rust", "milk"] : []);
    const both = new Set(["leak", "water"]);
    expect([...broughtByEffects("leak", both, settle(["leak", true]), arrows, signs)]).toEqual(["rust", "milk"]);
    expect(broughtByEffects("leak", both, settle(), arrows, signs).size).toBe(0);
    expect(broughtByEffects("leak", both, settle(["leak", true], ["water", false]), arrows, signs).size).toBe(0);
    expect(broughtByEffects("leak", new Set(["leak"]), settle(["leak", true]), arrows, signs).size).toBe(0);
  });
});

// Common practice: a test that is the look itself needs no second look.
describe("a test's own verdict", () => {
  it.each([
    ["star-drag-bridge", "side-play", "side-play-large"],
    ["baitcaster-low-profile", "side-play", "side-play-large"],
    ["star-drag-bridge", "knob", "knob-stiff"],
    ["spinning", "knob", "knob-stiff"],
  ] as const)("of a %s, %s bad, is %s in nine of ten, and is not asked for again", (family, test, fault) => {
    const subject: Case = {
      roles: rolesOf(family),
      use: [],
      observations: [{ by: "test", finding: findingOfTest[test], verdict: "bad" }],
    };
    expect(at(subject, fault)).toBeGreaterThanOrEqual(0.9);
    expect(nextTests(subject, 20).map(({ look }) => look.finding)).not.toContain(findingOfTest[test]);
  });

  it("that is bad always points somewhere: every test of every family's protocol", () => {
    for (const family of familyIds)
      for (const { id } of protocolFor(family)) {
        const subject: Case = {
          roles: rolesOf(family),
          use: [],
          observations: [{ by: "test", finding: findingOfTest[id], verdict: "bad" }],
        };
        const first = diagnose(subject, false).ranked.find(({ spokenFor }) => spokenFor);
        expect(first?.probability ?? 0, `${family}, ${id}`).toBeGreaterThan(0.04);
      }
  });
});
