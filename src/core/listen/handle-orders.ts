import { median } from "@/core/quantile";
import type { Recording } from "./recording";
import type { Spectrum } from "./spectrum";

/** Samples a second an envelope has. */
export const envelopeHz = 500;

/** How loud it is, 500 times a second, about its mean: the sound's own pitch is gone, its rattle stays. */
export function envelopeOf({ sound, rate }: Recording): Float64Array {
  const step = rate / envelopeHz;
  const out = Float64Array.from({ length: Math.floor(sound.length / step) }, (_, i) => {
    let sum = 0;
    const [from, to] = [Math.floor(i * step), Math.floor((i + 1) * step)];
    for (let j = Math.max(1, from); j < to; j++) sum += Math.abs(sound[j]! - sound[j - 1]!);
    return sum / (to - from);
  });
  const mean = out.reduce((sum, x) => sum + x, 0) / out.length;
  return out.map((x) => x - mean);
}

/**
 * How far the strongest bin at a frequency stands over the middle of what lies around, decibels. A hand turns no more evenly than 6 in 100: a
 * line is as wide. @returns minus infinity where the spectrum does not reach far enough around it.
 */
export function lineOverFloor({ power, hzPerBin }: Spectrum, hz: number): number {
  const middle = Math.round(hz / hzPerBin);
  const half = Math.max(2, Math.round((0.06 * hz) / hzPerBin));
  if (middle < 2 || middle + 6 * half >= power.length) return Number.NEGATIVE_INFINITY;
  let line = 0;
  const around: number[] = [];
  for (let k = Math.max(1, middle - 6 * half); k <= middle + 6 * half; k++) {
    const away = Math.abs(k - middle);
    if (away <= half) line = Math.max(line, power[k]!);
    if (away > 1.5 * half) around.push(power[k]!);
  }
  around.sort((a, b) => a - b);
  const floor = around[Math.floor(around.length / 2)]!;
  return floor > 0 ? 10 * Math.log10(line / floor) : 0;
}

/** Overtones of a tick that are heard together; above, a wavering hand smears them. */
const overtones = 6;

/** A short tick spreads over its overtones, each alike: the mean of those the spectrum reaches, decibels; minus infinity where it reaches none. */
export function overtonesOverFloor(spectrum: Spectrum, hz: number): number {
  const heard = Array.from({ length: overtones }, (_, k) => lineOverFloor(spectrum, hz * (k + 1))).filter(Number.isFinite);
  return heard.length ? heard.reduce((sum, db) => sum + db, 0) / heard.length : Number.NEGATIVE_INFINITY;
}

/** Whether ticks that stand out one by one are as many as were to come, at even distances. @param apartS between two of them. */
export function comeEvenly(ticks: readonly number[], expected: number, apartS: number): boolean {
  if (Math.abs(ticks.length - expected) > 0.15 * expected + 1) return false;
  const off = ticks.slice(1).map((t, i) => Math.abs((t - ticks[i]!) / apartS - 1));
  return off.length > 3 && median(off) < 0.15;
}
