import { median, quantile } from "@/core/quantile";
import type { Click } from "@/core/spin/onsets";
import type { Recording } from "./recording";
import type { Spectrum } from "./spectrum";

/** How long a stretch is whose loudness says whether the handle turns, s. */
const stretchS = 0.1;
/** A reel that turns is so many times as loud as the still room, or nobody can tell when it began. */
const louderThanStill = 1.6;

/**
 * The part of a recording in which the handle turns: nobody begins to turn as he begins to record. All of it where the room before and after is
 * not stiller than the reel between two ticks.
 */
export function turningPart({ sound, rate }: Recording): Recording {
  const step = Math.round(rate * stretchS);
  const louds = Array.from({ length: Math.floor(sound.length / step) }, (_, n) => {
    let sum = 0;
    for (let i = Math.max(1, n * step); i < (n + 1) * step; i++) sum += Math.abs(sound[i]! - sound[i - 1]!);
    return sum / step;
  });
  const [room, usual] = [quantile(louds, 0.03), median(louds)];
  if (!(usual > louderThanStill * room)) return { sound, rate };
  const turns = louds.map((loud) => loud > Math.sqrt(room * usual));
  // One knock is no turning: of five stretches four are loud.
  const goesOn = (n: number) => turns[n] && turns.slice(n, n + 5).filter(Boolean).length >= 4;
  // Nor is it still where every third stretch is loud: so ticks sound that stand alone.
  const still = (some: readonly boolean[]) => some.filter(Boolean).length <= 0.25 * some.length;
  const first = turns.findIndex((_, n) => goesOn(n));
  const end = turns.findLastIndex((_, n) => n >= 4 && goesOn(n - 4) && turns[n]) + 1;
  const from = still(turns.slice(0, first)) ? first : 0;
  const to = still(turns.slice(end)) ? end : turns.length;
  if (first < 0 || (to - from) * 2 < turns.length) return { sound, rate };
  return { sound: Float64Array.from({ length: (to - from) * step }, (_, i) => sound[from * step + i]!), rate };
}

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

/**
 * A short tick spreads over its overtones, each alike: the mean of those the spectrum reaches, without the highest, which may be a hand that
 * presses harder once a turn; decibels. Minus infinity where it reaches none.
 */
export function overtonesOverFloor(spectrum: Spectrum, hz: number): number {
  const heard = Array.from({ length: overtones }, (_, k) => lineOverFloor(spectrum, hz * (k + 1))).filter(Number.isFinite);
  if (heard.length < 2) return heard[0] ?? Number.NEGATIVE_INFINITY;
  return (heard.reduce((sum, db) => sum + db, 0) - Math.max(...heard)) / (heard.length - 1);
}

/** How much louder than nearly all others ticks have to be that are picked out from among them. */
const standsOut = 1.5;

/** A recording that goes on longer than the hand turned makes the distance between ticks look larger than it is, by this much at most. */
const closerAtMost = 0.6;

/**
 * Whether as many ticks as were to come stand at even distances: all there are, or the loudest of them where the mesh ticks beside them. Those
 * have to stand out, for a hand that presses harder once a turn makes a louder stretch of the mesh as well.
 * @param apartS between two of them, if the hand turned from the beginning of the recording to its end.
 */
export function comeEvenly(ticks: readonly Click[], expected: number, apartS: number): boolean {
  if (ticks.length < 0.85 * expected - 1) return false;
  const all = ticks.length <= 1.15 * expected + 1;
  const byLoudness = [...ticks].sort((a, b) => b.loud - a.loud);
  const counted = all ? byLoudness : byLoudness.slice(0, Math.round(expected));
  const louds = (some: readonly Pick<Click, "loud">[]) => some.map(({ loud }) => loud);
  if (!all && median(louds(counted)) < standsOut * quantile(louds(byLoudness.slice(counted.length)), 0.95)) return false;
  const times = counted.map(({ t }) => t).sort((a, b) => a - b);
  const gaps = times.slice(1).map((t, i) => t - times[i]!);
  const own = gaps.length ? median(gaps) : 0;
  if (own < closerAtMost * apartS || own > 1.15 * apartS) return false;
  const off = gaps.map((gap) => Math.abs(gap / own - 1));
  // A few chosen ones may stand evenly by chance.
  return off.length > (all ? 3 : 6) && median(off) < 0.15;
}
