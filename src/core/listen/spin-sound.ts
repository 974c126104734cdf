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
  /** Sounds that were none, from the first pulse to the last. */
  readonly others: number;
  /** Sounds after the last pulse: hardly any after a spool that ran down, many where it was lost on its way. */
  readonly after: number;
}

/** A pulse comes within this share of the interval it is expected after. */
const window = 0.22;
/** Before its mark has come round once nobody knows how far off it was set. */
const firstTurnWindow = 0.35;
/** Pulses that may be missed in a row before a track is lost. */
const mostMissed = 3;

/** Intervals the slowing is told from. */
const looksBack = 6;

/** Speed between two pulses, in pulses a second, as its square at the place half-way. */
interface Pace {
  readonly middle: number;
  readonly square: number;
}

/**
 * The square of the speed at a place, by the line through the last few paces: it falls evenly along the angle (a constant rubbing, which is what
 * is left in the end). Below nothing where the spool would stand before.
 */
function paceAt(paces: readonly Pace[]): (place: number) => number {
  const [mx, my] = [paces.reduce((s, r) => s + r.middle, 0) / paces.length, paces.reduce((s, r) => s + r.square, 0) / paces.length];
  const spread = paces.reduce((s, r) => s + (r.middle - mx) ** 2, 0);
  // A spool only slows down.
  const fall = spread > 0 ? Math.min(0, paces.reduce((s, r) => s + (r.middle - mx) * (r.square - my), 0) / spread) : 0;
  return (place) => my + fall * (place - mx);
}

/** A track as it grows. */
interface Track {
  readonly times: number[];
  readonly at: number[];
  readonly timeAt: Map<number, number>;
}

const paceOf = (from: number, to: number, took: number): Pace => ({ middle: (from + to) / 2, square: ((to - from) / took) ** 2 });

/** When a later pulse is due, by the intervals between the last ones. Infinite where the spool would stand before. */
function dueByIntervals({ times, at }: Track, place: number): number {
  const from = Math.max(1, times.length - looksBack);
  const square = paceAt(times.slice(from).map((t, i) => paceOf(at[from + i - 1]!, at[from + i]!, t - times[from + i - 1]!)));
  let due = times.at(-1)!;
  for (let p = at.at(-1)! + 0.5; p < place; p++) {
    if (square(p) <= 0) return Number.POSITIVE_INFINITY;
    due += 1 / Math.sqrt(square(p));
  }
  return due;
}

/**
 * When a later pulse is due, by the turns of the marks before it: marks set by hand stand unevenly, but each comes round as the others do.
 * @returns null where its own mark was not heard a turn before, or too few came round.
 */
function dueByTurns({ times, at, timeAt }: Track, place: number, marks: number): number | null {
  const before = timeAt.get(place - marks);
  if (before === undefined) return null;
  const paces: Pace[] = [];
  for (let n = times.length - 1; n > 0 && paces.length < looksBack; n--) {
    const turn = timeAt.get(at[n]! - marks);
    if (turn !== undefined) paces.push(paceOf(at[n]! - marks, at[n]!, times[n]! - turn));
  }
  if (paces.length < 2) return null;
  const square = paceAt(paces)(place - marks / 2);
  return square > 0 ? before + marks / Math.sqrt(square) : Number.POSITIVE_INFINITY;
}

