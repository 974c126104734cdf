import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { bearingTable } from "./bearing-table";
import { findBearing } from "./find-bearing";

describe("the bearing table", () => {
  // ISO 15 / ABMA 20 boundary dimensions, bore × outside × shielded width, recalled alike from two tables.
  it.each([
    ["603", 3, 9, 5],
    ["604", 4, 12, 4],
    ["608", 8, 22, 7],
    ["623", 3, 10, 4],
    ["626", 6, 19, 6],
    ["635", 5, 19, 6],
    ["683", 3, 7, 3],
    ["685", 5, 11, 5],
    ["688", 8, 16, 5],
    ["693", 3, 8, 4],
    ["696", 6, 15, 5],
    ["MR63", 3, 6, 2.5],
    ["MR74", 4, 7, 2.5],
    ["MR106", 6, 10, 3],
    ["MR128", 8, 12, 3.5],
  ])("has %s as %d × %d × %d", (number, boreMm, outsideMm, shieldedMm) => {
    expect(bearingTable.find((size) => size.number === number)).toMatchObject({ boreMm, outsideMm, shieldedMm });
  });

  // The decoding rules hold on all rows (ISO 15, from memory).
  it("follows the numbers' own rules: MRab is outside then bore, three digits end in the bore, 00 and 01 are 10 and 12 mm", () => {
    for (const { number, boreMm, outsideMm } of bearingTable) {
      const thin = /^MR(\d+)(\d)$/.exec(number);
      if (thin) expect([Number(thin[1]), Number(thin[2])], number).toEqual([outsideMm, boreMm]);
      else if (number.length === 3) expect(Number(number[2]), number).toBe(boreMm);
      else expect({ "00": 10, "01": 12, "02": 15, "03": 17 }[number.slice(2)], number).toBe(boreMm);
    }
  });

  it("has each number once and no width under the open one", () => {
    expect(new Set(bearingTable.map((size) => size.number)).size).toBe(bearingTable.length);
    for (const size of bearingTable) {
      expect(size.shieldedMm, size.number).toBeGreaterThanOrEqual(size.openMm);
      expect(size.outsideMm, size.number).toBeGreaterThan(size.boreMm);
    }
  });
});

describe("finding a bearing by the caliper", () => {
  const numbers = (boreMm: number, outsideMm: number, widthMm: number, toleranceMm?: number) =>
    findBearing({ boreMm, outsideMm, widthMm }, toleranceMm).map((match) => match.number);

  it("tells two that share bore and outside apart by their width", () => {
    expect(numbers(5, 11, 5)).toEqual(["685"]);
    expect(numbers(5, 11, 4)).toEqual(["MR115"]);
    expect(numbers(5, 11, 4.5)).toEqual([]);
  });

  it("says which of its two widths was measured", () => {
    expect(findBearing({ boreMm: 5, outsideMm: 11, widthMm: 3 })[0]).toMatchObject({ number: "685", width: "open" });
    expect(findBearing({ boreMm: 5, outsideMm: 11, widthMm: 5 })[0]).toMatchObject({ number: "685", width: "shielded" });
    expect(findBearing({ boreMm: 8, outsideMm: 22, widthMm: 7 })[0]).toMatchObject({ number: "608", width: "both" });
  });

  it("takes a reading up to the tolerance and not beyond, on every dimension", () => {
    expect(numbers(3.1, 10, 4)).toEqual(["623"]);
    expect(numbers(3.11, 10, 4)).toEqual([]);
    expect(numbers(3, 9.9, 4)).toEqual(["623"]);
    expect(numbers(3, 9.89, 4)).toEqual([]);
    expect(numbers(3, 10, 4.1)).toEqual(["623"]);
    expect(numbers(3, 10, 4.11)).toEqual([]);
  });

  it("finds every bearing of the table by its own sizes first, whatever the caliper is off within the tolerance", () => {
    const off = fc.double({ min: -0.05, max: 0.05, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...bearingTable), off, off, off, (size, a, b, c) => {
        expect(numbers(size.boreMm + a, size.outsideMm + b, size.shieldedMm + c)).toContain(size.number);
      }),
    );
  });

  it("knows every bearing in every family's template, so that a spare can be bought by its number", () => {
    for (const id of familyIds)
      for (const part of families[id].parts)
        if (part.shape.kind === "bearing") {
          const { boreMm, outsideMm, widthMm } = part.shape;
          expect(numbers(boreMm, outsideMm, widthMm), `${id}: ${part.name}`).not.toEqual([]);
        }
  });
});
