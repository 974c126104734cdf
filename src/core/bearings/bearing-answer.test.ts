import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answerBearing, bearingFault, certaintyOf, inchBearings, materialAdvice } from "./bearing-answer";
import { bearingTable } from "./bearing-table";

describe("which bearing it is, and how sure that is", () => {
  const all = [...bearingTable, ...inchBearings];

  it("holds the true size for any measure within what the caliper is off, and is never certain of a wrong one", () => {
    const off = fc.double({ min: -0.1, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.boolean(), off, off, off, (size, shielded, bore, outside, width) => {
        const widthMm = (shielded ? size.shieldedMm : size.openMm) + width;
        const { matches, certain } = answerBearing({ boreMm: size.boreMm + bore, outsideMm: size.outsideMm + outside, widthMm }, 0.1);
        expect(matches.map(({ number }) => number)).toContain(size.number);
        if (certain) expect(matches[0]!.number).toBe(size.number);
      }),
    );
  });

  it("marks inch sizes of old reels, and says nothing rather than the nearest", () => {
    expect(answerBearing({ boreMm: 6.35, outsideMm: 12.7, widthMm: 4.76 }, 0.05).matches.map(({ number, inch }) => [number, inch])).toEqual(
      [["R188", true]],
    );
    expect(answerBearing({ boreMm: 5.5, outsideMm: 11.5, widthMm: 4.4 }, 0.1).matches).toEqual([]);
  });

  it("knows which rows stand in two tables", () => {
    expect([certaintyOf("608"), certaintyOf("MR128"), certaintyOf("MR115"), certaintyOf("6001")]).toEqual([
      "two tables",
      "two tables",
      "from memory",
      "from memory",
    ]);
  });

  it("advises material by salt, noise and oil (common practice)", () => {
    expect(materialAdvice({ water: "salt", mindsNoise: true, oilsOften: true })).toMatch(/stainless/);
    expect(materialAdvice({ water: "fresh", mindsNoise: false, oilsOften: false })).toMatch(/ceramic.*louder/);
  });

  it("refuses what cannot be, at its field", () => {
    const measure = { boreMm: 5, outsideMm: 11, widthMm: 5, offMm: 0.1 };
    expect(bearingFault(measure)).toBeNull();
    expect(bearingFault({ ...measure, boreMm: 12 })?.field).toBe("outsideMm");
    expect(bearingFault({ ...measure, boreMm: -1 })?.field).toBe("boreMm");
    expect(bearingFault({ ...measure, widthMm: Number.NaN })?.field).toBe("widthMm");
    expect(bearingFault({ ...measure, offMm: 4 })?.field).toBe("offMm");
  });
});
