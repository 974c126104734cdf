import type { TraceSample } from "./trace";

/** Length of one level reading, ms. */
export const levelWindowMs = 40;
/** The quietest level that is told apart from nothing, decibels below full scale. */
const floorDb = -96;

/** Root mean square of a stretch of sound, amplitude 1 at full scale. */
export const rootMeanSquare = (sound: ArrayLike<number>, from = 0, to = sound.length): number => {
  let sum = 0;
  for (let i = from; i < to; i++) sum += sound[i]! ** 2;
  return to > from ? Math.sqrt(sum / (to - from)) : 0;
};

/** Amplitude in decibels below full scale: 20·log10. Source: definition of the decibel for field quantities. */
export const decibels = (amplitude: number): number => (amplitude > 0 ? Math.max(floorDb, 20 * Math.log10(amplitude)) : floorDb);

/** The level of a recording over time, one reading each window. @param sound amplitudes, ±1 at full scale. @param rate samples a second. */
export function levelsOfSound(sound: ArrayLike<number>, rate: number): TraceSample[] {
  const step = Math.max(1, Math.round((rate * levelWindowMs) / 1000));
  const levels: TraceSample[] = [];
  for (let from = 0; from + step <= sound.length; from += step)
    levels.push({ tMs: (from / rate) * 1000, value: decibels(rootMeanSquare(sound, from, from + step)) });
  return levels;
}

/**
 * A level with the room's own noise taken out, decibels. Levels of sounds that do not know of each other add as powers.
 * @throws RangeError when the room is as loud as the whole.
 */
export function withoutRoom(wholeDb: number, roomDb: number): number {
  if (!(wholeDb > roomDb)) throw new RangeError("withoutRoom: nothing stands out of the room");
  return 10 * Math.log10(10 ** (wholeDb / 10) - 10 ** (roomDb / 10));
}