/** Follows a spool that slows down from two of its pulses. */
function follow(onsets: readonly number[], first: number, second: number, marks: number): TrackedPulses {
  const times = [onsets[first]!, onsets[second]!];
  const at = [0, 1];
  const track: Track = { times, at, timeAt: new Map([0, 1].map((place) => [place, times[place]!])) };
  for (let i = second + 1; i < onsets.length; ) {
    const last = at.at(-1)!;
    let found = -1;
    let place = last;
    while (found < 0 && place - last <= mostMissed) {
      place++;
      const byTurns = marks > 1 ? dueByTurns(track, place, marks) : null;
      const expected = byTurns ?? dueByIntervals(track, place);
      if (!Number.isFinite(expected)) break;
      const near = (marks > 1 && byTurns === null ? firstTurnWindow : window) * ((expected - times.at(-1)!) / (place - last));
      for (let j = i; j < onsets.length && onsets[j]! <= expected + near; j++)
        if (onsets[j]! >= expected - near && (found < 0 || Math.abs(onsets[j]! - expected) < Math.abs(onsets[found]! - expected)))
          found = j;
    }
    if (found < 0) break;
    times.push(onsets[found]!);
    at.push(place);
    track.timeAt.set(place, onsets[found]!);
    i = found + 1;
  }
  const span = onsets.filter((t) => t >= times[0]! && t <= times.at(-1)!).length;
  const after = onsets.filter((t) => t > times.at(-1)!).length;
  return { times, places: at, missed: at.at(-1)! + 1 - times.length, others: span - times.length, after };
}

/** The track among a recording's clicks that explains most of them; null where none does. @param marks sounds a turn. */
export function trackPulses(onsets: readonly number[], marks = 1): TrackedPulses | null {
  let best: TrackedPulses | null = null;
  const worth = ({ times, missed, others, after }: TrackedPulses) => times.length - missed - 0.5 * others - 0.25 * after;
  for (let first = 0; first < Math.min(6, onsets.length - 1); first++)
    for (let second = first + 1; second < Math.min(first + 5, onsets.length); second++) {
      const track = follow(onsets, first, second, marks);
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

/** Most pulses that are left off at the beginning, and at the end. */
const mostOff = [2, 3] as const;

/**
 * The fit, without what does not belong to the run: a stray sound at either end, which bends the whole curve to itself, and then what comes far
 * too late or early; each of these may have hidden the other.
 */
function fitWithoutStrays({ times, places }: TrackedPulses, marksPerTurn: number): SpinFit {
  const fitOf = (kept: readonly number[]) => ({
    kept,
    fit: fitSpin(
      kept.map((i) => times[i]!),
      marksPerTurn,
      kept.map((i) => places[i]! - places[kept[0]!]!),
    ),
  });
  type Fitted = ReturnType<typeof fitOf>;
  const withoutEnds = (whole: Fitted): Fitted => {
    let best = whole;
    for (let head = 0; head <= mostOff[0]; head++)
      for (let tail = 0; tail <= mostOff[1]; tail++) {
        const off = head + tail;
        if (!off || whole.kept.length - off < 12) continue;
        const tried = fitOf(whole.kept.slice(head, whole.kept.length - tail));
        const less = off - (whole.kept.length - best.kept.length);
        if (tried.fit.timingS < closerWithout ** less * best.fit.timingS) best = tried;
      }
    return best;
  };
  const withoutStrays = (whole: Fitted): Fitted => {
    const usual = Math.max(1e-5, median(whole.fit.lateS.map(Math.abs)));
    const inside = whole.kept.filter((_, n) => Math.abs(whole.fit.lateS[n]!) <= strayTimes * usual);
    return inside.length < whole.kept.length && inside.length >= 12 ? withoutStrays(fitOf(inside)) : whole;
  };
  return withoutStrays(withoutEnds(withoutStrays(withoutEnds(fitOf(times.map((_, i) => i)))))).fit;
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
  const pulses = trackPulses(onsets, marksPerTurn);
  if (!pulses || pulses.times.length < 12)
    return fail("no-run", "The clicks do not follow one spool that slows down: record one free run alone.");
  const heardShare = pulses.times.length / (pulses.places.at(-1)! + 1);
  if (heardShare < 0.75 || pulses.others + pulses.after > pulses.times.length * 0.5)
    return fail(
      "unsure",
      `Of the run's clicks ${Math.round(heardShare * 100)} in 100 were heard, and ${pulses.others + pulses.after} other sounds: too unsure. A quieter room, or the microphone closer.`,
    );
  return ok({ pulses, fit: fitWithoutStrays(pulses, marksPerTurn), heardShare });
}
