import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { median, quantile } from "./quantile";

describe("a quantile between neighbours", () => {
  // Worked by hand after Hyndman & Fan 1996, definition 7: h = (n − 1)p + 1, between the values at ⌊h⌋ and ⌈h⌉.
  it.each([
    [[1, 2, 3, 4], 0.25, 1.75],
    [[4, 1, 3, 2], 0.5, 2.5],
    [[10, 20, 30], 0.1, 12],
    [[10, 20, 30], 0.9, 28],
    [[7], 0.3, 7],
    [[5, 1], 0, 1],
    [[5, 1], 1, 5],
  ])("of %j at %f is %f", (values, share, expected) => expect(quantile(values, share)).toBeCloseTo(expected, 12));

  it("follows that definition on any values", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (values, share) => {
          const sorted = [...values].sort((a, b) => a - b);
          const h = (sorted.length - 1) * share;
          const expected = sorted[Math.floor(h)]! + (h - Math.floor(h)) * (sorted[Math.ceil(h)]! - sorted[Math.floor(h)]!);
          expect(quantile(values, share)).toBeCloseTo(expected, 6);
        },
      ),
    );
  });

  it("has a median that is the middle of an odd number, and changes nothing it is given", () => {
    const values = [3, 1, 2] as const;
    expect(median(values)).toBe(2);
    expect(values).toEqual([3, 1, 2]);
  });
});
