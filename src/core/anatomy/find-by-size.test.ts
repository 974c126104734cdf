import { describe, expect, it } from "vitest";
import { skerry30Parts } from "#tests/skerry";
import { findBySize } from "./find-by-size";

const found = (text: string, tolerance?: number) => findBySize(skerry30Parts, text, tolerance).map(({ part }) => part.number);

describe("finding a part by what was measured", () => {
  it("takes sizes in any order, with words, comma or cross", () => {
    expect(found("friction washer 31 × 8.6 × 0.9")).toEqual(["SK-231"]);
    expect(found("0,9 31 8,6")).toEqual(["SK-231"]);
    expect(found("washer 12 8.2 1.5 mm")).toEqual(["SK-259"]);
    expect(found("bearing 5 11 5")).toEqual(["SK-131"]);
  });

  it("is as exact as a caliper and no more", () => {
    expect(found("friction 30.9 8.7")).toEqual(["SK-231"]);
    expect(found("friction 30.8 8.6")).toEqual([]);
    expect(found("friction 30.8 8.6", 0.25)).toEqual(["SK-231"]);
  });

  it("uses each size of a part once, so that two like measures need two like sizes", () => {
    expect(found("pin 1.5 1.5")).toEqual([]);
    expect(found("pin 1.5 9")).toEqual(["SK-211"]);
  });

  it("puts the closest first, and finds nothing without a measure or with a word that is not there", () => {
    const [first, ...rest] = findBySize(skerry30Parts, "screw 3 9", 2.5);
    expect(first?.offMm).toBe(0);
    for (const { offMm } of rest) expect(offMm).toBeGreaterThanOrEqual(first!.offMm);
    expect(found("washer")).toEqual([]);
    expect(found("leather 31 8.6")).toEqual([]);
  });
});
