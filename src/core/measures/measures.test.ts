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
});
