import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { taxOnNet } from "@/core/money/money";
import { quoteSum } from "./quote-sum";

const rates = { ratePerHourMinor: 4500, tax: 2000 };

describe("the sum of a quote", () => {
  it("adds labour, parts and tax as worked by hand", () => {
    // 50 min at 45.00 an hour is 37.50; parts 3.40 + 2 × 3.20 = 9.80; net 47.30, tax 9.46.
    const sum = quoteSum(
      [
        { words: "intake", minutes: 15 },
        { words: "strip", minutes: 35 },
      ],
      [
        { partTypeId: "a", words: "a", quantity: 1, priceMinor: 340 },
        { partTypeId: "b", words: "b", quantity: 2, priceMinor: 320 },
      ],
      rates,
    );
    expect(sum).toEqual({
      minutes: 50,
      labourMinor: 3750,
      partsMinor: 980,
      extrasMinor: 0,
      madeUpMinor: 0,
      discountMinor: 0,
      netMinor: 4730,
      taxMinor: 946,
      totalMinor: 5676,
    });
  });

  it("takes a discount off work and parts before tax, as worked by hand", () => {
    // 100.00 of work at 20 % tax with 15 % off: 85.00 net, 17.00 tax.
    const sum = quoteSum([{ words: "work", minutes: 60 }], [], { ratePerHourMinor: 10_000, tax: 2000, discount: 1500 });
    expect(sum).toMatchObject({ labourMinor: 10_000, discountMinor: 1500, netMinor: 8500, taxMinor: 1700, totalMinor: 10_200 });
  });

  it("always adds up, and prices the sum of minutes once", () => {
    const minutes = fc.array(fc.integer({ min: 0, max: 300 }), { maxLength: 20 });
    fc.assert(
      fc.property(minutes, fc.array(fc.integer({ min: 0, max: 50_000 }), { maxLength: 20 }), (work, prices) => {
        const sum = quoteSum(
          work.map((m, i) => ({ words: String(i), minutes: m })),
          prices.map((priceMinor, i) => ({ partTypeId: String(i), words: "", quantity: 1, priceMinor })),
          rates,
        );
        expect(sum.totalMinor).toBe(sum.labourMinor + sum.partsMinor + sum.taxMinor);
        expect(sum.taxMinor).toBe(taxOnNet(sum.netMinor, rates.tax));
        expect(Math.abs(sum.labourMinor - (work.reduce((a, b) => a + b, 0) * 4500) / 60)).toBeLessThanOrEqual(0.5);
      }),
    );
  });
});
