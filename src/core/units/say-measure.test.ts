import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readMeasure } from "./read-measure";
import { forceUnitIds, sayMeasure, shownUnit, shownValue } from "./say-measure";

// Source of the factors: NIST SP 811 (2008), appendix B.8: 1 lbf = 4.448 222 N, 1 kgf = 9.806 65 N.
describe("a measure as the shop shows it", () => {
  it("turns a pull into kilograms or pounds and leaves everything else", () => {
    expect(sayMeasure(44.48222, "N", "lb")).toBe("10 lb");
    expect(sayMeasure(44.48222, "N", "kg")).toBe("4.54 kg");
    expect(sayMeasure(44.48222, "N", "N")).toBe("44.5 N");
    expect(sayMeasure(12.34, "s", "lb")).toBe("12.3 s");
    expect(sayMeasure(3, null, "lb")).toBe("3");
  });

  it("is read back as it was shown, bare or with its unit", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 300, noNaN: true }), fc.constantFrom(...forceUnitIds), (value, force) => {
        const figures = shownValue(value, "N", force).toFixed(6);
        const unit = shownUnit("N", force);
        for (const text of [figures, `${figures} ${unit}`]) expect(readMeasure(text, "N", unit)).toBeCloseTo(value, 3);
      }),
    );
  });
});
