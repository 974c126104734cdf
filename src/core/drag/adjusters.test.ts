import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { camRise, freeSpoolKnobTurns, hasFreeSpool, type LeverDrag, leverForce, type Star, starForce } from "./adjusters";
import { stackDeflection, stackOf } from "./disc-springs";

const disc = { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 };
const star = (ups: boolean[], change: Partial<Star> = {}): Star => ({
  pitchMm: 0.75,
  springs: stackOf(ups.map((up) => ({ disc, up }))),
  stackStiffnessNPerMm: 4000,
  endStopTurns: 2.5,
  ...change,
});

describe("a star", () => {
  it("shares its travel between springs and stack, which feel one force", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2.4, noNaN: true }), (turns) => {
        const one = star([true, false]);
        const { forceN } = starForce(one, turns);
        const given = stackDeflection(one.springs, forceN) + forceN / one.stackStiffnessNPerMm;
        expect(given).toBeCloseTo(one.pitchMm * turns, 6);
      }),
    );
  });

  it("rises turn by turn, nothing before contact, no more after its end stop", () => {
    const one = star([true, false]);
    expect(starForce(one, 0).forceN).toBeCloseTo(0, 6);
    expect(starForce(one, -1).forceN).toBeCloseTo(0, 6);
    let last = 0;
    for (let turns = 0.1; turns <= 2.5; turns += 0.1) {
      const { forceN } = starForce(one, turns);
      expect(forceN).toBeGreaterThan(last);
      last = forceN;
    }
    expect(starForce(one, 9).forceN).toBeCloseTo(starForce(one, 2.5).forceN, 6);
  });

  it("jumps when its two washers are nested: the force of a small turn is near four times", () => {
    const rigid = { stackStiffnessNPerMm: 1e9 };
    const ratio = starForce(star([true, true], rigid), 0.05).forceN / starForce(star([true, false], rigid), 0.05).forceN;
    expect(ratio).toBeGreaterThan(3.5);
    expect(ratio).toBeLessThan(4.1);
    expect(starForce(star([true, true]), 1.6).springsFlat).toBe(true);
    expect(starForce(star([true, false]), 1.6).springsFlat).toBe(false);
  });
});

const lever = (change: Partial<LeverDrag> = {}): LeverDrag => ({
  stiffnessNPerMm: 900,
  cam: [
    { degrees: 0, riseMm: 0 },
    { degrees: 30, riseMm: 0.1 },
    { degrees: 90, riseMm: 0.5 },
    { degrees: 120, riseMm: 0.7 },
  ],
  knobPitchMm: 0.5,
  knobTurns: 0.4,
  gapMm: 0.2,
  ...change,
});

describe("a lever and its cam", () => {
  it("goes through its points and never swings beyond them", () => {
    const { cam } = lever();
    for (const { degrees, riseMm } of cam) expect(camRise(cam, degrees)).toBeCloseTo(riseMm, 9);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.double({ min: -10, max: 200, noNaN: true }),
        (rises, at) => {
          const points = [...rises].sort((a, b) => a - b).map((riseMm, i) => ({ degrees: i * 20, riseMm }));
          expect(camRise(points, at)).toBeGreaterThanOrEqual(points[0]!.riseMm - 1e-9);
          expect(camRise(points, at)).toBeLessThanOrEqual(points.at(-1)!.riseMm + 1e-9);
          expect(camRise(points, at + 1)).toBeGreaterThanOrEqual(camRise(points, at) - 1e-9);
        },
      ),
    );
  });

  it("keeps free spool up to the knob turns it can bear", () => {
    const most = freeSpoolKnobTurns(lever());
    expect(most).toBeCloseTo(0.4, 9);
    expect(hasFreeSpool(lever({ knobTurns: most }))).toBe(true);
    expect(hasFreeSpool(lever({ knobTurns: most + 0.01 }))).toBe(false);
    expect(leverForce(lever(), 120)).toBeCloseTo(900 * 0.7, 6);
  });

  it("half a turn round it has no free spool, and gets looser as the lever goes up", () => {
    const wrong = lever({ camReversed: true });
    expect(hasFreeSpool(wrong)).toBe(false);
    expect(leverForce(wrong, 120)).toBeLessThan(leverForce(wrong, 0));
    expect(freeSpoolKnobTurns(wrong)).toBe(0);
  });
});

