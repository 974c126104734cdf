import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pullAtRadius, torqueAtSpoolNmm } from "./pull";
import { type PullSample, readPullTrace } from "./pull-trace";

describe("a pull carried to another line radius", () => {
  it("doubles at half the radius", () => {
    expect(pullAtRadius(40, 24, 12)).toBe(80);
    expect(torqueAtSpoolNmm(40, 24)).toBe(960);
  });

  it("keeps the torque whatever the radii", () => {
    const radius = fc.double({ min: 2, max: 150, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), radius, radius, (force, from, to) => {
        expect(torqueAtSpoolNmm(pullAtRadius(force, from, to), to)).toBeCloseTo(torqueAtSpoolNmm(force, from), 6);
      }),
    );
  });

  it("refuses a radius of nothing", () => {
    expect(() => pullAtRadius(10, 0, 5)).toThrow(RangeError);
    expect(() => pullAtRadius(10, 5, Number.NaN)).toThrow(RangeError);
  });
});

/** A drawn trace: 0.6 s of take-up to the peak, then even slip with a ripple of known size. */
const trace = (levelN: number, peakN: number, rippleN = 0): PullSample[] =>
  Array.from({ length: 100 }, (_, i) => ({
    tMs: i * 40,
    forceN: i <= 15 ? (peakN * i) / 15 : i < 18 ? peakN + ((levelN - peakN) * (i - 15)) / 3 : levelN + (i % 2 ? rippleN : -rippleN),
  }));

describe("reading a pull trace", () => {
  it("finds the start peak and the running mean of a drawn trace", () => {
    const read = readPullTrace(trace(30, 48));
    if (!read.ok) throw new Error(read.message);
    expect(read.value.startPeakN).toBeCloseTo(48, 6);
    expect(read.value.runningMeanN).toBeCloseTo(30, 1);
    expect(read.value.startRatio).toBeCloseTo(1.6, 1);
  });

  it("gives the ripple as the share of a square wave: ±3 N on 30 N is 0.1", () => {
    const read = readPullTrace(trace(30, 31, 3));
    if (!read.ok) throw new Error(read.message);
    expect(read.value.ripple).toBeCloseTo(0.1, 2);
  });

  it("is not moved by the unit of time and scales with force", () => {
    const base = readPullTrace(trace(30, 40));
    const twice = readPullTrace(trace(30, 40).map((s) => ({ tMs: s.tMs * 2, forceN: s.forceN * 2 })));
    if (!base.ok || !twice.ok) throw new Error("unread");
    expect(twice.value.runningMeanN).toBeCloseTo(base.value.runningMeanN * 2, 6);
    expect(twice.value.startRatio).toBeCloseTo(base.value.startRatio, 6);
  });

  it("refuses a short pull and a line that never ran", () => {
    expect(readPullTrace(trace(30, 40).slice(0, 19))).toMatchObject({ ok: false, code: "too-short" });
    const rising = Array.from({ length: 60 }, (_, i) => ({ tMs: i * 40, forceN: i * i }));
    expect(readPullTrace(rising)).toMatchObject({ ok: false, code: "no-slip" });
    expect(readPullTrace(rising.map((s) => ({ ...s, forceN: 0 })))).toMatchObject({ ok: false, code: "no-slip" });
  });
});
