/** Samples a sound is foretold from, for each thousand samples a second, and besides (common practice of linear prediction). */
const perKilohertz = 1;
const besides = 6;
const mostForetold = 30;
/** Samples the law of a sound is told from at most, in stretches over all of it. */
const mostHeard = 1_000_000;
const stretch = 4096;
/** Keeps the reckoning steady where a microphone lets nothing through above some pitch: a hiss of a thousandth is added. */
const addedHiss = 1e-3;

/** Coefficients that foretell a sample from those before it, by the sound's own autocorrelation (Levinson 1947, Durbin 1960). Empty for silence. */
export function foretelling(sound: ArrayLike<number>, order: number): Float64Array {
  const each = stretch * Math.max(1, Math.ceil(sound.length / mostHeard));
  const r = new Float64Array(order + 1);
  for (let from = 0; from < sound.length; from += each)
    for (let i = Math.max(order, from); i < Math.min(sound.length, from + stretch); i++)
      for (let lag = 0; lag <= order; lag++) r[lag]! += sound[i]! * sound[i - lag]!;
  r[0]! *= 1 + addedHiss;
  if (!r[0]) return new Float64Array(0);
  let a = new Float64Array(0);
  let error = r[0]!;
  for (let m = 1; m <= order; m++) {
    const mirror = (r[m]! - a.reduce((sum, each, i) => sum + each * r[m - 1 - i]!, 0)) / error;
    a = Float64Array.from({ length: m }, (_, i) => (i === m - 1 ? mirror : a[i]! - mirror * a[m - 2 - i]!));
    error *= 1 - mirror * mirror;
  }
  return a;
}

/**
 * What of a sound could not be foretold from what came just before: hum, rumble and the ringing of a click are gone, and each click's beginning
 * stays. As long as the sound, in its amplitudes.
 */
export function whitened(sound: ArrayLike<number>, rate: number): Float64Array {
  const a = foretelling(sound, Math.min(mostForetold, Math.round((perKilohertz * rate) / 1000) + besides));
  const out = new Float64Array(sound.length);
  for (let i = 0; i < sound.length; i++) {
    let foretold = 0;
    for (let k = 0, most = Math.min(a.length, i); k < most; k++) foretold += a[k]! * sound[i - 1 - k]!;
    out[i] = sound[i]! - foretold;
  }
  return out;
}
