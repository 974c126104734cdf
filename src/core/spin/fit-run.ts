import { median } from "@/core/quantile";
import { fitSpin, type SpinFit } from "./fit-spin";
import type { Click } from "./onsets";
import { type TrackedPulses, trackPulses } from "./pulse-track";

/** Fewer tell no curve. */
export const leastPulses = 12;
/** Pulses of a run come within this share of the time between them when they are due, on the middle; sounds that follow no spool twice as far off. */
const mostLateShare = 0.06;

/** How late the pulses came by the fit, on the middle, as a share of the time between them. */
const lateShare = (times: readonly number[], { lateS }: SpinFit): number =>
  lateS.length ? median(lateS.map(Math.abs)) / median(times.slice(1).map((t, i) => t - times[i]!)) : Number.POSITIVE_INFINITY;

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
export function fitWithoutStrays(
  { times, places }: Pick<TrackedPulses, "times" | "places">,
  marksPerTurn: number,
): { readonly fit: SpinFit; readonly times: readonly number[]; readonly places: readonly number[] } {
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
        if (!off || whole.kept.length - off < leastPulses) continue;
        const tried = fitOf(whole.kept.slice(head, whole.kept.length - tail));
        const less = off - (whole.kept.length - best.kept.length);
        if (tried.fit.timingS < closerWithout ** less * best.fit.timingS) best = tried;
      }
    return best;
  };
  const withoutStrays = (whole: Fitted): Fitted => {
    const off = whole.fit.lateS.map((late, n) => Math.abs(late) / whole.fit.spreads[n]!);
    const usual = Math.max(1e-5, median(off));
    const inside = whole.kept.filter((_, n) => off[n]! <= strayTimes * usual);
    return inside.length < whole.kept.length && inside.length >= leastPulses ? withoutStrays(fitOf(inside)) : whole;
  };
  const { fit, kept } = withoutStrays(withoutEnds(withoutStrays(withoutEnds(fitOf(times.map((_, i) => i))))));
  return { fit, times: kept.map((i) => times[i]!), places: kept.map((i) => places[i]! - places[kept[0]!]!) };
}

/** A spool's run as it was found among other sounds. */
export interface FoundRun {
  readonly pulses: TrackedPulses;
  readonly fit: SpinFit;
  /** The pulses it was fitted to, without strays, and which each is. */
  readonly fitted: { readonly times: readonly number[]; readonly places: readonly number[] };
  /** Share of the pulses of the run that were heard, 0 to 1. */
  readonly heardShare: number;
  /** Sounds that were none of its pulses, between them and after. */
  readonly besides: number;
  /** Enough was heard, and not too much besides. */
  readonly sure: boolean;
}

/** Of fewer of its pulses nobody can be sure. */
const leastHeard = 0.75;
/** Other sounds for each pulse that do not matter. */
const mostBesides = 0.5;
/** In a crowd of others one stands near where a pulse is due: of so many for each pulse at a third of their distance. A run's come far closer. */
const closerThanChance = 0.02;
/** There nearly all pulses have to be heard, and few sounds come after. */
const leastInCrowd = 0.9;
const mostAfter = 0.25;
/** What stands between two pulses of its own stands so near where it would. */
const betweenShare = 0.04;
/** A voice that falls has pulses that slow down too, for a moment. */
const leastRunS = 1;

/** Whether a track goes from every second or third pulse to the next: as many clicks stand evenly between its own. */
export function leavesOut({ times }: Pick<TrackedPulses, "times">, clicks: readonly Click[]): boolean {
  const near = (at: number, tolerance: number) => clicks.some(({ t }) => Math.abs(t - at) <= tolerance);
  return [2, 3].some((parts) => {
    let filled = 0;
    for (let i = 2; i < times.length; i++) {
      const took = times[i]! - times[i - 1]!;
      // The first part of a stretch that slows down is the quicker one.
      const slowed = took - (times[i - 1]! - times[i - 2]!);
      const places = Array.from({ length: parts - 1 }, (_, k) => (k + 1) / parts);
      if (places.every((u) => near(times[i - 1]! + u * took - (u * (1 - u) * slowed) / 2, betweenShare * took))) filled++;
    }
    return filled > 0.5 * (times.length - 2);
  });
}

/**
 * Whether a track is the run and no other: enough of it was heard, and not too much besides; or nearly all of it, far closer to when it was due
 * than chance would have it. @param off how late it came, as a share of the time between pulses. @param leavesSomeOut as many clicks stand between.
 */
export function isSure(
  { times, places, others, after }: Pick<TrackedPulses, "times" | "places" | "others" | "after">,
  off: number,
  leavesSomeOut: boolean,
): boolean {
  const heardShare = times.length / (places.at(-1)! + 1);
  const crowd = (others + after) / times.length;
  if (heardShare >= leastHeard && crowd <= mostBesides) return true;
  return heardShare >= leastInCrowd && after <= mostAfter * times.length && off * crowd <= closerThanChance && !leavesSomeOut;
}