describe("a cam between its points, by hand (Fritsch & Carlson 1980)", () => {
  // Slopes 0.1, 0.2, 0.1 mm a degree; tangents 0.1, 0.15, 0.15, 0.1, none too steep. Hermite's cubic between.
  const even = [0, 1, 3, 4].map((riseMm, i) => ({ degrees: 10 * i, riseMm }));

  it("is Hermite's cubic with the mean of the slopes at its points", () => {
    expect(camRise(even, 5)).toBeCloseTo(0.5 + (10 * (0.1 - 0.15)) / 8, 12);
    expect(camRise(even, 15)).toBeCloseTo(2, 12);
    expect(camRise(even, 25)).toBeCloseTo(3.5 + (10 * (0.15 - 0.1)) / 8, 12);
    // A quarter on: 9/64 of the first tangent, 10/64 of the rise, 3/64 of the second.
    expect(camRise(even, 2.5)).toBeCloseTo((9 * 10 * 0.1) / 64 + 10 / 64 - (3 * 10 * 0.15) / 64, 12);
  });

  it("goes by the distance of its points", () => {
    const uneven = [
      { degrees: 0, riseMm: 0 },
      { degrees: 10, riseMm: 1 },
      { degrees: 30, riseMm: 2 },
    ];
    expect(camRise(uneven, 20)).toBeCloseTo(1.5 + (20 * (0.075 - 0.05)) / 8, 12);
    expect(camRise(uneven, 5)).toBeCloseTo(0.5 + (10 * (0.1 - 0.075)) / 8, 12);
  });

  it("is level at its highest point, and over a dwell", () => {
    const hill = [0, 1, 0].map((riseMm, i) => ({ degrees: 10 * i, riseMm }));
    expect(camRise(hill, 5)).toBeCloseTo(0.5 + (10 * 0.1) / 8, 12);
    const dwell = [0, 1, 1, 2].map((riseMm, i) => ({ degrees: 10 * i, riseMm }));
    for (const at of [10, 13, 17, 20]) expect(camRise(dwell, at)).toBeCloseTo(1, 12);
    expect(camRise(dwell, 5)).toBeCloseTo(0.5 + (10 * 0.1) / 8, 12);
    expect(camRise(dwell, 25)).toBeCloseTo(1.5 - (10 * 0.1) / 8, 12);
  });

  it("has its tangents drawn in where they would swing beyond", () => {
    // Slopes 0.01 and 0.99; the middle tangent of 0.5 is 50 slopes of the first piece: drawn in to a circle of three.
    const steep = [0, 0.1, 10].map((riseMm, i) => ({ degrees: 10 * i, riseMm }));
    const shrink = 3 / Math.sqrt(1 + 50 ** 2);
    expect(camRise(steep, 5)).toBeCloseTo(0.05 + (10 * (shrink * 0.01 - shrink * 50 * 0.01)) / 8, 12);
    expect(camRise(steep, 15)).toBeCloseTo(5.05 + (10 * (shrink * 50 * 0.01 - 0.99)) / 8, 12);
  });

  it("stays where it is before its first and past its last point", () => {
    expect(camRise(even, -5)).toBe(0);
    expect(camRise(even, 35)).toBe(4);
  });

  it("turned half round gives at each mark what lies as far from its end", () => {
    const lever: LeverDrag = {
      stiffnessNPerMm: 100,
      cam: [
        { degrees: 10, riseMm: 0 },
        { degrees: 110, riseMm: 1 },
      ],
      knobPitchMm: 0.5,
      knobTurns: 0,
      gapMm: 0,
    };
    const wrong = { ...lever, camReversed: true };
    for (const degrees of [10, 35, 60, 110]) expect(leverForce(wrong, degrees)).toBeCloseTo(leverForce(lever, 120 - degrees), 9);
    expect(leverForce(wrong, 10)).toBeCloseTo(100, 9);
  });

  it("on a star whose washers are all flat no spring is ever flat", () => {
    const flat = { outsideMm: 20, insideMm: 10, thicknessMm: 1, coneHeightMm: 0 };
    const star = { pitchMm: 0.75, springs: stackOf([{ disc: flat, up: true }]), stackStiffnessNPerMm: 4000, endStopTurns: 2 };
    // 0.75 mm on 4000 N/mm.
    expect(starForce(star, 1)).toMatchObject({ springsFlat: false, forceN: expect.closeTo(3000, 6) });
  });
});
