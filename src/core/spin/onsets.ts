/** Length of the stretches a sound is looked at in, s. */
const stretchS = 0.001;
/** Two clicks closer than this are one that rings, s. */
const deadS = 0.004;
/** What rings on loses its energy faster than in this time, s: only what is louder than that is another click. */
const ringsS = 0.004;

/** A click that stands out of what is around it. */
export interface Click {
  /** Seconds from the start of the recording. */
  readonly t: number;
  /** Amplitude at its loudest. */
  readonly loud: number;
}

/**
 * The clicks in a recording: where the energy of a millisecond stands far above that of the sound around it, at the
 * loudest sample of it. @param sound amplitudes, ±1 at full scale. @param rate samples a second. @param above how many times the background.
 */
export function clicksOfSound(sound: ArrayLike<number>, rate: number, above = 8): Click[] {
  const step = Math.max(1, Math.round(rate * stretchS));
  const count = Math.floor(sound.length / step);
  const energy = Float64Array.from({ length: count }, (_, i) => {
    let sum = 0;
    for (let j = i * step; j < (i + 1) * step; j++) sum += sound[j]! ** 2;
    return sum / step;
  });
  // The background is the lower half of what is heard in a quarter of a second around.
  const reach = Math.max(4, Math.round(0.125 / stretchS));
  // It hardly changes within a few stretches: looked at once for so many.
  const each = 12;
  const backgrounds = Float64Array.from({ length: Math.ceil(count / each) }, (_, block) => {
    const middle = block * each + each / 2;
    const around = energy.slice(Math.max(0, middle - reach), middle + reach + 1).sort();
    return around[Math.floor(around.length / 2)] ?? 0;
  });
  const clicks: Click[] = [];
  let lastEnergy = 0;
  for (let i = 0; i < count; i++) {
    if (energy[i] === 0) continue;
    const background = backgrounds[Math.floor(i / each)]!;
    if (energy[i]! < above * background || energy[i]! < 1e-7) continue;
    // Only the first loud stretch of a click: the one before was quiet.
    if (i > 0 && energy[i - 1]! > energy[i]! / 2) continue;
    let loudest = i * step;
    for (let j = i * step; j < Math.min(sound.length, (i + 2) * step); j++)
      if (Math.abs(sound[j]!) > Math.abs(sound[loudest]!)) loudest = j;
    const time = loudest / rate;
    const since = time - (clicks.at(-1)?.t ?? Number.NEGATIVE_INFINITY);
    const energyThere = sound[loudest]! ** 2;
    if (since < deadS || energyThere < lastEnergy * Math.exp(-since / ringsS)) continue;
    clicks.push({ t: time, loud: Math.abs(sound[loudest]!) });
    lastEnergy = energyThere;
  }
  return clicks;
}

/** Times of the clicks in a recording, s from its start. */
export const onsetsOfSound = (sound: ArrayLike<number>, rate: number, above?: number): number[] =>
  clicksOfSound(sound, rate, above).map(({ t }) => t);
