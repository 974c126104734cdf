import FFT from "fft.js";
import { median } from "@/core/quantile";

/** Power by frequency of a stretch of sound. */
export interface Spectrum {
  readonly hzPerBin: number;
  /** Mean square of the amplitude a bin holds, so that all bins add up to the mean square of the sound (Parseval). */
  readonly power: Float64Array;
}

/**
 * Averaged over windows that overlap by half (Welch 1967, Hann's window). @param size samples a window, a power of two.
 * @throws RangeError for a sound shorter than a window.
 */
export function spectrumOf(sound: ArrayLike<number>, rate: number, size: number, from = 0, to = sound.length): Spectrum {
  if (to - from < size) throw new RangeError("spectrumOf: the sound is shorter than a window");
  const fft = new FFT(size);
  const out = fft.createComplexArray();
  const window = Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / size));
  const gain = window.reduce((sum, w) => sum + w * w, 0);
  const power = new Float64Array(size / 2 + 1);
  const input = new Float64Array(size);
  let count = 0;
  for (let at = from; at + size <= to; at += size / 2) {
    for (let i = 0; i < size; i++) input[i] = sound[at + i]! * window[i]!;
    fft.realTransform(out, input);
    for (let k = 0; k <= size / 2; k++) {
      const square = out[2 * k]! ** 2 + out[2 * k + 1]! ** 2;
      // Both halves of the spectrum hold a real sound's power; the ends stand alone.
      power[k] = power[k]! + (square * (k === 0 || k === size / 2 ? 1 : 2)) / (gain * size);
    }
    count++;
  }
  for (let k = 0; k < power.length; k++) power[k] = power[k]! / count;
  return { hzPerBin: rate / size, power };
}

/** Power between two frequencies. */
export function bandPower({ hzPerBin, power }: Spectrum, lowHz: number, highHz: number): number {
  let sum = 0;
  for (let k = Math.max(1, Math.ceil(lowHz / hzPerBin)); k < power.length && k * hzPerBin < highHz; k++) sum += power[k]!;
  return sum;
}

/** Where a gear chatters and a voice sings, Hz: below it a room hums. */
const [flatFromHz, flatToHz] = [180, 3500] as const;
const flatSamples = 2048;

/**
 * How flat a sound's spectrum is from moment to moment, on the middle: the geometric mean of its power over the arithmetic one. Noise and clicks are
 * near 1, tones near nothing (spectral flatness; Gray and Markel 1974). @returns no number for a sound shorter than a moment.
 */
export function flatness(sound: ArrayLike<number>, rate: number): number {
  const found: number[] = [];
  for (let at = 0; at + flatSamples <= sound.length; at += flatSamples) {
    const { hzPerBin, power } = spectrumOf(sound, rate, flatSamples, at, at + flatSamples);
    const inside = power.slice(Math.ceil(flatFromHz / hzPerBin), Math.floor(flatToHz / hzPerBin));
    const mean = inside.reduce((sum, p) => sum + p, 0) / inside.length;
    // A still moment says nothing.
    if (mean > 0) found.push(Math.exp(inside.reduce((sum, p) => sum + Math.log(p + mean * 1e-12), 0) / inside.length) / mean);
  }
  return median(found);
}
