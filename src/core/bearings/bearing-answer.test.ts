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

  it("gives all that a measure can be, closest first, of like ones by number; certain only of one alone: by going through the tables", () => {
    const far = (size: (typeof all)[number], m: { boreMm: number; outsideMm: number; widthMm: number }) =>
      Math.max(
        Math.abs(size.boreMm - m.boreMm),
        Math.abs(size.outsideMm - m.outsideMm),
        Math.min(Math.abs(size.openMm - m.widthMm), Math.abs(size.shieldedMm - m.widthMm)),
      );
    for (const tolerance of [0.1, 0.5, 1])
      for (const size of all) {
        const measure = { boreMm: size.boreMm + 0.03, outsideMm: size.outsideMm - 0.02, widthMm: size.openMm + 0.01 };
        const { matches, certain } = answerBearing(measure, tolerance);
        const expected = all
          .map((one) => ({ number: one.number, off: far(one, measure) }))
          .filter(({ off }) => off <= tolerance)
          .sort((a, b) => a.off - b.off || (a.number < b.number ? -1 : 1));
        expect(matches.map(({ number }) => number)).toEqual(expected.map(({ number }) => number));
        for (const [i, match] of matches.entries()) expect(match.offMm).toBeCloseTo(expected[i]!.off, 12);
        expect(certain).toBe(expected.length === 1);
      }
  });

  it("says which of its two widths was measured, metric and inch, and takes a reading exactly at the limit", () => {
    const width = (boreMm: number, outsideMm: number, widthMm: number) => answerBearing({ boreMm, outsideMm, widthMm }, 0.05).matches[0];
    expect(width(3, 7, 2)).toMatchObject({ number: "683", width: "open", inch: false });
    expect(width(3, 7, 3)).toMatchObject({ number: "683", width: "shielded" });
    expect(width(8, 22, 7)).toMatchObject({ number: "608", width: "both" });
    expect(width(6.35, 12.7, 3.175)).toMatchObject({ number: "R188", width: "open", inch: true });
    expect(width(6.35, 12.7, 4.7625)).toMatchObject({ number: "R188", width: "shielded" });
    expect(width(6.35, 9.525, 3.175)).toMatchObject({ number: "R168", width: "both" });
    // Half-way between the two widths it is believed to be the open one.
    expect(answerBearing({ boreMm: 3, outsideMm: 7, widthMm: 2.5 }, 0.5).matches.find(({ number }) => number === "683")?.width).toBe(
      "open",
    );
    expect(answerBearing({ boreMm: 8.1, outsideMm: 22, widthMm: 7 }, 0.1).matches.map(({ number }) => number)).toEqual(["608"]);
    expect(answerBearing({ boreMm: 6.35, outsideMm: 12.8, widthMm: 4.7625 }, 0.1).matches.map(({ number }) => number)).toContain("R188");
    expect(answerBearing({ boreMm: 8.1002, outsideMm: 22, widthMm: 7 }, 0.1).matches).toEqual([]);
  });

  it("knows of every row how sure it is: 36 metric rows stand in two tables, no inch size does", () => {
    const sure = bearingTable.filter(({ number }) => certaintyOf(number) === "two tables").map(({ number }) => number);
    expect(sure).toEqual([
      ..."603 604 605 606 607 608 609 623 624 625 626 627 628 629 633 634 635 683 684 685 686 687 688 689 693 694 695 696 697 698 699".split(
        " ",
      ),
      ..."MR63 MR74 MR85 MR106 MR117 MR128".split(" "),
    ]);
    // A number that only begins or ends like one of them is none of them.
    for (const other of ["6030", "x603", "636", "602", "MR631", "xMR63"]) expect(certaintyOf(other)).toBe("from memory");
    for (const { number } of inchBearings) expect(certaintyOf(number)).toBe("from memory");
  });

  it("has the inch sizes as they are sold, thousandths of an inch (from memory)", () => {
    const inches = (number: string) => {
      const { boreMm, outsideMm, openMm, shieldedMm } = inchBearings.find((one) => one.number === number)!;
      return [boreMm, outsideMm, openMm, shieldedMm].map((mm) => mm / 25.4);
    };
    for (const [i, size] of [0.25, 0.5, 0.125, 0.1875].entries()) expect(inches("R188")[i]).toBeCloseTo(size, 3);
    for (const [i, size] of [0.125, 0.25, 0.094, 0.109].entries()) expect(inches("R144")[i]).toBeCloseTo(size, 3);
    for (const [i, size] of [0.1875, 0.5, 0.1563, 0.196].entries()) expect(inches("R3")[i]).toBeCloseTo(size, 3);
    for (const [i, size] of [0.0938, 0.1875, 0.0625, 0.0938].entries()) expect(inches("R133")[i]).toBeCloseTo(size, 3);
  });

  it("advises for every water, ear and hand (common practice)", () => {
    const advice = (water: "salt" | "fresh" | "brackish", mindsNoise: boolean, oilsOften: boolean) =>
      materialAdvice({ water, mindsNoise, oilsOften });
    for (const oils of [true, false]) {
      expect(advice("salt", true, oils)).toBe("stainless steel, shielded: quiet, stands salt if it is oiled");
      expect(advice("brackish", true, oils)).toBe("stainless steel, shielded: quiet, stands salt if it is oiled");
      expect(advice("fresh", true, oils)).toBe("chrome or stainless steel: quiet; ceramic is louder");
    }
    expect(advice("salt", false, false)).toBe("ceramic hybrid: needs no oil, louder, dearer");
    expect(advice("salt", false, true)).toBe("stainless steel, shielded");
    expect(advice("fresh", false, true)).toBe("steel, shielded; stainless where it may see salt once");
  });

  it.each([
    [{ boreMm: 60, outsideMm: 120, widthMm: 40, offMm: 1 }, null],
    [{ boreMm: 0.1, outsideMm: 0.2, widthMm: 0.1, offMm: 0 }, null],
    [{ boreMm: 0, outsideMm: 11, widthMm: 5, offMm: 0.1 }, "A bore above 0 mm, at most 60."],
    [{ boreMm: 60.1, outsideMm: 80, widthMm: 5, offMm: 0.1 }, "A bore above 0 mm, at most 60."],
    [{ boreMm: 5, outsideMm: 5, widthMm: 5, offMm: 0.1 }, "The outside is more than the bore, at most 120 mm."],
    [{ boreMm: 5, outsideMm: 120.1, widthMm: 5, offMm: 0.1 }, "The outside is more than the bore, at most 120 mm."],
    [{ boreMm: 5, outsideMm: 11, widthMm: 0, offMm: 0.1 }, "A width above 0 mm, at most 40."],
    [{ boreMm: 5, outsideMm: 11, widthMm: 40.1, offMm: 0.1 }, "A width above 0 mm, at most 40."],
    [{ boreMm: 5, outsideMm: 11, widthMm: 5, offMm: -0.1 }, "Caliper tolerance: 0 to 1 mm."],
    [{ boreMm: 5, outsideMm: 11, widthMm: 5, offMm: 1.1 }, "Caliper tolerance: 0 to 1 mm."],
  ])("knows its bounds and says them: %o", (measure, message) => expect(bearingFault(measure)?.message ?? null).toBe(message));

  it("refuses what cannot be, at its field", () => {
    const measure = { boreMm: 5, outsideMm: 11, widthMm: 5, offMm: 0.1 };
    expect(bearingFault(measure)).toBeNull();
    expect(bearingFault({ ...measure, boreMm: 12 })?.field).toBe("outsideMm");
    expect(bearingFault({ ...measure, boreMm: -1 })?.field).toBe("boreMm");
    expect(bearingFault({ ...measure, widthMm: Number.NaN })?.field).toBe("widthMm");
    expect(bearingFault({ ...measure, offMm: 4 })?.field).toBe("offMm");
  });
});
