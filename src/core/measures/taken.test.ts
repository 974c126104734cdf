import { describe, expect, it } from "vitest";
import { normal } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { familyIds } from "@/core/vocabulary/families";
import { changeOf, figureWords, kindsFor, measureInput, takenOf } from "./taken";

describe("a measure at the bench", () => {
  const washers = [
    { name: "friction washer", thicknessMm: 1 },
    { name: "keyed washer", thicknessMm: 0.6 },
  ];

  it("says side play by its interval, never below none", () => {
    // A quarter turn of 0.75 mm; the turn is read to 0.06 of a turn.
    expect(takenOf({ kind: "side-play", turns: 0.25, pitchMm: 0.75 }, [])).toMatchObject({ value: 0.1875, unit: "mm" });
    expect(takenOf({ kind: "side-play", turns: 0.01, pitchMm: 0.75 }, []).low).toBe(0);
  });

  it("says what a stack's height means for its washers, and wear by two sizes", () => {
    const height = (mm: number) => takenOf({ kind: "stack-height", size: { mm, offMm: 0.05 } }, washers).says;
    expect(height(1.62)).toBe("as its washers add up, 1.6 mm");
    expect(height(0.62)).toBe("friction washer missing?, 1.6 mm");
    const wear = takenOf({ kind: "wear", worn: { mm: 4.2, offMm: 0.05 }, fresh: { mm: 4.6, offMm: 0.05 } }, []);
    expect(wear).toMatchObject({ says: "worn" });
    expect(wear.value).toBeCloseTo(0.4, 9);
    expect(wear.high - wear.value).toBeCloseTo(0.0707, 3);
    expect(() => takenOf({ kind: "stack-height", size: { mm: 4, offMm: 0.05 } }, [])).toThrow(/at least one washer/);
  });

  it("asks of a reel only what it has", () => {
    for (const family of familyIds) {
      expect(kindsFor(family, true).includes("lever-force")).toBe(family === "lever-drag");
      expect(kindsFor(family, false)).not.toContain("stack-height");
    }
    expect(kindsFor("centrepin", true)).not.toContain("pinion-height");
    expect(kindsFor("spinning", true)).toContain("pinion-height");
  });

  it("refuses nonsense at its field", () => {
    const refused = (input: unknown) => measureInput.safeParse(input).error?.issues[0]?.path.join(".");
    expect(refused({ kind: "side-play", turns: -1, pitchMm: 0.75 })).toBe("turns");
    expect(refused({ kind: "side-play", turns: 1, pitchMm: 0 })).toBe("pitchMm");
    expect(refused({ kind: "lever-force", newtons: Number.NaN })).toBe("newtons");
    expect(refused({ kind: "length", size: { mm: 1001, offMm: 0.5 } })).toBe("size.mm");
  });

  it("says figures no finer than they are", () => {
    expect(figureWords({ value: 0.09375, low: 0.04875, high: 0.13875, unit: "mm" })).toBe("0.094 ± 0.045 mm");
    expect(figureWords({ value: 31.234, low: 29.9, high: 32.568, unit: "N" })).toBe("31.2 ± 1.3 N");
    expect(figureWords({ value: 0.02, low: 0, high: 0.065, unit: "mm" })).toBe("0.02 (0 to 0.065) mm");
    expect(figureWords({ value: 0.1234, low: Number.NEGATIVE_INFINITY, high: Number.POSITIVE_INFINITY, unit: "" })).toBe("0.123");
  });

  it("tells a change from none at five false alarms in a hundred", () => {
    const random = stream(5);
    const read = (truth: number) => {
      const value = truth + 0.05 * normal(random);
      return { value, low: value - 1.96 * 0.05, high: value + 1.96 * 0.05 };
    };
    const told = (before: number, after: number) => {
      let times = 0;
      for (let n = 0; n < 4000; n++) if (changeOf(read(before), read(after)).says !== "no difference") times++;
      return times / 4000;
    };
    expect(told(1, 1)).toBeGreaterThan(0.04);
    expect(told(1, 1)).toBeLessThan(0.06);
    expect(told(1, 1.3)).toBeGreaterThan(0.97);
    expect(changeOf({ value: 1, low: 0.9, high: 1.1 }, { value: 1.3, low: 1.2, high: 1.4 })).toMatchObject({ says: "more" });
    expect(changeOf({ value: 1.3, low: 1.2, high: 1.4 }, { value: 1, low: 0.9, high: 1.1 })).toMatchObject({ says: "less" });
  });
});
