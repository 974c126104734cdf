import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { Verdict } from "@/core/vocabulary/tests";
import type { Observation } from "./case-net";
import { checkKnowledge } from "./check-knowledge";
import { diagnose } from "./diagnose";
import { faults } from "./fault-table";
import { findings } from "./finding-table";
import { commonKnowledge } from "./knowledge";
import { looks } from "./look-table";
import { nextTests } from "./next-looks";
import { numberWeight } from "./number-weight";
import { hasPrior, priorOf } from "./prior-table";
import { type Link, links } from "./strength-table";

const all = { faults, findings, looks, links, hasPrior };

describe("the knowledge of faults and findings", () => {
  it("is as large as the trade wants it and hangs together", () => {
    expect(faults.length).toBeGreaterThanOrEqual(60);
    expect(findings.length).toBeGreaterThanOrEqual(60);
    expect(checkKnowledge(all)).toEqual([]);
    for (const link of links) expect(link.note.length, `${link.fault} ${link.finding}`).toBeGreaterThan(3);
  });

  it("is told of orphans, of words that name nothing, and of faults no look can part", () => {
    const twin = { id: "twin" };
    const link = (finding: string): Link => ({
      fault: "twin",
      finding: finding as Link["finding"],
      strength: "always",
      note: "as the other",
    });
    const found = checkKnowledge({
      ...all,
      faults: [...faults, twin],
      links: [...links, link("knob-stiff"), link("ghost"), link("knob-stiff")],
    });
    expect(found).toContainEqual(expect.stringContaining("How common twin is"));
    expect(found).toContainEqual(expect.stringContaining("ghost, which is no finding"));
    expect(found).toContainEqual(expect.stringContaining("knob-stiff twice"));
    const alike = checkKnowledge({ ...all, faults: [...faults, twin], links: [...links, link("knob-stiff")], hasPrior: () => true });
    expect(alike).toEqual([expect.stringContaining("No check tells knob-stiff and twin apart")]);
    expect(checkKnowledge({ ...all, links: links.filter(({ fault }) => fault !== "knob-stiff") })).toContainEqual(
      expect.stringContaining("causes nothing"),
    );
  });

  it("makes what a use makes likelier likelier, and nothing certain", () => {
    for (const { id } of faults) {
      const plain = priorOf(id, []);
      for (const factor of ["salt", "kayak", "fleet", "stored", "second-hand", "opened", "old"] as const) {
        expect(priorOf(id, [factor])).toBeGreaterThanOrEqual(plain - 1e-12);
        expect(priorOf(id, ["salt", "kayak", "opened", "old", factor])).toBeLessThan(0.95);
      }
    }
    expect(() => priorOf("nothing", [])).toThrow(/no row/);
  });
});

const roles = (family: keyof typeof families) => new Set(families[family].parts.map((part) => part.role));
const told = (finding: Observation["finding"]): Observation => ({ by: "told", finding });
const look = (finding: Observation["finding"], so = true): Observation => ({ by: "look", finding, so });

