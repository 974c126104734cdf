import { describe, expect, it } from "vitest";
import { normal } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { foretelling, whitened } from "./whitened";

const rate = 8000;
const power = (sound: ArrayLike<number>) => Array.from(sound).reduce((sum, x) => sum + x * x, 0) / sound.length;

describe("what a sound is foretold from", () => {
  it("is for a tone of one pitch twice the cosine of its step, less the sample before (recurrence of the sine)", () => {
    const step = (2 * Math.PI * 500) / rate;
    const a = foretelling(
      Float64Array.from({ length: 40_000 }, (_, i) => Math.sin(step * i)),
      2,
    );
    expect(a).toHaveLength(2);
    expect(a[0]).toBeCloseTo(2 * Math.cos(step), 1);
    expect(a[1]).toBeCloseTo(-1, 1);
  });

  it("recovers the law an autoregressive sound was made by (Yule and Walker)", () => {
    const random = stream(3);
    const sound = new Float64Array(60_000);
    for (let i = 2; i < sound.length; i++) sound[i] = 1.3 * sound[i - 1]! - 0.7 * sound[i - 2]! + normal(random);
    const a = foretelling(sound, 4);
    for (const [k, is] of [1.3, -0.7, 0, 0].entries()) expect(Math.abs(a[k]! - is), `lag ${k + 1}`).toBeLessThan(0.02);
  });

  it("is nothing for silence", () => {
    expect(foretelling(new Float64Array(100), 5)).toHaveLength(0);
    expect(whitened(new Float64Array(3), rate)).toEqual(new Float64Array(3));
  });
});

describe("a sound without what could be foretold", () => {
  it("is as even from sample to sample as the hiss it was made of, however it rumbled", () => {
    const random = stream(5);
    const hiss = Float64Array.from({ length: 40_000 }, () => 0.01 * normal(random));
    const rumbling = new Float64Array(hiss.length);
    for (let i = 1; i < hiss.length; i++) rumbling[i] = 0.98 * rumbling[i - 1]! + hiss[i]!;
    const left = whitened(rumbling, rate);
    expect(left).toHaveLength(hiss.length);
    // The rumble has 1/(1 − 0.98²), twenty-five times, the power of what drives it.
    expect(power(rumbling) / power(hiss)).toBeGreaterThan(15);
    expect(power(left) / power(hiss)).toBeCloseTo(1, 2);
    for (let i = 100; i < 400; i++) expect(Math.abs(left[i]! - hiss[i]!)).toBeLessThan(0.005);
  });

  it("keeps the beginning of what rings, and not its ringing", () => {
    const random = stream(7);
    const sound = Float64Array.from({ length: 16_000 }, () => 0.002 * normal(random));
    for (let at = 1000; at < 15_000; at += 1000)
      for (let i = 0; i < 200; i++) sound[at + i]! += 0.4 * Math.exp(-i / 40) * Math.cos((2 * Math.PI * 1200 * i) / rate);
    const left = whitened(sound, rate);
    for (let at = 1000; at < 15_000; at += 1000) {
      expect(Math.abs(left[at]!)).toBeGreaterThan(0.3);
      expect(Math.max(...left.subarray(at + 30, at + 200).map(Math.abs))).toBeLessThan(0.03);
    }
  });
});
