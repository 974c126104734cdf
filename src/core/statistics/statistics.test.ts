import { describe, expect, it } from "vitest";
import { intervalNotBelowNothing } from "./bounded-interval";
import { chiSquare95, f95, t95 } from "./quantiles";

describe("quantiles (tables of Student's t, chi-square and F, to their three or four digits)", () => {
  it.each([
    [1, 12.706],
    [2, 4.303],
    [5, 2.571],
    [10, 2.228],
    [30, 2.042],
    [120, 1.98],
  ])("t with %i freedoms reaches %f", (freedom, t) => expect(t95(freedom)).toBeCloseTo(t, 3));
  it("has no end without freedom", () => expect(t95(0)).toBe(Number.POSITIVE_INFINITY));
  it.each([
    [1, 3.841],
    [2, 5.991],
    [3, 7.815],
  ])("chi-square with %i freedoms: %f", (freedom, x) => expect(chiSquare95(freedom)).toBeCloseTo(x, 3));
  it.each([
    [1, 10, 4.965],
    [2, 10, 4.103],
    [3, 20, 3.098],
  ])("F of %i and %i: %f", (one, other, x) => expect(f95(one, other)).toBeCloseTo(x, 3));
});

describe("an interval not below nothing", () => {
  // Feldman & Cousins 1998, table X, 95 % column (from memory).
  it.each([
    [-3, 0, 0.42],
    [-2, 0, 0.62],
    [-1, 0, 1.1],
    [0, 0, 1.96],
    [1, 0, 2.96],
    [3, 1.14, 4.96],
  ])("a reading of %f with an error of 1 leaves %f to %f", (reading, low, high) => {
    const interval = intervalNotBelowNothing(reading, 1, 1e6);
    expect(interval.low).toBeCloseTo(low, 2);
    expect(interval.high).toBeCloseTo(high, 2);
  });
  it("is the plain one far above nothing, scales with its unit, and knows nothing without freedom", () => {
    const { low, high } = intervalNotBelowNothing(20, 2, 30);
    expect([low, high]).toEqual([expect.closeTo(20 - 2 * 2.0423, 3), expect.closeTo(20 + 2 * 2.0423, 3)]);
    const far = intervalNotBelowNothing(3, 1, 12);
    const near = intervalNotBelowNothing(300, 100, 12);
    expect(near.high / far.high).toBeCloseTo(100, 9);
    expect(intervalNotBelowNothing(1, 1, 0)).toEqual({ low: 0, high: Number.POSITIVE_INFINITY });
    expect(intervalNotBelowNothing(-1, 0, 5)).toEqual({ low: 0, high: 0 });
  });
});
