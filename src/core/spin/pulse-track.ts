import { median } from "@/core/quantile";
import type { Click } from "./onsets";

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
/** And besides of what it slows down from one interval to the next: towards its end nobody knows well by how much. */
const slowingWindow = 1;
/** Pulses that may be missed in a row before a track is lost. */
const mostMissed = 3;

/** Intervals the slowing is told from. */
const looksBack = 6;

/** Speed between two pulses, in pulses a second, as its square at the place half-way. */
export interface Pace {
  readonly middle: number;
  readonly square: number;
}

/**
 * The square of the speed at a place, by the line through the last few paces: it falls evenly along the angle (a constant rubbing, which is what
 * is left in the end). Below nothing where the spool would stand before.
 */
export function paceAt(paces: readonly Pace[]): (place: number) => number {
  const [mx, my] = [paces.reduce((s, r) => s + r.middle, 0) / paces.length, paces.reduce((s, r) => s + r.square, 0) / paces.length];
  const spread = paces.reduce((s, r) => s + (r.middle - mx) ** 2, 0);
  // A spool only slows down.
  const fall = spread > 0 ? Math.min(0, paces.reduce((s, r) => s + (r.middle - mx) * (r.square - my), 0) / spread) : 0;
  return (place) => my + fall * (place - mx);
}

/** A track as it grows. */
export interface Track {
  readonly times: number[];
  readonly at: number[];
  readonly timeAt: Map<number, number>;
}

const paceOf = (from: number, to: number, took: number): Pace => ({ middle: (from + to) / 2, square: ((to - from) / took) ** 2 });

/** When a later pulse is due, by the intervals between the last ones. Infinite where the spool would stand before. */
export function dueByIntervals({ times, at }: Track, place: number): number {
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
export function dueByTurns({ times, at, timeAt }: Track, place: number, marks: number): number | null {
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

/** A click this much softer than the run's last ones is an echo or the room, and disturbs nobody. */
const soft = 0.6;
/** What comes so soon after a pulse, s, and is a little softer, is its echo. */
const echoS = 0.1;
const echoSofter = 0.9;
/** Such a one counts as further off by this share of where a pulse is looked for. */
const echoFurther = 0.5;

/** Follows a spool that slows down from two of its pulses. */
function follow(clicks: readonly Click[], isEcho: readonly boolean[], first: number, second: number, marks: number): TrackedPulses {
  const [one, two] = [clicks[first]!, clicks[second]!];
  const times = [one.t, two.t];
  const at = [0, 1];
  const louds = [one.loud, two.loud];
  const track: Track = { times, at, timeAt: new Map([0, 1].map((place) => [place, times[place]!])) };
  /** How loud the run's clicks are by now. */
  const asLoud = () => soft * median(louds.slice(-looksBack));
  const othersAmong = (from: number, to: number, pulse: Click) =>
    clicks.slice(from, to).filter(({ t, loud }) => loud >= asLoud() && !(t - pulse.t < echoS && loud < echoSofter * pulse.loud)).length;
  let others = othersAmong(first + 1, second, one);
  let next = second + 1;
  while (next < clicks.length) {
    const last = at.at(-1)!;
    let found = -1;
    let place = last;
    while (found < 0 && place - last <= mostMissed) {
      place++;
      const byTurns = marks > 1 ? dueByTurns(track, place, marks) : null;
      const expected = byTurns ?? dueByIntervals(track, place);
      if (!Number.isFinite(expected)) break;
      const apart = (expected - times.at(-1)!) / (place - last);
      const slower = marks === 1 ? Math.max(0, apart - (times.at(-1)! - times.at(-2)!) / (last - at.at(-2)!)) : 0;
      const near = (marks > 1 && byTurns === null ? firstTurnWindow : window) * apart + slowingWindow * slower;
      // The nearest; one softer than the run, or what may be an echo, counts as further off.
      const worse = (j: number) =>
        Math.abs(clicks[j]!.t - expected) + near * (Math.max(0, 1 - clicks[j]!.loud / asLoud()) + (isEcho[j] ? echoFurther : 0));
      for (let j = next; j < clicks.length && clicks[j]!.t <= expected + near; j++)
        if (clicks[j]!.t >= expected - near && (found < 0 || worse(j) < worse(found))) found = j;
    }
    if (found < 0) break;
    others += othersAmong(next, found, clicks[next - 1]!);
    times.push(clicks[found]!.t);
    louds.push(clicks[found]!.loud);
    at.push(place);
    track.timeAt.set(place, clicks[found]!.t);
    next = found + 1;
  }
  return { times, places: at, missed: at.at(-1)! + 1 - times.length, others, after: othersAmong(next, clicks.length, clicks[next - 1]!) };
}

/** Clicks a run may begin with: the first ones, and those where they come fastest, for a hand that spins it up clicks as well. */
const begins = 6;
/** Where louder ones come just before, a click is their echo. */
const louder = 1.25;

/** The track through some clicks that explains most of all of them; null where none does. */
function bestTrack(clicks: readonly Click[], isEcho: readonly boolean[], some: readonly number[], marks: number): TrackedPulses | null {
  let best: TrackedPulses | null = null;
  const worth = ({ times, missed, others, after }: TrackedPulses) => times.length - missed - 0.5 * others - 0.25 * after;
  const span = (i: number) => clicks[some[i + begins - 1]!]!.t - clicks[some[i]!]!.t;
  let fastest = 0;
  for (let i = 1; i + begins <= some.length; i++) if (span(i) < span(fastest)) fastest = i;
  const firsts = new Set([0, Math.max(0, fastest - 2)].flatMap((from) => Array.from({ length: begins }, (_, i) => from + i)));
  for (const first of firsts)
    for (let second = first + 1; second < Math.min(first + 5, some.length); second++) {
      const track = follow(clicks, isEcho, some[first]!, some[second]!, marks);
      if (!best || worth(track) > worth(best)) best = track;
    }
  return best;
}

/**
 * Tracks that may be a recording's run: the best that begins with any two clicks, and the best that begins with two that are nobody's echo. None
 * where fewer than two clicks are heard. @param marks sounds a turn.
 */
export function trackPulses(clicks: readonly Click[], marks = 1): TrackedPulses[] {
  const all = clicks.map((_, i) => i);
  const isEcho = all.map((i) => {
    for (let j = i - 1; j >= 0 && clicks[i]!.t - clicks[j]!.t < echoS; j--) if (clicks[j]!.loud > louder * clicks[i]!.loud) return true;
    return false;
  });
  const own = all.filter((i) => !isEcho[i]);
  const best = bestTrack(clicks, isEcho, all, marks);
  const ownBest = own.length < all.length ? bestTrack(clicks, isEcho, own, marks) : null;
  const same = best && ownBest && best.times.length === ownBest.times.length && best.times.every((t, i) => t === ownBest.times[i]);
  return [best, same ? null : ownBest].filter((track) => track !== null);
}
