import { fail, ok, type Result } from "@/core/result";

/** A sound as it was taken: amplitudes ±1 at full scale, samples a second. */
export interface Recording {
  readonly sound: ArrayLike<number>;
  readonly rate: number;
}

/** Exact silence of this length is no room: no room is so quiet. The device was too busy, or took what it held for noise away. */
const gapS = 0.005;

/**
 * A recording without what it lost: stretches of exact silence are left out and the rest put end to end, for levels only (times do not hold any more).
 * @returns the same recording where nothing is lost.
 */
export function withoutGaps(recording: Recording): Recording {
  const { sound, rate } = recording;
  const least = Math.max(2, Math.round(gapS * rate));
  const kept = new Float64Array(sound.length);
  let length = 0;
  let zeros = 0;
  for (let i = 0; i < sound.length; i++) {
    zeros = sound[i] === 0 ? zeros + 1 : 0;
    kept[length++] = sound[i]!;
    if (zeros === least) length -= least;
    else if (zeros > least) length--;
  }
  return length === sound.length ? recording : { sound: kept.subarray(0, length), rate };
}

/** Longest recording that is listened to, s. */
const longestS = 180;
/** This share of the samples at the very edge is a microphone that was too near. */
const clippedShare = 0.0005;

/** What every recording has to bear, whatever is listened for. @returns `too-short`, `too-long`, `silent`, `clipped` or `slow-rate`. */
export function checkRecording(
  { sound, rate }: Recording,
  leastS: number,
): Result<null, "too-short" | "too-long" | "silent" | "clipped" | "slow-rate"> {
  if (!(rate >= 4000)) return fail("slow-rate", `${rate} samples a second are too few to hear a click in: record with 8000 or more.`);
  const seconds = sound.length / rate;
  if (seconds < leastS) return fail("too-short", `${seconds.toFixed(1)} s are too short: record at least ${leastS} s.`);
  if (seconds > longestS) return fail("too-long", `${seconds.toFixed(0)} s are more than is listened to: cut it to ${longestS} s at most.`);
  let peak = 0;
  for (let i = 0; i < sound.length; i++) peak = Math.max(peak, Math.abs(sound[i]!));
  if (peak < 0.002) return fail("silent", "Nothing is to be heard in this recording: is the microphone the right one?");
  let edge = 0;
  // Clipped sound stands at one highest value, and stays there for a while.
  for (let i = 1; i < sound.length; i++) if (Math.abs(sound[i]!) >= 0.985 * peak && Math.abs(sound[i - 1]!) >= 0.985 * peak) edge++;
  if (peak > 0.9 && edge > clippedShare * sound.length)
    return fail("clipped", "The recording is clipped: hold the microphone further off, or turn its level down.");
  return ok(null);
}
