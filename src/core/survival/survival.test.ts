import { describe, expect, it } from "vitest";
import { drawAt } from "@/core/promise/draws";
import { kaplanMeier, type Life, survivalAt, timeOf } from "./kaplan-meier";
import { beliefOf, fitLives, lifeOf, lifeWithInterval } from "./weibull";

const cut = (times: readonly number[]): Life[] => times.map((time) => ({ time: Math.abs(time), ended: time > 0 }));
// Freireich et al. 1963, Blood 21: weeks of remission of leukaemia under 6-MP, those still in remission written as negative; and under placebo.
const sixMp = cut([6, 6, 6, 7, 10, 13, 16, 22, 23, -6, -9, -10, -11, -17, -19, -20, -25, -32, -32, -34, -35]);
const placebo = cut([1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23]);

describe("Kaplan and Meier's share that lives on", () => {
  it("is that of Freireich's trial as the textbooks print it (Cox and Oakes 1984; Kleinbaum and Klein)", () => {
    const steps = kaplanMeier(sixMp);
    expect(steps.map(({ time }) => time)).toEqual([6, 7, 10, 13, 16, 22, 23]);
    expect(steps.map(({ atRisk }) => atRisk)).toEqual([21, 17, 15, 12, 11, 7, 6]);
    const printed = [0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448];
    for (const [i, { survival }] of steps.entries()) expect(survival).toBeCloseTo(printed[i]!, 3);
    const errors = [0.0764, 0.0869, 0.0963, 0.1068, 0.1141, 0.1282, 0.1346];
    for (const [i, { error }] of steps.entries()) expect(error).toBeCloseTo(errors[i]!, 3);
    expect(timeOf(steps, 0.5)).toBe(23);
    expect(timeOf(kaplanMeier(placebo), 0.5)).toBe(8);
    expect(survivalAt(kaplanMeier(placebo), 10)).toBeCloseTo(8 / 21, 6);
    expect(survivalAt(steps, 5)).toBe(1);
  });
});

describe("the Weibull law of lives", () => {
  it("is that printed for Freireich's 6-MP group: shape 1.354, scale 33.77 weeks (as in R's survreg; from memory)", () => {
    const { shape, median } = fitLives(sixMp, null);
    expect(shape).toBeCloseTo(1.354, 2);
    expect(median / Math.LN2 ** (1 / shape)).toBeCloseTo(33.77, 0);
  });

  it("says that nothing can be told of lives that all ended at one age, and tells what it can once one went on", () => {
    const at = (time: number, ended: boolean) => ({ time, ended });
    expect(() => fitLives([at(24, true), at(24, true), at(24, true)], null)).toThrow(/nothing can be told/);
    expect(() => fitLives([at(24, true), at(24, true), at(10, false)], null)).toThrow(/nothing can be told/);
    // One that was still whole at 30 says that not all end at 24.
    const fit = fitLives([at(24, true), at(24, true), at(30, false)], null);
    expect(fit.median).toBeGreaterThan(24);
    expect(Number.isFinite(fit.shape)).toBe(true);
  });

  it("with shape held near 1 is the exponential law: 9 ended in 359 weeks", () => {
    const { median } = fitLives(sixMp, { logMedian: 3, logMedianSpread: 50, logShape: 0, logShapeSpread: 1e-3 });
    expect(Math.LN2 / median).toBeCloseTo(9 / 359, 4);
  });

  it("stays with the belief where nothing was seen, and forgets it where much was", () => {
    const belief = { logMedian: Math.log(100), logMedianSpread: 0.7, logShape: Math.log(1.8), logShapeSpread: 0.35 };
    expect(fitLives([], belief).median).toBeCloseTo(100, 3);
    const many = lives(3000, 40, 2.4, 1);
    expect(fitLives(many, belief).median).toBeGreaterThan(38);
    expect(fitLives(many, belief).median).toBeLessThan(42);
    const few = fitLives(lives(4, 40, 2.4, 2), belief).median;
    expect(few).toBeGreaterThan(25);
    expect(few).toBeLessThan(100);
  });

  it("has intervals in which the truth lies as often as they say: 2,400 made groups, 20 to 80 lives, a third cut off", () => {
    let held = 0;
    let all = 0;
    for (const n of [20, 40, 80])
      for (let trial = 0; trial < 800; trial++) {
        const fit = fitLives(lives(n, 60, 1.8, 1000 * n + trial), null);
        const { low, high } = lifeWithInterval(fit, 0.25);
        const truth = lifeOf({ median: 60, shape: 1.8 }, 0.25);
        if (low <= truth && truth <= high) held++;
        all++;
      }
    // The curvature's interval is a little short with few lives; it stays within two of what it says.
    expect((100 * held) / all).toBeGreaterThan(93);
    expect((100 * held) / all).toBeLessThan(97);
  });

  it("a group's fit is the belief of a part of it, wider by how much parts differ", () => {
    const fit = fitLives(sixMp, null);
    const belief = beliefOf(fit, 0.3);
    expect(Math.exp(belief.logMedian)).toBeCloseTo(fit.median, 9);
    expect(belief.logMedianSpread).toBeGreaterThan(0.3);
  });
});

/** Lives drawn from a law, about a third of them cut off. */
function lives(n: number, median: number, shape: number, seed: number): Life[] {
  return Array.from({ length: n }, (_, i) => {
    const life = median * (-Math.log(drawAt(seed, i, 1)) / Math.LN2) ** (1 / shape);
    const until = median * (0.4 + 1.6 * drawAt(seed, i, 2));
    return { time: Math.min(life, until), ended: life <= until };
  });
}
