import { describe, expect, it } from "vitest";
import { drawAt } from "@/core/promise/draws";
import { levelOfNormal, levelOfShares, runLengthOfNormal, watchFalls, watchShares } from "./cusum";

describe("watched sums", () => {
  it("have the run lengths of the published tables (Montgomery, Statistical Quality Control; k = 1/2, h = 4 and 5)", () => {
    // The tables watch both sides: two sums alarm twice as often as one.
    expect(runLengthOfNormal(1, 4, 0) / 2).toBeCloseTo(168, -0.5);
    expect(runLengthOfNormal(1, 5, 0) / 2).toBeCloseTo(465, -0.5);
    expect(runLengthOfNormal(1, 4, 1)).toBeCloseTo(8.38, 1);
    expect(runLengthOfNormal(1, 5, 1)).toBeCloseTo(10.4, 1);
    expect(runLengthOfNormal(1, 5, 2)).toBeCloseTo(4.01, 1);
  });

  it("find the level of a wanted run length again", () => {
    expect(levelOfNormal(1, 2 * 465)).toBeCloseTo(5, 1);
    expect(levelOfNormal(1, 2 * 168)).toBeCloseTo(4, 1);
  });

  it("alarm falsely about as seldom as asked, by who it was drawn anew", () => {
    for (const all of [1, 4]) {
      const steps = Array.from({ length: 30 }, (_, i) => ({ all: all + (i % 3), share: 0.25 + 0.05 * (i % 2) }));
      const level = levelOfShares(steps, 2, 60);
      const lengths = Array.from({ length: 400 }, (_, run) => {
        const drawn = Array.from({ length: 600 }, (_, n) => {
          const { all: count, share } = steps[n % steps.length]!;
          return {
            all: count,
            share,
            own: Array.from({ length: count }, (_, i) => drawAt(99, run, n, i)).filter((draw) => draw < share).length,
          };
        });
        const { alarmAt } = watchShares(drawn, 2, level);
        return alarmAt < 0 ? 600 : alarmAt + 1;
      });
      const mean = lengths.reduce((sum, one) => sum + one, 0) / lengths.length;
      expect(mean).toBeGreaterThan(48);
      expect(mean).toBeLessThan(80);
    }
  });

  it("say about where the change began, and nothing of a change that meets everybody", () => {
    const steps = Array.from({ length: 40 }, (_, i) => ({ all: 6, share: 0.25, own: i < 25 ? 1 : 4 }));
    const { alarmAt, sinceAt } = watchShares(steps, 2, 4);
    expect(sinceAt).toBe(25);
    expect(alarmAt).toBeGreaterThan(25);
    expect(alarmAt).toBeLessThan(32);
    expect(
      watchShares(
        Array.from({ length: 200 }, () => ({ all: 60, share: 0.25, own: 15 })),
        2,
        4,
      ).alarmAt,
    ).toBe(-1);
    const falls = watchFalls([...Array(20).fill(0), ...Array(20).fill(-1.5)], 1, 4);
    expect(falls.alarmAt).toBe(24);
    expect(watchFalls(Array(100).fill(0.4), 1, 4).alarmAt).toBe(-1);
  });
});
