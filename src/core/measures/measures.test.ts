import { describe, expect, it } from "vitest";
import { normal } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { lengthInPicture, sidePlayOfTurns, stackHeightCheck, wearOf } from "./measures";

describe("a length by a ruler in a picture", () => {
  it("is by proportion, in any direction", () => {
    const { mm } = lengthInPicture(
      [
        { x: 0, y: 0 },
        { x: 300, y: 400 },
      ],
      50,
      [
        { x: 10, y: 10 },
        { x: 10, y: 130 },
      ],
    );
    // 500 px are 50 mm; 120 px are 12.
    expect(mm).toBeCloseTo(12, 9);
  });

  it("holds the truth in its interval as often as it says, for long and for short things", () => {
    const random = stream(2);
    // A tap is off by 2.5 px in 95 of 100: 1.276 px standard deviation along the line.
    const off = () => (2.5 / 1.96) * normal(random);
    for (const [ruler, thing] of [
      [500, 120],
      [200, 400],
      [900, 60],
    ] as const) {
      let held = 0;
      for (let n = 0; n < 2000; n++) {
        const measured = lengthInPicture(
          [
            { x: off(), y: 0 },
            { x: ruler + off(), y: 0 },
          ],
          50,
          [
            { x: off(), y: 9 },
            { x: thing + off(), y: 9 },
          ],
        );
        if (Math.abs(measured.mm - (50 * thing) / ruler) <= measured.offMm) held++;
      }
      expect(held / 2000).toBeGreaterThan(0.935);
      expect(held / 2000).toBeLessThan(0.965);
    }
  });

  it("refuses taps on one spot and a ruler of nothing", () => {
    const [a, b] = [
      { x: 0, y: 0 },
      { x: 5, y: 0 },
    ];
    expect(() => lengthInPicture([a, a], 10, [a, b])).toThrow(/one spot/);
    expect(() => lengthInPicture([a, b], 0, [a, b])).toThrow(/above 0/);
  });
});

describe("caliper and adjuster", () => {
  it("side play is turns times pitch: an eighth of a turn at 0.75 mm is 0.094 mm", () => {
    expect(sidePlayOfTurns(0.125, 0.75).mm).toBeCloseTo(0.09375, 9);
    expect(() => sidePlayOfTurns(-1, 0.75)).toThrow(RangeError);
  });

  it("a tongue is worn only by more than both sizes can be off", () => {
    expect(wearOf({ mm: 4.2, offMm: 0.05 }, { mm: 4.6, offMm: 0.05 })).toMatchObject({ says: "worn" });
    expect(wearOf({ mm: 4.57, offMm: 0.05 }, { mm: 4.6, offMm: 0.05 })).toMatchObject({ says: "as new" });
    expect(wearOf({ mm: 4.2, offMm: 0.6 }, { mm: 4.6, offMm: 0.6 })).toMatchObject({ says: "not clear" });
  });

  it("a stack that is a washer too low or too high names it", () => {
    const washers = [
      { name: "friction washer", thicknessMm: 1 },
      { name: "keyed washer", thicknessMm: 0.6 },
      { name: "friction washer", thicknessMm: 1 },
      { name: "eared washer", thicknessMm: 1.5 },
    ];
    expect(stackHeightCheck(4.1, washers).says).toBe("as its washers add up");
    expect(stackHeightCheck(3.1, washers).says).toBe("friction washer missing?");
    expect(stackHeightCheck(5.62, washers).says).toBe("eared washer doubled?");
    expect(stackHeightCheck(8, washers).says).toMatch(/doubled, or not seated/);
  });

  it("knows its edges: no turns, a pitch of nothing, taps on one spot, washers that add up to the hair", () => {
    expect(sidePlayOfTurns(0, 0.75)).toEqual({ mm: 0, offMm: 0.06 * 0.75 });
    expect(sidePlayOfTurns(0.5, 2, 0.1)).toEqual({ mm: 1, offMm: 0.2 });
    expect(() => sidePlayOfTurns(1, 0)).toThrow("sidePlayOfTurns: turns from 0 up, and a pitch above 0");
    expect(() => sidePlayOfTurns(-0.1, 1)).toThrow(RangeError);
    const at = (x: number) => ({ x, y: 0 });
    expect(() => lengthInPicture([at(0), at(10)], 10, [at(3), at(3)])).toThrow("two taps lie on one spot");
    expect(() => lengthInPicture([at(4), at(4)], 10, [at(3), at(5)])).toThrow("two taps lie on one spot");
    expect(() => lengthInPicture([at(0), at(10)], 0, [at(3), at(5)])).toThrow("above 0");
  });

  it("tells wear at the very edge of what both can be off, and not as new by sizes too rough to tell", () => {
    // 0.3² + 0.4² = 0.5².
    expect(wearOf({ mm: 9.5, offMm: 0.3 }, { mm: 10, offMm: 0.4 })).toMatchObject({ goneMm: 0.5, says: "as new" });
    expect(wearOf({ mm: 9.49, offMm: 0.3 }, { mm: 10, offMm: 0.4 }).says).toBe("worn");
    expect(wearOf({ mm: 10.6, offMm: 0.3 }, { mm: 10, offMm: 0.4 }).says).toBe("not clear");
    expect(wearOf({ mm: 5, offMm: 0.3 }, { mm: 5, offMm: 0.4 }).says).toBe("not clear");
    expect(wearOf({ mm: 5.1, offMm: 0.3 }, { mm: 5.1, offMm: 0.4 }).says).toBe("as new");
  });

  it("judges a stack by its washers: what may be off by hand, and its words when no washer fits the gap", () => {
    const washers = [
      { name: "a", thicknessMm: 2 },
      { name: "b", thicknessMm: 2 },
      { name: "c", thicknessMm: 1 },
      { name: "d", thicknessMm: 1 },
    ];
    // Four washers, a caliper of 0.05: √(0.05² + (0.05 · 2)²) + 0.04.
    const off = Math.hypot(0.05, 0.1) + 0.04;
    const check = (heightMm: number) => stackHeightCheck(heightMm, washers);
    expect(check(6)).toMatchObject({ shouldMm: 6, differenceMm: 0, says: "as its washers add up" });
    expect(check(6).offMm).toBeCloseTo(off, 12);
    expect(check(6 + off - 0.001).says).toBe("as its washers add up");
    expect(check(6 + off + 0.001).says).toBe("higher than its washers: one doubled, or not seated");
    expect(check(6 - off - 0.001).says).toBe("lower than its washers: one missing, or worn");
    expect(check(4).says).toBe("a or b missing?");
    expect(check(7).says).toBe("c or d doubled?");
    expect(check(8 + off - 0.001).says).toBe("a or b doubled?");
    expect(check(8 + off + 0.001).says).toBe("higher than its washers: one doubled, or not seated");
  });
});
