import { describe, expect, it } from "vitest";
import { bandPower, spectrumOf } from "./spectrum";

const sum = (power: ArrayLike<number>) => Array.from(power).reduce((total, x) => total + x, 0);

describe("a spectrum (Welch 1967, Hann's window)", () => {
  it("holds the mean square of the sound, of a level that stands and of the fastest swing as well (Parseval)", () => {
    expect(sum(spectrumOf(new Float64Array(64).fill(0.5), 1000, 16).power)).toBeCloseTo(0.25, 12);
    const swing = Float64Array.from({ length: 64 }, (_, i) => (i % 2 ? -0.5 : 0.5));
    const { power, hzPerBin } = spectrumOf(swing, 1000, 16);
    expect(power).toHaveLength(9);
    expect(hzPerBin).toBe(62.5);
    expect(sum(power)).toBeCloseTo(0.25, 12);
    expect(power[8]).toBeGreaterThan(0.1);
  });

  it("shares a tone on a bin as Hann's window does: two thirds there, a sixth on either side", () => {
    const tone = Float64Array.from({ length: 256 }, (_, i) => 0.6 * Math.sin((2 * Math.PI * 5 * i) / 32));
    const { power } = spectrumOf(tone, 32, 32);
    const whole = 0.6 ** 2 / 2;
    expect([power[3]!, power[4]!, power[5]!, power[6]!, power[7]!].map((x) => Math.round((1e9 * x) / whole) / 1e9)).toEqual(
      [0, 1 / 6, 2 / 3, 1 / 6, 0].map((x) => Math.round(1e9 * x) / 1e9),
    );
  });

  it("averages windows that overlap by half", () => {
    // One sample of 1 among sixteen, windows of eight at 0, 4 and 8: the first two hold it where the window is a half; gain 3 (3/8 of 8).
    const one = new Float64Array(16);
    one[6] = 1;
    expect(sum(spectrumOf(one, 8, 8).power)).toBeCloseTo((0.25 + 0.25) / 3 / 3, 12);
  });

  it("is of the stretch that is asked for, which a window fits into", () => {
    const late = new Float64Array(24);
    late.fill(1, 16);
    expect(sum(spectrumOf(late, 8, 8, 0, 16).power)).toBe(0);
    expect(sum(spectrumOf(late, 8, 8, 16).power)).toBeCloseTo(1, 12);
    expect(() => spectrumOf(late, 8, 8, 17)).toThrow(/shorter than a window/);
    expect(() => spectrumOf(late, 8, 8, 16, 23)).toThrow(RangeError);
  });
});

describe("the power of a band", () => {
  const spectrum = { hzPerBin: 10, power: Float64Array.of(1, 2, 4, 8, 16, 32) };

  it("takes bins from its lower end to short of its upper, and never the standing level", () => {
    expect(bandPower(spectrum, 20, 40)).toBe(12);
    expect(bandPower(spectrum, 11, 41)).toBe(28);
    expect(bandPower(spectrum, 0, 15)).toBe(2);
    expect(bandPower(spectrum, 30, 1000)).toBe(56);
  });
});
