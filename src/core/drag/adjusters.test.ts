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
