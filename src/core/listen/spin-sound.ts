import { median } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { fitSpin, type SpinFit } from "@/core/spin/fit-spin";
import { clicksOfSound } from "@/core/spin/onsets";
import { type TrackedPulses, trackPulses } from "./pulse-track";
import { checkRecording, type Recording } from "./recording";
import { whitened } from "./whitened";

export interface HeardSpin {
  readonly pulses: TrackedPulses;
  readonly fit: SpinFit;
  /** Share of the pulses of the run that were heard, 0 to 1. */
  readonly heardShare: number;
}

/** Fewer tell no curve. */
const leastPulses = 12;
/** Pulses of a run come within this share of the time between them when they are due, on the middle; sounds that follow no spool twice as far off. */
const mostLateShare = 0.06;

/** How late the pulses came by the fit, on the middle, as a share of the time between them. */
const lateShare = ({ times }: TrackedPulses, { lateS }: SpinFit): number =>
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
        if (!off || whole.kept.length - off < leastPulses) continue;
        const tried = fitOf(whole.kept.slice(head, whole.kept.length - tail));
        const less = off - (whole.kept.length - best.kept.length);
        if (tried.fit.timingS < closerWithout ** less * best.fit.timingS) best = tried;
      }
    return best;
  };
  const withoutStrays = (whole: Fitted): Fitted => {
    const usual = Math.max(1e-5, median(whole.fit.lateS.map(Math.abs)));
    const inside = whole.kept.filter((_, n) => Math.abs(whole.fit.lateS[n]!) <= strayTimes * usual);
    return inside.length < whole.kept.length && inside.length >= leastPulses ? withoutStrays(fitOf(inside)) : whole;
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
  const clicks = clicksOfSound(whitened(recording.sound, recording.rate), recording.rate);
  if (clicks.length < leastPulses)
    return fail("few-clicks", `Only ${clicks.length} clicks stand out: hold the microphone closer, or put a strip of tape on the flange.`);
  const read = trackPulses(clicks, marksPerTurn)
    .filter(({ times }) => times.length >= leastPulses)
    .map((pulses) => {
      const fit = fitWithoutStrays(pulses, marksPerTurn);
      const heardShare = pulses.times.length / (pulses.places.at(-1)! + 1);
      const besides = pulses.others + pulses.after;
      return {
        pulses,
        fit,
        heardShare,
        besides,
        sure: heardShare >= 0.75 && besides <= pulses.times.length * 0.5,
        off: lateShare(pulses, fit),
      };
    })
    .filter(({ off }) => off <= mostLateShare)
    .sort((x, y) => Number(y.sure) - Number(x.sure) || x.off - y.off);
  const [best] = read;
  if (!best) return fail("no-run", "The clicks do not follow one spool that slows down: record one free run alone.");
  const { pulses, fit, heardShare, besides, sure } = best;
  if (!sure)
    return fail(
      "unsure",
      `Of the run's clicks ${Math.round(heardShare * 100)} in 100 were heard, and ${besides} other sounds: too unsure. A quieter room, or the microphone closer.`,
    );
  return ok({ pulses, fit, heardShare });
}
