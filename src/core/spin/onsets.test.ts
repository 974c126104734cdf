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

describe("what counts as a click", () => {
  /** A thousand samples a second, each a stretch of its own; quiet but for some. */
  const heard = (
    samples: Readonly<Record<number, number>>,
    { quiet = 0.01, length = 500, perSecond = 1000, above }: { quiet?: number; length?: number; perSecond?: number; above?: number } = {},
  ) =>
    onsetsOfSound(
      Float64Array.from({ length }, (_, i) => samples[i] ?? (i % 2 ? quiet : -quiet)),
      perSecond,
      above,
    );

  it("stands eight times above the energy around it, or as many times as is asked", () => {
    // 0.01² is 1e-4; 0.0283² is 8.01e-4, 0.0282² is 7.95e-4.
    expect(heard({ 100: 0.0283 })).toEqual([0.1]);
    expect(heard({ 100: -0.0283 })).toEqual([0.1]);
    expect(heard({ 100: 0.0282 })).toEqual([]);
    expect(heard({ 100: 0.0199 }, { above: 4 })).toEqual([]);
    expect(heard({ 100: 0.0201 }, { above: 4 })).toEqual([0.1]);
  });

  it("is no whisper, however still it is around", () => {
    // 1e-7 is 0.000316².
    expect(heard({ 100: 0.00032 }, { quiet: 1e-5 })).toEqual([0.1]);
    expect(heard({ 100: 0.00031 }, { quiet: 1e-5 })).toEqual([]);
    expect(heard({ 100: 0.5 }, { quiet: 0 })).toEqual([0.1]);
    expect(heard({}, { quiet: 0 })).toEqual([]);
  });

  it("begins where it was quiet: what goes on as loud is the same one", () => {
    expect(heard({ 100: 0.5, 101: 0.5, 102: 0.4, 103: 0.4, 104: 0.35, 105: 0.35, 106: 0.3 })).toEqual([0.1]);
    // Of more than half the energy before it is going on, of less it is another.
    expect(heard({ 100: 0.5, 106: 0.36, 107: 0.5 })).toEqual([0.1, 0.107]);
    expect(heard({ 100: 0.5, 101: 0.4, 102: 0.4, 103: 0.4, 104: 0.4, 105: 0.4, 106: 0.5 })).toEqual([0.1]);
    expect(heard({ 100: 0.5, 101: 0.4, 102: 0.4, 103: 0.4, 104: 0.4, 105: 0.3, 106: 0.5 })).toEqual([0.1, 0.106]);
  });

  it("is timed at its loudest sample, of its first stretch and the next", () => {
    expect(heard({ 100: 0.3, 101: 0.9 })).toEqual([0.101]);
    expect(heard({ 100: 0.3, 101: 0.2, 102: 0.9 })).toEqual([0.1]);
    expect(heard({ 0: 0.5 })).toEqual([0]);
    expect(heard({ 499: 0.5 })).toEqual([0.499]);
  });

  it("is one with what rings within four thousandths of a second of it", () => {
    expect(heard({ 100: 0.5, 103: 0.5 })).toEqual([0.1]);
    expect(heard({ 100: 0.5, 105: 0.5 })).toEqual([0.1, 0.105]);
  });

  it("is told from the sound of its own place in the recording, an eighth of a second to either side", () => {
    const changing = (at: number) =>
      onsetsOfSound(
        Float64Array.from({ length: 1000 }, (_, i) => (i === at ? 0.2 : (i < 400 ? 0.01 : 0.1) * (i % 2 ? 1 : -1))),
        1000,
      );
    expect(changing(100)).toEqual(expect.arrayContaining([0.1]));
    expect(changing(300)).toEqual(expect.arrayContaining([0.3]));
    // 0.2² is four times 0.1², not eight.
    expect(changing(600)).not.toContain(0.6);
    expect(changing(900)).not.toContain(0.9);
  });

  it("has its energy over a thousandth of a second, whatever the rate", () => {
    // Two samples a stretch: 0.045² and 0.01² make 10.6e-4 on the mean, 0.03² and 0.01² 5e-4.
    expect(heard({ 200: 0.045 }, { perSecond: 2000, length: 1000 })).toEqual([0.1]);
    expect(heard({ 201: 0.045 }, { perSecond: 2000, length: 1000 })).toEqual([0.1005]);
    expect(heard({ 200: 0.03 }, { perSecond: 2000, length: 1000 })).toEqual([]);
    expect(heard({ 200: 0.03, 201: 0.03 }, { perSecond: 2000, length: 1000 })).toHaveLength(1);
  });
});
