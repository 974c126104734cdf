import { describe, expect, it } from "vitest";
import { t95 } from "@/core/statistics/quantiles";
import { levelOf, stepSd, worthOf } from "./pull-level";
import { readPullTrace } from "./pull-trace";

const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i));

describe("what readings that follow each other are worth", () => {
  it("is their number where neighbours are not alike", () => {
    expect(worthOf(many(100, (i) => (i % 2 ? 1 : -1)))).toBe(100);
  });

  it("is n·(1 − ρ)/(1 + ρ) by the likeness ρ of neighbours, with (3 + 5ρ)/n for the curve that was taken out (Shaman and Stine 1988)", () => {
    const worth = (n: number, found: number) => {
      const rho = found + (3 + 5 * found) / n;
      return (n * (1 - rho)) / (1 + rho);
    };
    // Three up, three down, 102 of them: of 101 neighbours 33 differ, so ρ = 35/102.
    expect(worthOf(many(102, (i) => (i % 6 < 3 ? 2 : -2)))).toBeCloseTo(worth(102, 35 / 102), 9);
    // Two up, two down, 100 of them: 50 alike and 49 not.
    expect(worthOf(many(100, (i) => (i % 4 < 2 ? 1 : -1)))).toBeCloseTo(worth(100, 0.01), 9);
  });

  it("is of a likeness of 0.95 at most, and four at least", () => {
    expect(worthOf(many(1000, () => 1))).toBeCloseTo((1000 * 0.05) / 1.95, 9);
    expect(worthOf(many(100, () => 1))).toBe(4);
  });

  it("is their number where what is left is far under the scale's step", () => {
    expect(worthOf(many(50, () => 0))).toBe(50);
    expect(worthOf(many(50, () => stepSd / 101))).toBe(50);
    expect(worthOf(many(50, () => stepSd / 99))).toBe(4);
  });
});

describe("a stretch of a pull", () => {
  const times = (n: number) => many(n, (i) => 1000 + 40 * i);
  /** From −1 to 1 along the stretch. */
  const u = (i: number, n: number) => (2 * i) / (n - 1) - 1;
  const level = (n: number, force: (i: number) => number) => levelOf(times(n), many(n, force));

  it("has its mean, the rise from end to end and the bow of its middle over its ends", () => {
    const sloped = level(60, (i) => 50 + 5 * u(i, 60));
    expect(sloped.mean).toBeCloseTo(50, 9);
    expect(sloped.rise).toBeCloseTo(0.2, 9);
    expect(sloped.bow).toBeCloseTo(0, 9);
    // A parabola 6 N higher in its middle than at its ends, about a mean of 50.
    const bowed = level(60, (i) => 50 + 6 * (1 / 3 - u(i, 60) ** 2) + 3 * u(i, 60));
    expect(bowed.mean).toBeCloseTo(50, 9);
    expect(bowed.bow).toBeCloseTo(6 / 50, 9);
    expect(bowed.rise).toBeCloseTo(6 / 50, 9);
    expect(bowed.scatter).toBeCloseTo(0, 6);
  });

  it("has its scatter, and its mean's error by it and the scale's step", () => {
    const swings = level(100, (i) => 50 + (i % 2 ? 2 : -2));
    expect(swings.pulsing).toBeNull();
    // Three numbers fitted of a hundred.
    expect(swings.scatter).toBeCloseTo(2 * Math.sqrt(100 / 97), 2);
    expect(swings.meanError).toBeCloseTo(Math.hypot(swings.scatter / 10, 0.2 / Math.sqrt(12)), 9);
    expect(swings.freedom).toBe(97);
    const quiet = level(60, () => 50);
    expect(quiet.meanError).toBeCloseTo(0.2 / Math.sqrt(12), 9);
    expect(quiet.freedom).toBe(57);
    // One freedom at least.
    expect(level(12, (i) => 50 + (i < 6 ? 3 : -3)).freedom).toBeGreaterThanOrEqual(1);
  });

  it("pulses by a swing of a twentieth of its level and more", () => {
    const swing = (share: number, cycles: number, n = 161) =>
      level(n, (i) => 50 * (1 + share * Math.sin((2 * Math.PI * cycles * i) / (n - 1) + 0.4)));
    const { pulsing, mean, scatter } = swing(0.1, 5);
    expect(pulsing!.share).toBeCloseTo(0.1, 9);
    expect(pulsing!.periodMs).toBeCloseTo((160 * 40) / 5, 9);
    expect(mean).toBeCloseTo(50, 9);
    expect(scatter).toBeCloseTo(0, 6);
    expect(swing(0.051, 5).pulsing).not.toBeNull();
    expect(swing(0.049, 5).pulsing).toBeNull();
  });

  it("pulses twice at least and with four samples to a swing, sixty swings at most", () => {
    const swing = (cycles: number, n: number) => level(n, (i) => 50 + 8 * Math.sin((2 * Math.PI * cycles * i) / (n - 1) + 0.4)).pulsing;
    expect(swing(2, 101)!.periodMs).toBeCloseTo(2000, 6);
    expect(swing(25, 101)!.periodMs).toBeCloseTo(160, 6);
    expect(swing(26, 101)).toBeNull();
    expect(swing(60, 401)!.periodMs).toBeCloseTo((400 * 40) / 60, 6);
    expect(swing(62, 401)).toBeNull();
  });

  it("pulses where the swing explains half of the scatter", () => {
    // A swing of 5 N has a variance of 12.5; every other reading so much above and below.
    const noisy = (scatter: number) =>
      level(201, (i) => 50 + 5 * Math.sin((2 * Math.PI * 6 * i) / 200 + 0.4) + (i % 2 ? scatter : -scatter));
    expect(noisy(3.4).pulsing).not.toBeNull();
    expect(noisy(3.7).pulsing).toBeNull();
  });
});

describe("a start's interval", () => {
  it("is that of one reading over a mean, with 95 % of its freedom", () => {
    const n = 120;
    const samples = many(n, (i) => ({ tMs: 40 * i, forceN: i < 10 ? 6 * i : i < 14 ? 60 : 40 + (i % 2 ? 0.8 : -0.8) }));
    const read = readPullTrace(samples);
    if (!read.ok) throw new Error(read.message);
    const { start, startRatio, runningFromMs, runningToMs, running, startsWithPeak } = read.value;
    const counted = (runningToMs - runningFromMs) / 40 + 1;
    const scatter = 0.8 * Math.sqrt(counted / (counted - 3));
    const meanError = Math.hypot(scatter / Math.sqrt(counted), 0.2 / Math.sqrt(12));
    const t = t95(counted - 3);
    expect(startRatio).toBeCloseTo(1.5, 2);
    expect((running.high - running.low) / 2 / (t * meanError)).toBeCloseTo(1, 2);
    const reach = t * Math.hypot(Math.hypot(scatter, 0.2 / Math.sqrt(12)) / 40, (1.5 * meanError) / 40);
    expect((start.high - start.value) / reach).toBeCloseTo(1, 2);
    expect((start.value - start.low) / reach).toBeCloseTo(1, 2);
    expect(startsWithPeak).toBe(true);
  });
});
