import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { taxOnNet } from "@/core/money/money";
import { ageOf, balanceOf, creditOf, splitGross, taxRows } from "./papers";

const rates = fc.constantFrom(0, 500, 700, 1900, 2000, 2100, 2500);

describe("papers", () => {
  it("split an amount so that net and tax add up, as the tax on the net would be to a hundredth", () => {
    expect(splitGross(1200, 2000)).toEqual({ netMinor: 1000, taxMinor: 200 });
    expect(splitGross(11_900, 1900)).toEqual({ netMinor: 10_000, taxMinor: 1900 });
    fc.assert(
      fc.property(fc.integer({ min: -1e7, max: 1e7 }), rates, (total, rate) => {
        const { netMinor, taxMinor } = splitGross(total, rate);
        expect(netMinor + taxMinor).toBe(total);
        expect(Math.abs(taxOnNet(netMinor, rate) - taxMinor)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it("are taken back in any parts until nothing of net nor tax is left, never below nothing", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500_000 }),
        rates,
        fc.array(fc.integer({ min: 1, max: 100_000 }), { maxLength: 8 }),
        (net, rate, parts) => {
          let left = { netMinor: net, taxMinor: taxOnNet(net, rate) };
          for (const part of [...parts, null]) {
            const all = left.netMinor + left.taxMinor;
            if (all === 0) break;
            if (part !== null && part > all) {
              expect(() => creditOf(left, part, rate)).toThrow(RangeError);
              continue;
            }
            const credit = creditOf(left, part, rate);
            left = { netMinor: left.netMinor - credit.netMinor, taxMinor: left.taxMinor - credit.taxMinor };
            expect(left.netMinor).toBeGreaterThanOrEqual(0);
            expect(left.taxMinor).toBeGreaterThanOrEqual(0);
          }
          expect(left).toEqual({ netMinor: 0, taxMinor: 0 });
        },
      ),
    );
    expect(() => creditOf({ netMinor: 0, taxMinor: 0 }, null, 2000)).toThrow(RangeError);
  });

  it("say what is open and how old it is", () => {
    expect(balanceOf(12_000, 2000, 4000).openMinor).toBe(6000);
    expect(balanceOf(12_000, 12_000, 4000).openMinor).toBe(-4000);
    expect(ageOf("2026-03-10", "2026-03-10")).toBe("not due yet");
    expect(ageOf("2026-03-10", "2026-04-09")).toBe("up to 30 days");
    expect(ageOf("2026-03-10", "2026-04-10")).toBe("31 to 60 days");
    expect(ageOf("2026-03-10", "2026-07-01")).toBe("older");
  });

  it("add up by month and rate, credit notes off", () => {
    const rows = taxRows([
      { onDay: "2026-02-03", tax: 2000, currency: "EUR", netMinor: 1000, taxMinor: 200 },
      { onDay: "2026-02-20", tax: 2000, currency: "EUR", netMinor: -500, taxMinor: -100 },
      { onDay: "2026-02-20", tax: 700, currency: "EUR", netMinor: 100, taxMinor: 7 },
      { onDay: "2026-03-01", tax: 2000, currency: "EUR", netMinor: 50, taxMinor: 10 },
    ]);
    expect(rows.map(({ month, tax, netMinor, taxMinor }) => [month, tax, netMinor, taxMinor])).toEqual([
      ["2026-03", 2000, 50, 10],
      ["2026-02", 2000, 500, 100],
      ["2026-02", 700, 100, 7],
    ]);
  });
});
