import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shopPrior } from "./shop-priors";

const none = { proved: 0, settled: 0 };

describe("the shop's own priors", () => {
  it("stay the trade's where nothing was settled", () => {
    expect(shopPrior(0.07, none, none)).toBeCloseTo(0.07, 12);
  });

  it("come to what the bench sees, the model before the family", () => {
    const family = { proved: 30, settled: 100 };
    expect(shopPrior(0.07, family, none)).toBeCloseTo((20 * 0.07 + 30) / 120, 12);
    expect(shopPrior(0.07, family, { proved: 90, settled: 100 })).toBeGreaterThan(0.8);
    expect(shopPrior(0.07, family, { proved: 0, settled: 100 })).toBeLessThan(0.05);
  });

  it("rise with a proof, fall with a ruling out, and stay probabilities", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.9, noNaN: true }),
        fc.nat(50),
        fc.nat(50),
        fc.nat(50),
        fc.nat(50),
        (trade, p, r, mp, mr) => {
          const family = { proved: p + mp, settled: p + r + mp + mr };
          const model = { proved: mp, settled: mp + mr };
          const now = shopPrior(trade, family, model);
          expect(now).toBeGreaterThan(0);
          expect(now).toBeLessThan(1);
          const more = (proved: 0 | 1) =>
            shopPrior(
              trade,
              { proved: family.proved + proved, settled: family.settled + 1 },
              { proved: model.proved + proved, settled: model.settled + 1 },
            );
          expect(more(1)).toBeGreaterThan(now);
          expect(more(0)).toBeLessThan(now);
        },
      ),
    );
  });
});
