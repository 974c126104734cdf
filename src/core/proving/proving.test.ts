import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { changeWords, compare, differenceOf, type Observation } from "./compare";
import { extraTests, hasDrag, protocolFor, testSpec } from "./protocol";

const seen = (verdict: Observation["verdict"], value: number | null = null, lineRadiusMm: number | null = null): Observation => ({
  verdict,
  value,
  lineRadiusMm,
});

describe("before against after", () => {
  it("goes by the verdict where it changed", () => {
    expect(compare(testSpec("turning"), seen("bad", 10), seen("good", 12))).toBe("better");
    expect(compare(testSpec("click"), seen("good"), seen("doubtful"))).toBe("worse");
  });

  it("goes by the number, the right way round, where it did not", () => {
    expect(compare(testSpec("free-spool"), seen("good", 30), seen("good", 40))).toBe("better");
    expect(compare(testSpec("turning"), seen("good", 20), seen("good", 9))).toBe("better");
    expect(compare(testSpec("turning"), seen("good", 9), seen("good", 20))).toBe("worse");
    expect(compare(testSpec("free-spool"), seen("good", 30), seen("good", 31))).toBe("same");
  });

  it("says nothing of a word beside a number, and of two words only that they are the same", () => {
    expect(compare(testSpec("free-spool"), seen("good", 24), seen("good"))).toBe("unlike");
    expect(compare(testSpec("free-spool"), seen("good"), seen("good", 24))).toBe("unlike");
    expect(changeWords.unlike).toBe("");
    expect(compare(testSpec("free-spool"), seen("good"), seen("good"))).toBe("same");
    expect(compare(testSpec("free-spool"), seen("bad"), seen("good", 24))).toBe("better");
  });

  it("says that a number changed where neither way is better, and compares none taken on another setting", () => {
    expect(compare(testSpec("drag-strike"), seen("good", 20, 24), seen("good", 30, 24))).toBe("changed");
    expect(compare(testSpec("drag-strike"), seen("good", 20, 24), seen("good", 20.1, 24))).toBe("same");
    const at = (setting: number) => ({ ...seen("good", 20 * setting, 24), setting });
    expect(compare(testSpec("drag-full"), at(1), at(2))).toBe("not-comparable");
    expect(compare(testSpec("drag-full"), { ...at(2), value: 20 }, { ...at(2), value: 40 })).toBe("better");
  });

  it("says another only where the interval of the difference leaves nothing out", () => {
    const scale = (value: number) => ({ ...seen("good", value, 24), instrument: "pull-scale" });
    // ± 2 % and 0.2 N on each: at 40 N the difference is known to about 1.1 N.
    expect(compare(testSpec("drag-full"), scale(40), scale(40.8))).toBe("same");
    expect(compare(testSpec("drag-full"), scale(40), scale(41.6))).toBe("better");
    expect(compare(testSpec("drag-full"), seen("good", 40, 24), seen("good", 41.6, 24))).toBe("same");
    const { value, low, high } = differenceOf(testSpec("drag-full"), scale(40), scale(42))!;
    expect(value).toBeCloseTo(2, 9);
    expect(high - low).toBeCloseTo(2 * 1.96 * Math.hypot(0.4, 0.1, 0.42, 0.1), 6);
    // Three slips of twenty and one may be chance; twelve and one may not.
    expect(compare(testSpec("anti-reverse"), seen("good", 3), seen("good", 1))).toBe("same");
    expect(compare(testSpec("anti-reverse"), seen("good", 12), seen("good", 1))).toBe("better");
  });

  it("compares pulls as torque: half the force at twice the radius is the same drag", () => {
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 30, 24))).toBe("same");
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 60, 24))).toBe("better");
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 60))).toBe("not-comparable");
  });
});

