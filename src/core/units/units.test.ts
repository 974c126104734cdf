import { all, create } from "mathjs";
import { describe, expect, it } from "vitest";
import { convert, newtonsPerOunceForce, newtonsPerPoundForce } from "./units";

const math = create(all as NonNullable<typeof all>, {});

describe("units", () => {
  // NIST SP 811 (2008) App. B and the international yard and pound agreement 1959; check lines from memory.
  it("gives the published values", () => {
    expect(newtonsPerPoundForce).toBeCloseTo(4.4482216152605, 13);
    expect(newtonsPerOunceForce).toBeCloseTo(0.2780138509537812, 14);
    expect(convert("force", 10, "lbf", "N")).toBeCloseTo(44.482216152605, 11);
    expect(convert("force", 10, "lbf", "kgf")).toBeCloseTo(4.5359237, 12);
    expect(convert("length", 300, "yd", "m")).toBeCloseTo(274.32, 10);
    expect(convert("mass", 7, "oz", "g")).toBeCloseTo(198.446661875, 10);
  });

  // Independent library: mathjs 15.
  it.each([
    ["length", "in", "mm", "inch", "mm"],
    ["length", "yd", "m", "yard", "m"],
    ["force", "kgf", "N", "kgf", "N"],
    ["force", "lbf", "N", "lbf", "N"],
    ["mass", "lb", "g", "lbm", "g"],
  ] as const)("agrees with mathjs on %s %s to %s", (quantity, from, to, mathFrom, mathTo) => {
    const theirs = math.unit(3.7, mathFrom).toNumber(mathTo);
    expect(convert(quantity as "length", 3.7, from as "mm", to as "mm")).toBeCloseTo(theirs, 8);
  });

  it("refuses a unit of another quantity", () => {
    expect(() => convert("length", 1, "N" as "mm", "mm")).toThrow(RangeError);
  });
});
