import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatMinor, labourPrice, parseMinor, roundHalfAwayFromZero, taxOnNet } from "./money";

describe("money", () => {
  // Worked by hand.
  it.each([
    [1250, 2000, 250],
    [1, 5000, 1], // half a cent goes up
    [-1, 5000, -1], // and away from zero when it is given back
    [333, 2000, 67], // 66.6
    [332, 2000, 66], // 66.4
    [1005, 1000, 101], // 100.5: a binary 10.05 * 0.1 would lose this cent
    [0, 2000, 0],
  ])("tax on %i at %i basis points is %i", (net, rate, tax) => {
    expect(taxOnNet(net, rate)).toBe(tax);
  });

  it("charges whole minutes of an hourly rate", () => {
    expect(labourPrice(50, 4800)).toBe(4000);
    expect(labourPrice(20, 4000)).toBe(1333); // 1333.33
    expect(labourPrice(7, 4500)).toBe(525);
  });

  it("is within half a unit of the exact quotient", () => {
    fc.assert(
      fc.property(fc.integer({ min: -1_000_000, max: 1_000_000 }), fc.integer({ min: 1, max: 20_000 }), (n, d) => {
        const exactTwice = 2 * n;
        expect(Math.abs(2 * d * roundHalfAwayFromZero(n, d) - exactTwice)).toBeLessThanOrEqual(d);
      }),
    );
  });

  it("refuses fractions of a minor unit", () => {
    expect(() => taxOnNet(10.5, 2000)).toThrow(RangeError);
  });

  it("reads what people type and refuses the rest", () => {
    expect(parseMinor("12")).toBe(1200);
    expect(parseMinor("12,5")).toBe(1250);
    expect(parseMinor(" 12.05 ")).toBe(1205);
    for (const bad of ["", "-3", "1.234", "1e3", "12.", "abc"]) expect(parseMinor(bad), bad).toBeNull();
  });

  it("prints two digits always", () => {
    expect(formatMinor(5)).toBe("0.05");
    expect(formatMinor(-1205)).toBe("−12.05");
  });
});