/** The run among some clicks; null where they follow no spool that slows down. @param marksPerTurn clicks a turn. */
export function runAmong(clicks: readonly Click[], marksPerTurn: number): FoundRun | null {
  const found = trackPulses(clicks, marksPerTurn)
    .filter(({ times }) => times.length >= leastPulses && times.at(-1)! - times[0]! >= leastRunS)
    .map((pulses) => {
      const { fit, ...fitted } = fitWithoutStrays(pulses, marksPerTurn);
      const heardShare = pulses.times.length / (pulses.places.at(-1)! + 1);
      const off = lateShare(pulses.times, fit);
      return {
        pulses,
        fitted,
        fit,
        heardShare,
        besides: pulses.others + pulses.after,
        sure: isSure(pulses, off, leavesOut(pulses, clicks)),
        off,
      };
    })
    .filter(({ off, fit }) => off <= mostLateShare && fit.slowsDown)
    .sort((x, y) => Number(y.sure) - Number(x.sure) || x.off - y.off);
  return found[0] ?? null;
}

/** A pulse later or earlier than this share of the time before it may be another one; counted anew the others have to lie so much closer. */
const farLate = 0.25;
const mendsTo = 0.6;

/** A pulse after so small a share of the time between those around it is a bounce. */
const bounceShare = 0.15;
/** So far off on the middle nothing was counted that turns: pulses rise, so that none is further off than half the time between them. */
const noRun = 0.35;

/** A pickup's pulses as they were read. */
export interface ReadPulses {
  readonly fit: SpinFit;
  /** The run's own, s, and which pulse each is. */
  readonly times: readonly number[];
  readonly places: readonly number[];
  /** Pulses that should have come and did not, and some that were none of the spool's. */
  readonly missed: number;
  readonly others: number;
}

const asCounted = (times: readonly number[], marksPerTurn: number): ReadPulses => ({
  fit: fitSpin(times, marksPerTurn),
  times,
  places: times.map((_, i) => i),
  missed: 0,
  others: 0,
});

/** Whether pulses come as the law has them, one after the other. Of very many one more or less is not to be seen, nor does it matter. */
function countedWell({ times, fit }: ReadPulses): boolean {
  if (fit.lateS.length < times.length) return fit.lateS.length > 0;
  // One that is missed late in the run moves few, but moves them far.
  const far = fit.lateS.some((late, i) => Math.abs(late) > farLate * (times[Math.max(1, i)]! - times[Math.max(1, i) - 1]!));
  return lateShare(times, fit) <= mostLateShare && !far;
}

/** Pulses without those that come at once after another: a contact bounces. */
function withoutBounces(times: readonly number[]): readonly number[] {
  const gaps = times.map((t, i) => (i ? t - times[i - 1]! : Number.POSITIVE_INFINITY));
  return times.filter((_, i) => !(gaps[i]! < bounceShare * Math.max(...gaps.slice(Math.max(1, i - 2), i + 3))));
}

/**
 * Losses from a pickup's pulses, one after the other: all are the run's, unless they come so unevenly that some must be missing or too many.
 * @param times seconds, rising. @throws RangeError as fitSpin does.
 */
export function fitPulses(times: readonly number[], marksPerTurn: number): ReadPulses {
  const all = asCounted(times, marksPerTurn);
  if (countedWell(all)) return all;
  const mends = (fit: SpinFit, before: SpinFit) => !(before.timingS * mendsTo <= fit.timingS);
  const quiet = withoutBounces(times);
  const once = quiet.length < times.length && quiet.length >= leastPulses ? asCounted(quiet, marksPerTurn) : all;
  const base = once !== all && mends(once.fit, all.fit) ? { ...once, others: times.length - quiet.length } : all;
  if (base.fit.cannot || (base !== all && countedWell(base))) return base;
  const run = runAmong(
    base.times.map((t) => ({ t, loud: 1 })),
    marksPerTurn,
  );
  if (run?.sure && mends(run.fit, base.fit))
    return { fit: run.fit, ...run.fitted, missed: run.pulses.missed, others: times.length - run.fitted.times.length };
  // Pulses close upon each other are timed no better than others: coming unevenly they may yet be all of them.
  if (lateShare(base.times, base.fit) <= noRun) return base;
  return { ...base, fit: { ...base.fit, cannot: "the pulses follow no spool that slows down: take one free run alone." } };
}

/** Why a fit is of no run at all: what keeps its pace, or gains, is a beat, a tune or a spool that something drives. Null where it is of one. */
export const noRunDown = ({ slowsDown }: Pick<SpinFit, "slowsDown">): string | null =>
  slowsDown ? null : "These pulses do not slow down: take one free run alone.";
