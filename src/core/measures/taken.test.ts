import { describe, expect, it } from "vitest";
import { normal } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { familyIds } from "@/core/vocabulary/families";
import { changeOf, figureWords, kindsFor, measureInput, measureKinds, takenOf } from "./taken";

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

  it("says a pull at the lever by the scale's two hundredths and its step: 30 N are 30 ± 1.24 (worked)", () => {
    const pull = takenOf({ kind: "lever-force", newtons: 30 }, []);
    expect([pull.value, pull.unit, pull.says]).toEqual([30, "N", ""]);
    expect(pull.high - pull.value).toBeCloseTo(1.96 * Math.sqrt(0.6 ** 2 + 0.2 ** 2), 9);
    expect(pull.value - pull.low).toBeCloseTo(1.96 * Math.sqrt(0.6 ** 2 + 0.2 ** 2), 9);
  });

  it("gives a length and a pinion's height as they were taken, in millimetres, saying no more", () => {
    for (const kind of ["length", "pinion-height"] as const)
      expect(takenOf({ kind, size: { mm: 12.4, offMm: 0.5 } }, [])).toEqual({ value: 12.4, low: 11.9, high: 12.9, unit: "mm", says: "" });
  });

  it("says of wear what is sure: as new, not clear, or worn", () => {
    const wear = (worn: number, fresh: number, offMm: number) =>
      takenOf({ kind: "wear", worn: { mm: worn, offMm }, fresh: { mm: fresh, offMm } }, []);
    expect(wear(4.58, 4.6, 0.05)).toMatchObject({ says: "as new", unit: "mm" });
    expect(wear(4.2, 4.6, 0.5).says).toBe("not clear whether it is worn");
    expect(wear(4.2, 4.6, 0.05).says).toBe("worn");
  });

  it("has its unit in every kind and its words in every refusal", () => {
    expect(Object.values(measureKinds).map(({ name, unit }) => `${name} ${unit}`)).toEqual([
      "Side play mm",
      "Wear mm",
      "Stack height mm",
      "Pinion above rotor mm",
      "Force at the lever N",
      "A length mm",
    ]);
    expect(takenOf({ kind: "side-play", turns: 1, pitchMm: 1 }, []).unit).toBe("mm");
    expect(takenOf({ kind: "stack-height", size: { mm: 1.6, offMm: 0.05 } }, washers).unit).toBe("mm");
    const says = (input: unknown) => measureInput.safeParse(input).error?.issues[0]?.message;
    const length = (mm: unknown, offMm: unknown = 0.5) => ({ kind: "length", size: { mm, offMm } });
    expect(says(length("x"))).toBe("Type millimetres as a number.");
    expect(says(length(0))).toBe("Above 0 mm.");
    expect(says(length(1001))).toBe("At most 1000 mm.");
    expect(says(length(1000, 100))).toBeUndefined();
    expect(says(length(1000, 0))).toBeUndefined();
    expect(says(length(5, 100.1))).toBeDefined();
    expect(says(length(5, -0.1))).toBeDefined();
    const play = (turns: unknown, pitchMm: unknown) => ({ kind: "side-play", turns, pitchMm });
    expect(says(play("x", 1))).toBe("Turns as a number, such as 0.25.");
    expect(says(play(-0.1, 1))).toBe("From 0 turns up.");
    expect(says(play(20.1, 1))).toBe("At most 20 turns.");
    expect(says(play(20, 5))).toBeUndefined();
    expect(says(play(0, 0.1))).toBeUndefined();
    expect(says(play(1, "x"))).toBe("Millimetres a turn, as a number.");
    expect(says(play(1, 0))).toBe("Above 0 mm.");
    expect(says(play(1, 5.1))).toBe("At most 5 mm a turn.");
    const force = (newtons: unknown) => ({ kind: "lever-force", newtons });
    expect(says(force("x"))).toBe("Type a pull: 30, 3 kg, 7 lb.");
    expect(says(force(0))).toBe("Above 0.");
    expect(says(force(2000.1))).toBe("That is more than any lever takes.");
    expect(says(force(2000))).toBeUndefined();
    for (const kind of ["stack-height", "pinion-height", "length"])
      expect(measureInput.safeParse({ kind, size: { mm: 5, offMm: 0.1 } }).success).toBe(true);
    for (const kind of ["stack-height", "pinion-height", "length", "wear", "side-play", "lever-force", "other"])
      expect(measureInput.safeParse({ kind }).success).toBe(false);
    expect(measureInput.safeParse({ kind: "wear", worn: { mm: 4, offMm: 0.1 }, fresh: { mm: 5, offMm: 0.1 } }).success).toBe(true);
  });

  it("takes an interval at its very edge for no change, and knows which side each error is on", () => {
    const figure = (value: number, down: number, up: number) => ({ value, low: value - down, high: value + up });
    // Up: the upper error of the first and the lower of the second; 0.3² + 0.4² = 0.5².
    expect(changeOf(figure(1, 9, 0.3), figure(2, 0.4, 9))).toMatchObject({ by: 1, says: "more" });
    expect(changeOf(figure(1, 9, 0.3), figure(2, 0.4, 9)).off).toBeCloseTo(0.5, 12);
    expect(changeOf(figure(2, 0.3, 9), figure(1, 9, 0.4)).off).toBeCloseTo(0.5, 12);
    expect(changeOf(figure(2, 0.3, 9), figure(1, 9, 0.4))).toMatchObject({ by: -1, says: "less" });
    expect(changeOf(figure(0, 0, 0.5), figure(0.5, 0, 0))).toMatchObject({ says: "no difference" });
    expect(changeOf(figure(1, 0, 0), figure(1, 0, 0))).toEqual({ by: 0, off: 0, says: "no difference" });
  });

  it("writes a figure without doubt to two places, and one that leans as its interval", () => {
    expect(figureWords({ value: 2.345, low: 2.345, high: 2.345, unit: "mm" })).toBe(
      "2.35 (2.35 to 2.35) mm".replace("2.35 (2.35 to 2.35)", figureWords({ value: 2.345, low: 2.345, high: 2.345, unit: "" })),
    );
    expect(figureWords({ value: 10, low: 9, high: 11, unit: "" })).toBe("10 ± 1");
    expect(figureWords({ value: 10, low: 9, high: 11.1, unit: "N" })).toBe("10 (9 to 11.1) N");
    expect(figureWords({ value: 123.4, low: 100, high: 146.8, unit: "N" })).toBe("123 ± 23 N");
  });

  it("asks of a reel only what it has", () => {
    for (const family of familyIds) {
      expect(kindsFor(family, true).includes("lever-force")).toBe(family === "lever-drag");
      expect(kindsFor(family, false)).not.toContain("stack-height");
      expect(kindsFor(family, true)).toContain("stack-height");
      for (const kind of ["side-play", "wear", "length"] as const) expect(kindsFor(family, false)).toContain(kind);
      expect(kindsFor(family, true).includes("pinion-height")).toBe(/^spin/.test(family));
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
