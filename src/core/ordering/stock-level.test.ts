import { describe, expect, it } from "vitest";
import { stream } from "#tests/random-stream";
import { chanceAtMost, countQuantile, lawOfUse, newsvendor, stockLevel, usedWithin } from "./stock-level";

describe("the law of what is used", () => {
  it("is that of the printed tables of the Poisson distribution", () => {
    // Cumulative Poisson probabilities as in any handbook's table (from memory), four places.
    for (const [mean, k, chance] of [
      [1, 3, 0.981],
      [2, 4, 0.9473],
      [5, 8, 0.9319],
      [5, 9, 0.9682],
      [10, 15, 0.9513],
      [0.5, 1, 0.9098],
    ] as const)
      expect(chanceAtMost({ mean, variance: mean }, k)).toBeCloseTo(chance, 4);
    expect(chanceAtMost({ mean: 3, variance: 3 }, -1)).toBe(0);
    expect(chanceAtMost({ mean: 0, variance: 0 }, 0)).toBe(1);
  });

  it("is, where it is wider, the negative binomial: its first terms by their definition", () => {
    // r = 2, p = 1/2: P(k) = (k+1)/2^(k+2); mean 2, variance 4.
    const law = { mean: 2, variance: 4 };
    let sum = 0;
    for (let k = 0; k < 8; k++) {
      sum += (k + 1) / 2 ** (k + 2);
      expect(chanceAtMost(law, k)).toBeCloseTo(sum, 10);
    }
  });

  it("gives the count that is not exceeded, at its edge", () => {
    expect(countQuantile({ mean: 5, variance: 5 }, 0.95)).toBe(9);
    expect(countQuantile({ mean: 5, variance: 5 }, 0.9319)).toBe(8);
    expect(countQuantile({ mean: 5, variance: 5 }, 0.932)).toBe(9);
    expect(countQuantile({ mean: 0, variance: 0 }, 0.99)).toBe(0);
  });

  it("comes near the normal newsvendor of the books for large counts", () => {
    // Short 3, over 1, mean 100, standard deviation 20: 113.490 (normal); a count law of those moments lies within two of it.
    expect(Math.abs(newsvendor({ mean: 100, variance: 400 }, 3, 1) - 113.49)).toBeLessThan(2);
    expect(newsvendor({ mean: 5, variance: 5 }, 0, 1)).toBe(0);
    // √(L·sd² + d²·s_L²) with d 20, sd 5, L 4, s_L 1 is 22.3607: here sd² a day is the rate itself.
    expect(Math.sqrt(lawOfUse({ perDay: 25 }, 4, 1).variance)).toBeCloseTo(Math.sqrt(4 * 25 + 25 ** 2), 10);
  });

  it("is wide while little is known and narrows to Poisson", () => {
    const few = lawOfUse({ pieces: 2, days: 100, spread: 1 }, 10);
    const many = lawOfUse({ pieces: 20_000, days: 1_000_000, spread: 1 }, 10);
    expect(few.variance / few.mean).toBeGreaterThan(1.09);
    expect(many.variance / many.mean).toBeCloseTo(1, 4);
    expect(lawOfUse({ pieces: 0, days: 365, spread: 1 }, 365).mean).toBeCloseTo(0.5, 10);
  });

  it("runs out as often as it says, when use is simulated from rates nobody knows", () => {
    // Rates from a gamma law, pieces counted over two years, then the days until the parcel: the learned level must hold in 95 of 100.
    const next = stream(99);
    const poisson = (mean: number) => {
      let [k, product] = [0, next()];
      const stop = Math.exp(-mean);
      while (product > stop) {
        k++;
        product *= next();
      }
      return k;
    };
    let out = 0;
    let expected = 0;
    const runs = 4000;
    for (let i = 0; i < runs; i++) {
      // A sum of exponentials is a gamma draw.
      const rate = (-Math.log(next()) - Math.log(next())) * 0.02;
      const seen = poisson(rate * 730);
      const { level, chanceOut } = stockLevel({ use: { pieces: seen, days: 730 }, leadDays: 40, chanceOut: 0.05 });
      if (level === null) continue;
      expected += chanceOut;
      if (poisson(rate * 40) > level) out++;
    }
    // Counts are whole: what is borne is at most 5 in 100, and what is said is what happens.
    expect(expected / runs).toBeLessThan(0.05);
    expect(Math.abs(out - expected)).toBeLessThan(3 * Math.sqrt(expected));
  });
});

describe("a bin's level", () => {
  it("rises with use, lead time and doubt, and falls with the chance that is borne", () => {
    const base = { use: { pieces: 50, days: 365 }, leadDays: 14 } as const;
    const level = (more: object) => stockLevel({ ...base, ...more }).level!;
    expect(level({})).toBeGreaterThan(2);
    expect(level({ leadDays: 40 })).toBeGreaterThan(level({}));
    expect(level({ leadSdDays: 20 })).toBeGreaterThan(level({}));
    expect(level({ use: { pieces: 50, days: 365, spread: 5 } })).toBeGreaterThan(level({}));
    expect(level({ chanceOut: 0.3 })).toBeLessThan(level({}));
    expect(stockLevel({ use: { perDay: 0.5 }, leadDays: 10, pack: 10 })).toMatchObject({ level: 9, packs: 1, distribution: "poisson" });
  });

  it("is none for what is seldom used, or does not pay its place: order when needed", () => {
    expect(stockLevel({ use: { pieces: 0, days: 1460 }, leadDays: 14 }).level).toBeNull();
    const dear = { use: { pieces: 1, days: 730 }, leadDays: 14, priceMinor: 9000 } as const;
    expect(stockLevel({ ...dear, missingMinor: 100 }).level).toBeNull();
    expect(stockLevel({ ...dear, missingMinor: 5000 }).level).not.toBeNull();
  });

  it("counts the first, second and third piece left over by the chance that they are used", () => {
    // Poisson of mean 2: 1 − e⁻², 1 − 3e⁻², 1 − 5e⁻².
    const chances = usedWithin({ perDay: 2 / 730 }, 730, 3);
    for (const [k, count] of [1, 3, 5].entries()) expect(chances[k]).toBeCloseTo(1 - count * Math.exp(-2), 10);
  });
});