describe("a diagnosis", () => {
  it("names two faults at once: hardened grease and a frozen gear shaft, once the looks show both", () => {
    const subject = {
      roles: roles("star-drag-bridge"),
      use: ["stored", "salt"] as const,
      observations: [
        told("stiff-in-gear"),
        { by: "test", finding: "stiff-in-gear", verdict: "bad" } as const,
        look("grease-hard"),
        look("shaft-alone-stiff"),
      ],
    };
    const { ranked, combinations } = diagnose(subject);
    const p = (id: string) => ranked.find(({ fault }) => fault.id === id)!.probability;
    expect(p("hardened-grease")).toBeGreaterThan(0.5);
    expect(p("gear-shaft-frozen")).toBeGreaterThan(0.5);
    expect(combinations[0]!.faults).toEqual(expect.arrayContaining(["hardened-grease", "gear-shaft-frozen"]));
  });

  it("does not count the same stiffness twice, told and then measured: the second hearing adds less than its own worth", () => {
    const base = { roles: roles("star-drag-bridge"), use: [] };
    const test: Observation = { by: "test", finding: "stiff-in-gear", verdict: "bad" };
    const p = (observations: Observation[]) =>
      diagnose({ ...base, observations }, false).ranked.find(({ fault }) => fault.id === "gear-shaft-frozen")!.probability;
    const [none, one, both] = [p([]), p([told("stiff-in-gear")]), p([told("stiff-in-gear"), test])];
    expect(one).toBeGreaterThan(none);
    // The finding can at most become certain: then the fault is as likely as by the finding itself.
    const certain = p([told("stiff-in-gear"), test, test, test, test, test]);
    expect(both).toBeLessThanOrEqual(certain + 1e-12);
    expect(both - one).toBeLessThan(one - none);
  });

  it("lets no second test of a sign take back what one shows, and does not feel again from outside what was good", () => {
    const base = { roles: roles("star-drag-bridge"), use: [] };
    const test = (finding: "drag-weak" | "slips-back", verdict: Verdict): Observation => ({ by: "test", finding, verdict });
    const worn = (observations: Observation[]) =>
      diagnose({ ...base, observations }, false).ranked.find(({ fault }) => fault.id === "drag-worn")!.probability;
    // Half tight it pulls well, fully tight it is weak: that is what a worn stack does (common practice).
    expect(worn([test("drag-weak", "good"), test("drag-weak", "bad")])).toBeCloseTo(worn([test("drag-weak", "bad")]), 12);
    const proposed = nextTests({ ...base, observations: [told("slips-back"), test("slips-back", "good")] }).map(({ look }) => look.finding);
    expect(proposed).not.toContain("slips-back");
  });

  it("says of each reason whether the sign was noticed or was looked for and is not there", () => {
    const there = (observation: Observation) =>
      diagnose({ roles: roles("star-drag-bridge"), use: [], observations: [observation] })
        .ranked.flatMap(({ reasons }) => reasons)
        .map((reason) => reason.there);
    const test = (verdict: Verdict): Observation => ({ by: "test", finding: "short-spin", verdict });
    const seen = [told("short-spin"), test("bad"), test("doubtful"), look("washers-thin", true)].map(there);
    const notThere = [test("good"), look("washers-thin", false)].map(there);
    for (const said of [...seen, ...notThere]) expect(said.length).toBeGreaterThan(0);
    expect(new Set(seen.flat())).toEqual(new Set([true]));
    expect(new Set(notThere.flat())).toEqual(new Set([false]));
  });

  it("gives reasons for and against, and is not moved by what nobody asked", () => {
    const subject = { roles: roles("star-drag-bridge"), use: [], observations: [told("drag-weak"), look("washers-thin", false)] };
    const worn = diagnose(subject).ranked.find(({ fault }) => fault.id === "drag-worn")!;
    expect(worn.reasons.find(({ finding }) => finding === "drag-weak")!.bits).toBeGreaterThan(1);
    expect(worn.reasons.find(({ finding }) => finding === "washers-thin")!.bits).toBeLessThan(-1);
    const again = diagnose({
      ...subject,
      observations: [...subject.observations, { by: "number", finding: "click-weak", weight: [0.5, 0.5] }],
    });
    expect(again.ranked.find(({ fault }) => fault.id === "drag-worn")!.probability).toBeCloseTo(worn.probability, 12);
  });

  it("takes a fault somebody proved as proved, and one that was ruled out as gone; the others give way or come up", () => {
    const subject = { roles: roles("star-drag-bridge"), use: [], observations: [told("drag-weak")] };
    const p = (settled: [string, boolean][], id: string) => {
      const told = diagnose({ ...subject, settled: new Map(settled) }, false);
      return [...told.ranked, ...told.settled].find(({ fault }) => fault.id === id)!.probability;
    };
    expect(p([["drag-worn", true]], "drag-worn")).toBeCloseTo(1, 12);
    expect(p([["drag-worn", true]], "drag-oiled")).toBeLessThan(p([], "drag-oiled"));
    expect(p([["drag-worn", false]], "drag-worn")).toBe(0);
    expect(p([["drag-worn", false]], "drag-oiled")).toBeGreaterThan(p([], "drag-oiled"));
  });

  it("offers a reel no fault it cannot have, and proposes no look that was made", () => {
    const subject = { roles: roles("spinning"), use: [], observations: [told("gritty-in-gear"), look("teeth-hooked", false)] };
    expect(diagnose(subject, false).ranked.map(({ fault }) => fault.id)).not.toContain("jack-off-stud");
    const proposed = nextTests(subject, 20).map((test) => test.look.finding);
    expect(proposed).not.toContain("teeth-hooked");
    expect(new Set(proposed).size).toBe(proposed.length);
  });

  it("reckons with everything at once, even every finding there is", () => {
    const all = findings.map(({ id }) => told(id));
    expect(diagnose({ roles: roles("star-drag-bridge"), use: [], observations: all }, false).leftOut).toEqual([]);
  });

  it("says what it left out when a shop's own links tie more together than can be gone through", () => {
    const tied = findings.slice(0, 30).map(({ id }) => id);
    const links = tied.map((finding) => ({ fault: commonKnowledge.faults[0]!.id, finding, strength: "often" as const, note: "" }));
    const knowledge = { ...commonKnowledge, links: [...commonKnowledge.links, ...links] };
    const observations = tied.map((finding) => told(finding));
    const { leftOut, ranked } = diagnose({ roles: roles("star-drag-bridge"), use: [], observations, knowledge }, false);
    expect(leftOut.length).toBeGreaterThan(10);
    expect(ranked.every(({ probability }) => probability >= 0 && probability <= 1)).toBe(true);
  });
});

describe("a reading beside its norm", () => {
  const norm = { median: 9, spread: 0.25, count: 5 };
  const odds = (value: number, better: "more" | "less" = "less") => {
    const [without, withIt] = numberWeight(value, norm, better);
    return withIt / without;
  };
  it("speaks smoothly: against at the norm, for well beyond it, never beyond forty to one", () => {
    expect(odds(9)).toBeLessThan(0.2);
    expect(odds(9 * Math.exp(0.25 * 1.2))).toBeCloseTo(1, 9);
    expect(odds(20)).toBeGreaterThan(5);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), fc.double({ min: 0, max: 500, noNaN: true }), (a, b) => {
        const [low, high] = a < b ? [a, b] : [b, a];
        expect(odds(low)).toBeLessThanOrEqual(odds(high) + 1e-12);
        expect(odds(low, "more")).toBeGreaterThanOrEqual(odds(high, "more") - 1e-12);
        expect(odds(a)).toBeLessThanOrEqual(40 + 1e-9);
        expect(odds(a)).toBeGreaterThanOrEqual(1 / 40 - 1e-9);
        // No cliff: a hundredth more changes the odds by little.
        if (a > 1) expect(Math.abs(Math.log(odds(a * 1.01) / odds(a)))).toBeLessThan(0.1);
      }),
    );
  });
  it("refuses what cannot be", () => {
    expect(() => numberWeight(-1, norm, "more")).toThrow(RangeError);
    expect(() => numberWeight(1, { ...norm, spread: 0 }, "more")).toThrow(RangeError);
  });
});
