import { describe, expect, it } from "vitest";
import type { PartShape } from "./shapes";
import { isSameSize, typedSize } from "./typed-size";

const bearing = (boreMm: number, outsideMm: number, widthMm: number): PartShape => ({
  kind: "bearing",
  boreMm,
  outsideMm,
  widthMm,
  closure: "shielded",
});

// Source of the sizes: bearing R3 is 3/16 x 1/2 x 0.196 in in makers' tables (from memory); 1 in = 25.4 mm exactly.
describe("a piece's size as typed", () => {
  it("is read in millimetres and in inches, whole, as decimals and as fractions", () => {
    const seat = bearing(4.7625, 12.7, 4.978);
    for (const text of ["3/16 x 1/2 x 0.196 in", '0.1875 × 0.5 × 0.196"', "4.76 x 12.7 x 4.98", ""]) {
      const read = typedSize(text, seat);
      expect(read.ok && read.value.unlike, text).toBe("");
    }
    const other = typedSize("5 x 13 x 4", seat);
    expect(other.ok && other.value.unlike).toContain("the seat takes");
    expect(typedSize("3/16 x in", seat).ok).toBe(false);
  });

  it("is the same size where no measure is off by more than a bench allows", () => {
    expect(isSameSize(bearing(5, 11, 4), bearing(5, 11, 4))).toBe(true);
    expect(isSameSize(bearing(5, 11, 5), bearing(5, 11, 4))).toBe(false);
    expect(isSameSize({ kind: "clip", outsideMm: 5, heightMm: 1 } as unknown as PartShape, bearing(5, 11, 4))).toBe(false);
  });
});