describe("the protocol", () => {
  it("names only what such a reel has: no lever, star, knob, dial, bar or drag of another", () => {
    const asks = {
      star: ["star"],
      lever: ["free-spool-lever", "drag-lever"],
      "thumb bar": ["thumb-bar"],
      dial: ["drag-dial"],
      bail: ["bail-wire"],
      drum: ["drum"],
    } as const;
    for (const family of familyIds) {
      const roles = new Set(families[family].parts.flatMap(({ role, shape }) => [role, shape.kind as string]));
      const words = [...protocolFor(family), ...extraTests(family)]
        .map(({ name, how }) => `${name} ${how.replace("dial gauge", "")}`.toLowerCase())
        .join(" ");
      for (const [word, has] of Object.entries(asks))
        if (new RegExp(`\\b${word}\\b`).test(words))
          expect(
            has.some((role) => roles.has(role)),
            `${family}: ${word}`,
          ).toBe(true);
      expect(hasDrag(family), family).toBe(family !== "centrepin");
    }
    expect(protocolFor("spincast").map(({ name }) => name)).toContain("Drag, dial 1/2 turn");
    expect(protocolFor("baitcaster-round")[0]!.how).toMatch(/^Thumb bar pressed, spin/);
  });

  it("has each test once in every family and cautions wherever line is loaded", () => {
    for (const family of familyIds) {
      const tests = protocolFor(family);
      expect(tests.length, family).toBeGreaterThan(1);
      expect(new Set(tests.map((test) => test.id)).size, family).toBe(tests.length);
      for (const test of tests) expect(Boolean(test.caution), `${family} ${test.id}`).toBe(test.takesLineRadius);
    }
  });

  it("makes the two tests that name the half first, where a reel has free spool (common practice)", () => {
    for (const family of ["star-drag-bridge", "lever-drag", "baitcaster-round"] as const)
      expect(
        protocolFor(family)
          .slice(0, 2)
          .map((test) => test.id),
      ).toEqual(["free-spool", "turning"]);
  });

  it("speaks of the adjuster the reel has, and keeps unit and direction whatever it is called", () => {
    const full = (family: (typeof familyIds)[number]) => protocolFor(family).find((test) => test.id === "drag-full")!;
    expect(full("lever-drag").name).toContain("lever");
    expect(full("spinning").how).toContain("Knob fully tight");
    expect(full("star-drag-clutch").name).toContain("star");
    for (const family of ["lever-drag", "spinning"] as const)
      expect(full(family)).toMatchObject({ unit: testSpec("drag-full").unit, better: "more" });
  });

  it("asks of each family what only it has", () => {
    const has = (family: (typeof familyIds)[number], id: string) => protocolFor(family).some((test) => test.id === id);
    expect([
      has("spinning", "bail"),
      has("spinning-sealed-bail-less", "bail"),
      has("baitcaster-low-profile", "level-wind"),
      has("spincast", "cast-pin"),
      has("centrepin", "drag-full"),
    ]).toEqual([true, false, true, true, false]);
  });
});

describe("a test's words on a reel", () => {
  const all = (family: (typeof familyIds)[number]) => [...protocolFor(family), ...extraTests(family)];
  // Common practice: which reels have such a control at all.
  const controls: readonly (readonly [RegExp, (family: (typeof familyIds)[number]) => boolean])[] = [
    [/\bstar\b/i, (family) => /^star-drag|^baitcaster/.test(family)],
    [/\btension\b/i, (family) => family.startsWith("baitcaster")],
    [/\badjuster cap\b/i, (family) => family.startsWith("star-drag")],
    [/drag lever|strike|lever at/i, (family) => family === "lever-drag"],
    [/thumb bar/i, (family) => family.startsWith("baitcaster")],
    [/in gear|free.spool/i, (family) => /^star-drag|^baitcaster|^lever/.test(family)],
    [/\bclick\b/i, (family) => /^star-drag|^lever|^baitcaster-round|^fly/.test(family)],
    [/\bcheck\b/i, (family) => family === "centrepin"],
    [/\bbail\b/i, (family) => family === "spinning" || family === "spinning-fluid-sealed"],
    [/\bdial\b(?! gauge)/i, (family) => family === "spincast"],
  ];
  it.each(familyIds)("%s: name only controls that it has", (family) => {
    for (const { name, how, why } of all(family))
      for (const [control, has] of controls)
        if (control.test(`${name}. ${how} ${why}`)) expect(has(family), `${name}: ${how} ${why}`).toBe(true);
  });

  it("are its own where its parts make it otherwise", () => {
    const named = (family: (typeof familyIds)[number], id: string) => all(family).find((test) => test.id === id)!;
    expect(named("lever-drag", "side-play").how).toMatch(/Lever at free/);
    expect(named("centrepin", "click").name).toBe("Check");
    expect(named("spincast", "knob").name).toBe("Handle knob");
    expect(named("spincast", "drag-full").name).toBe("Drag, dial fully tight");
    expect(named("centrepin", "side-play").how).toMatch(/rim/);
    expect(named("centrepin", "free-spool").how).toMatch(/flick of a fingertip/);
    expect(named("star-drag-clutch", "turning").how).toMatch(/under one fingertip/);
    expect(named("star-drag-clutch", "turning").why).toMatch(/eased an eighth/);
  });
});
