import { describe, expect, it } from "vitest";
import { fitSpin } from "./fit-spin";
import { spinDown } from "./losses";
import { onsetsOfSound } from "./onsets";

const rate = 44_100;
/** Clicks that ring for two milliseconds, in a little noise. */
function recording(times: readonly number[], seconds: number, noise: number): Float32Array {
  let state = 11;
  const random = () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647 - 0.5;
  };
  const sound = Float32Array.from({ length: Math.round(seconds * rate) }, () => random() * noise);
  for (const time of times) {
    const from = Math.round(time * rate);
    for (let i = 0; i < 90 && from + i < sound.length; i++) sound[from + i]! += 0.6 * Math.exp(-i / 20) * Math.cos(i / 2);
  }
  return sound;
}

describe("clicks in a recording", () => {
  it("counts a hundred a second where a period is 441 samples (textbook click train)", () => {
    const times = Array.from({ length: 100 }, (_, i) => (i * 441) / rate);
    const onsets = onsetsOfSound(recording(times, 1, 0.002), rate);
    expect(onsets).toHaveLength(100);
    onsets.forEach((time, i) => {
      expect(Math.abs(time - times[i]!)).toBeLessThan(0.0005);
    });
  });

  it("hears nothing in noise alone, nor in silence", () => {
    expect(onsetsOfSound(recording([], 1, 0.02), rate)).toEqual([]);
    expect(onsetsOfSound(new Float32Array(rate), rate)).toEqual([]);
  });

  it("gives a spin's losses from its sound alone", () => {
    const losses = { a: 6, b: 0.1, c: 0 };
    const times: number[] = [];
    for (const { t, angle } of spinDown(60, losses, 8, 4000)) if (angle >= times.length * Math.PI) times.push(t + 0.01);
    const onsets = onsetsOfSound(recording(times, times.at(-1)! + 0.1, 0.01), rate);
    expect(onsets).toHaveLength(times.length);
    const fit = fitSpin(onsets, 2);
    expect(Math.abs(fit.terms.a.value / 6 - 1)).toBeLessThan(0.1);
    expect(Math.abs(fit.terms.b.value / 0.1 - 1)).toBeLessThan(0.25);
  });
});
