import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { decodeSerial, matchesSerial, patternFault, type SerialRule, serialRuleSchema } from "./serial";

const rule = (pattern: string, fromYear: number, toYear: number, more: Partial<SerialRule> = {}): SerialRule =>
  serialRuleSchema.parse({ pattern, fromYear, toYear, ...more });

describe("a serial's pattern", () => {
  it("is read as a person reads it, without regard to spaces, dashes and case", () => {
    expect(matchesSerial("MS{YY}-#####", "ms 98 20417")).toBe(true);
    expect(matchesSerial("MS{YY}-#####", "MS98-2041")).toBe(false);
    expect(matchesSerial("@##*", "K12anything")).toBe(true);
    expect(matchesSerial("A.B", "AXB"), "a full stop is a full stop").toBe(false);
  });

  it("is refused with what is wrong with it", () => {
    expect(patternFault("{YYY}##")).toContain("{YY}");
    expect(patternFault("{YY}{L}")).toContain("once");
    expect(patternFault("*##")).toContain("end");
    expect(patternFault("- -")).toContain("at least one");
    expect(patternFault("K{YYYY}#")).toBeNull();
    expect(matchesSerial("{oops}", "anything")).toBe(false);
  });

  it("never throws and never hangs, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.string({ maxLength: 60 }), (pattern, serial) => {
        expect(typeof matchesSerial(pattern, serial)).toBe("boolean");
      }),
    );
  });

  it("finds every serial that is written after it", () => {
    const piece = fc.constantFrom("#", "@", "K", "7", "/", ".", "+", "(");
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 12 }), fc.nat(), (pieces, seed) => {
        const pattern = `Z${pieces.join("")}`;
        const serial = `Z${pieces.map((p, i) => (p === "#" ? String((seed + i) % 10) : p === "@" ? "ABCXYZ"[(seed + i) % 6] : p)).join("")}`;
        expect(matchesSerial(pattern, serial)).toBe(true);
      }),
    );
  });
});

describe("what a serial tells", () => {
  it("takes the century from the rule's own years", () => {
    const rules = [rule("T{YY}###", 1948, 1979), rule("T{YY}####", 1980, 2030)];
    expect(decodeSerial(rules, "T51 004")?.year).toBe(1951);
    expect(decodeSerial(rules, "T07 0042")?.year).toBe(2007);
    expect(decodeSerial(rules, "T47 004"), "before the maker began").toBeNull();
  });

  it("counts letters from A, without those the maker left out", () => {
    const letters = [rule("{L}###", 1960, 1982, { letterYear: 1960, lettersLeftOut: "IOQ" })];
    expect(decodeSerial(letters, "A001")?.year).toBe(1960);
    // Without I: J is the ninth letter.
    expect(decodeSerial(letters, "J001")?.year).toBe(1968);
    expect(decodeSerial(letters, "I001")).toBeNull();
    // A came again after 23 letters, in 1983: the letter alone cannot say which.
    expect(decodeSerial([rule("{L}###", 1960, 2000, { letterYear: 1960, lettersLeftOut: "IOQ" })], "A001")).toMatchObject({ year: null });
  });

  it("does not guess a year from a rule of many years, and says one from a rule of one", () => {
    expect(decodeSerial([rule("BW*", 2012, 2019)], "BW 77")).toMatchObject({ year: null });
    expect(decodeSerial([rule("BW*", 2012, 2012)], "BW 77")).toMatchObject({ year: 2012 });
    expect(decodeSerial([rule("BW*", 2012, 2012)], "")).toBeNull();
  });

  it("goes by the first rule that fits", () => {
    const rules = [rule("9####", 1990, 1990, { edition: "early" }), rule("#####", 1991, 1991, { edition: "late" })];
    expect(decodeSerial(rules, "91234")?.rule.edition).toBe("early");
    expect(decodeSerial(rules, "81234")?.rule.edition).toBe("late");
  });

  it("refuses a rule that cannot be", () => {
    for (const bad of [
      { pattern: "{L}#", fromYear: 1950, toYear: 1960 },
      { pattern: "A#", fromYear: 1960, toYear: 1950 },
      { pattern: "{", fromYear: 1950, toYear: 1960 },
    ])
      expect(serialRuleSchema.safeParse(bad).success).toBe(false);
  });
});
