import { median } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { fitSpin, type SpinFit } from "@/core/spin/fit-spin";
import { onsetsOfSound } from "@/core/spin/onsets";
import { checkRecording, type Recording } from "./recording";

export interface TrackedPulses {
  /** Times of the pulses that were heard, s. */
  readonly times: readonly number[];
  /** Which pulse each is, the first 0. */
  readonly places: readonly number[];
  /** Pulses that should have been heard and were not. */
  readonly missed: number;
  /** Sounds that were none. */
  readonly others: number;
}

/** A pulse comes within this share of the interval it is expected after. */
const window = 0.22;
/** Pulses that may be missed in a row before a track is lost. */
const mostMissed = 3;

/** Intervals the slowing is told from. */
const looksBack = 6;

/**
 * When a later pulse is due: the square of the speed falls evenly along the angle (a constant rubbing, which is what is left in the end), by the
 * line through the last few intervals. Infinite where the spool would stand before.
 */
function dueAt(times: readonly number[], at: readonly number[], place: number): number {
  const from = Math.max(1, times.length - looksBack);
  const rows = times.slice(from).map((t, i) => {
    const n = from + i;
    const places = at[n]! - at[n - 1]!;
    return { middle: (at[n]! + at[n - 1]!) / 2, square: (places / (t - times[n - 1]!)) ** 2 };
  });
  const [mx, my] = [rows.reduce((s, r) => s + r.middle, 0) / rows.length, rows.reduce((s, r) => s + r.square, 0) / rows.length];
  const spread = rows.reduce((s, r) => s + (r.middle - mx) ** 2, 0);
  // A spool only slows down.
  const fall = spread > 0 ? Math.min(0, rows.reduce((s, r) => s + (r.middle - mx) * (r.square - my), 0) / spread) : 0;
  let due = times.at(-1)!;
  for (let p = at.at(-1)! + 0.5; p < place; p++) {
    const square = my + fall * (p - mx);
    if (square <= 0) return Number.POSITIVE_INFINITY;
    due += 1 / Math.sqrt(square);
  }
  return due;
}

/** Follows a spool that slows down from two of its pulses. */
function follow(onsets: readonly number[], first: number, second: number): TrackedPulses {
  const times = [onsets[first]!, onsets[second]!];
  const at = [0, 1];
  for (let i = second + 1; i < onsets.length; ) {
    const last = at.at(-1)!;
    let found = -1;
    let place = last;
    while (found < 0 && place - last <= mostMissed) {
      place++;
      const expected = dueAt(times, at, place);
      if (!Number.isFinite(expected)) break;
      const near = window * ((expected - times.at(-1)!) / (place - last));
      for (let j = i; j < onsets.length && onsets[j]! <= expected + near; j++)
        if (onsets[j]! >= expected - near && (found < 0 || Math.abs(onsets[j]! - expected) < Math.abs(onsets[found]! - expected)))
          found = j;
    }
    if (found < 0) break;
    times.push(onsets[found]!);
    at.push(place);
    i = found + 1;
  }
  const span = onsets.filter((t) => t >= times[0]! && t <= times.at(-1)!).length;
  return { times, places: at, missed: at.at(-1)! + 1 - times.length, others: span - times.length };
}

/** The track among a recording's clicks that explains most of them; null where none does. */
export function trackPulses(onsets: readonly number[]): TrackedPulses | null {
  let best: TrackedPulses | null = null;
  const worth = ({ times, missed, others }: TrackedPulses) => times.length - missed - 0.5 * others;
  for (let first = 0; first < Math.min(6, onsets.length - 1); first++)
    for (let second = first + 1; second < Math.min(first + 5, onsets.length); second++) {
      const track = follow(onsets, first, second);
      if (!best || worth(track) > worth(best)) best = track;
    }
  return best;
}

export interface HeardSpin {
  readonly pulses: TrackedPulses;
  readonly fit: SpinFit;
  /** Share of the pulses of the run that were heard, 0 to 1. */
  readonly heardShare: number;
}

/** Pulses this many times as late as is usual are another sound that stood where one was due. */
const strayTimes = 6;

/** A last pulse bends the whole curve to itself: without a stray one the others lie closer by this much. */
const closerWithout = 0.88;

/** The fit, without what does not belong to the run: what comes far too late or early, and a stray sound at either end. */
function fitWithoutStrays({ times, places }: TrackedPulses, marksPerTurn: number): SpinFit {
  const fitOf = (kept: readonly number[]) =>
    fitSpin(
      kept.map((i) => times[i]!),
      marksPerTurn,
      kept.map((i) => places[i]! - places[kept[0]!]!),
    );
  let kept = times.map((_, i) => i);
  let fit = fitOf(kept);
  for (let round = 0; round < 6; round++) {
    const usual = Math.max(1e-5, median(fit.lateS.map(Math.abs)));
    const inside = kept.filter((_, n) => Math.abs(fit.lateS[n]!) <= strayTimes * usual);
    const tries = inside.length < kept.length ? [inside] : [kept.slice(0, -1), kept.slice(1)];
    const better = tries
      .filter((some) => some.length >= 12)
      .map((some) => ({ some, fit: fitOf(some) }))
      .sort((x, y) => x.fit.timingS - y.fit.timingS)[0];
    if (!better || (inside.length === kept.length && better.fit.timingS > closerWithout * fit.timingS)) return fit;
    kept = better.some;
    fit = better.fit;
  }
  return fit;
}

/**
 * The loss curve of a spool from the sound of its free run: its click, a bearing's tick, a strip of tape on the flange.
 * @param marksPerTurn sounds a turn. @returns why the recording cannot carry it.
 */
export function spinFromSound(recording: Recording, marksPerTurn: number): Result<HeardSpin> {
  const fits = checkRecording(recording, 1.5);
  if (!fits.ok) return fits;
  const onsets = onsetsOfSound(recording.sound, recording.rate);
  if (onsets.length < 12)
    return fail("few-clicks", `Only ${onsets.length} clicks stand out: hold the microphone closer, or put a strip of tape on the flange.`);
  const pulses = trackPulses(onsets);
  if (!pulses || pulses.times.length < 12)
    return fail("no-run", "The clicks do not follow one spool that slows down: record one free run alone.");
  const heardShare = pulses.times.length / (pulses.places.at(-1)! + 1);
  if (heardShare < 0.75 || pulses.others > pulses.times.length * 0.5)
    return fail(
      "unsure",
      `Of the run's clicks ${Math.round(heardShare * 100)} in 100 were heard, and ${pulses.others} other sounds: too unsure. A quieter room, or the microphone closer.`,
    );
  return ok({ pulses, fit: fitWithoutStrays(pulses, marksPerTurn), heardShare });
}
