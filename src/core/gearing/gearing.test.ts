import fc from "fast-check";
import Fraction from "fraction.js";
import { describe, expect, it } from "vitest";
import { knobForce, ratioOfCounts, retrievePerTurn, simplestFraction, toothPairs } from "./gearing";

describe("ratio and teeth from counted turns", () => {
  it("52 rotor turns in 10 of the handle are 26/5; the simplest fractions of worked intervals", () => {
    const counted = ratioOfCounts(10, 52, 0.5);
    expect(counted.ratio).toBeCloseTo(5.2, 12);
    expect(simplestFraction(counted.low, counted.high)).toEqual({ over: 26, under: 5 });
    expect(simplestFraction(5.1815, 5.1825)).toEqual({ over: 57, under: 11 });
    expect(simplestFraction(4.71, 4.715)).toEqual({ over: 33, under: 7 });
  });

  it("57 on 11 meets again after 11 turns of the gear; 60 on 12 after one", () => {
    const pairs = toothPairs({ low: 5.18, ratio: 5.1818, high: 5.183 });
    expect(pairs.find(({ gear, pinion }) => gear === 57 && pinion === 11)?.repeatsAfterGearTurns).toBe(11);
    expect(toothPairs({ low: 5, ratio: 5, high: 5 }).find(({ pinion }) => pinion === 12)?.repeatsAfterGearTurns).toBe(1);
  });

  it("holds the true pair for any count within what it may be off, and only pairs within it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 110 }),
        fc.integer({ min: 6, max: 18 }),
        fc.integer({ min: 5, max: 30 }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (gear, pinion, turns, off) => {
          const interval = ratioOfCounts(turns, (turns * gear) / pinion + off * 0.5, 0.5);
          const pairs = toothPairs(interval);
          expect(pairs.some((pair) => pair.gear === gear && pair.pinion === pinion)).toBe(true);
          for (const pair of pairs) {
            expect(pair.gear / pair.pinion).toBeGreaterThanOrEqual(interval.low - 1e-6);
            expect(pair.gear / pair.pinion).toBeLessThanOrEqual(interval.high + 1e-6);
          }
        },
      ),
    );
  });

  it("finds no fraction simpler than an independent package does (fraction.js)", () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 8, noNaN: true }), (ratio) => {
        const eps = 0.002;
        const mine = simplestFraction(ratio - eps, ratio + eps);
        const theirs = new Fraction(ratio).simplify(eps);
        expect(mine.under).toBeLessThanOrEqual(Number(theirs.d));
        expect(Math.abs(mine.over / mine.under - ratio)).toBeLessThan(eps);
      }),
    );
  });

  it("takes in 735.133 mm a turn at 5.2 and 45 mm, 490.088 at 30 (worked)", () => {
    expect(retrievePerTurn(5.2, 45)).toBeCloseTo(735.133, 3);
    expect(retrievePerTurn(5.2, 30)).toBeCloseTo(490.088, 3);
  });

  it("asks less of the hand with a longer handle, a lower gear and a barer spool", () => {
    const force = knobForce(40, 20, 5, 60, 0.9);
    expect(knobForce(40, 20, 5, 80, 0.9)).toBeLessThan(force);
    expect(knobForce(40, 20, 3, 60, 0.9)).toBeLessThan(force);
    expect(knobForce(40, 12, 5, 60, 0.9)).toBeLessThan(force);
    // Without losses work in is work out: one turn of the knob against the line it takes in.
    expect(knobForce(40, 20, 5, 60, 1) * 2 * Math.PI * 60).toBeCloseTo(40 * retrievePerTurn(5, 40), 9);
  });

  it("puts the fewest teeth first, and of as many the smaller pinion: by counting out", () => {
    // 1 to 5 on pinions of 2 to 4, in order of teeth altogether: 2/2, 3/2, 4/2 and 3/3, and so on.
    const pairs = toothPairs({ low: 1, ratio: 3, high: 5 }, [2, 4]);
    const by = ([g, p]: readonly [number, number], [h, q]: readonly [number, number]) => g + p - (h + q) || p - q;
    const expected: (readonly [number, number])[] = [];
    for (let p = 2; p <= 4; p++) for (let g = p; g <= 5 * p; g++) expected.push([g, p]);
    expect(pairs.map(({ gear, pinion }) => [gear, pinion])).toEqual(expected.sort(by));
    expect(new Set(pairs.map(({ pinion }) => pinion))).toEqual(new Set([2, 3, 4]));
    expect(toothPairs({ low: 4, ratio: 4.5, high: 5 }, [2, 4], 10).every(({ gear }) => gear <= 10)).toBe(true);
  });

  it("takes the simplest fraction also from a whole number up, and from nothing up (Farey's sequence, by hand)", () => {
    expect(simplestFraction(2, 2.6)).toEqual({ over: 5, under: 2 });
    expect(simplestFraction(2, 2.3)).toEqual({ over: 9, under: 4 });
    expect(simplestFraction(3, 3.5)).toEqual({ over: 10, under: 3 });
    expect(simplestFraction(0, 0.3)).toEqual({ over: 1, under: 4 });
    expect(simplestFraction(0, 0.25)).toEqual({ over: 1, under: 5 });
    expect(simplestFraction(7, 7.1)).toEqual({ over: 78, under: 11 });
    expect(simplestFraction(0, 1)).toEqual({ over: 1, under: 2 });
    expect(simplestFraction(1.5, 3)).toEqual({ over: 2, under: 1 });
    expect(simplestFraction(1.91, 2)).toEqual({ over: 23, under: 12 });
  });

  it("asks 74.074 N of the knob for 40 N at 20 mm, five to one, 60 mm, nine tenths (worked)", () => {
    expect(knobForce(40, 20, 5, 60, 0.9)).toBeCloseTo(74.074, 3);
  });

  it("refuses what is nothing, and takes a count without doubt; says what it wants", () => {
    expect(() => ratioOfCounts(10, 0, 0.5)).toThrow("ratioOfCounts: counts are above 0");
    expect(() => ratioOfCounts(10, 5, -0.1)).toThrow(RangeError);
    expect(ratioOfCounts(10, 52, 0)).toEqual({ low: 5.2, ratio: 5.2, high: 5.2 });
    expect(ratioOfCounts(10, 0.2, 0.5).low).toBe(0);
    expect(() => simplestFraction(-1, 2)).toThrow("simplestFraction: an interval from low to high");
    expect(() => simplestFraction(2, 2)).toThrow(RangeError);
  });

  it("refuses counts that cannot be", () => {
    expect(() => ratioOfCounts(0, 5, 0.5)).toThrow(RangeError);
    expect(() => ratioOfCounts(10, Number.NaN, 0.5)).toThrow(RangeError);
    expect(() => simplestFraction(3, 2)).toThrow(RangeError);
  });
});
