import { fail, ok, type Result } from "@/core/result";
import { type FoundRun, leastPulses, runAmong } from "@/core/spin/fit-run";
import type { SpinFit } from "@/core/spin/fit-spin";
import { clicksOfSound } from "@/core/spin/onsets";
import type { TrackedPulses } from "@/core/spin/pulse-track";
import { checkRecording, type Recording } from "./recording";
import { whitened } from "./whitened";

export interface HeardSpin {
  readonly pulses: TrackedPulses;
  readonly fit: SpinFit;
  /** The pulses it was fitted to, without strays, and which each is. */
  readonly fitted: FoundRun["fitted"];
  /** Share of the pulses of the run that were heard, 0 to 1. */
  readonly heardShare: number;
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
  const run = runAmong(clicks, marksPerTurn);
  if (!run) return fail("no-run", "The clicks do not follow one spool that slows down: record one free run alone.");
  const { pulses, fitted, fit, heardShare, besides, sure } = run;
  if (!sure)
    return fail(
      "unsure",
      `Of the run's clicks ${Math.round(heardShare * 100)} % were heard, and ${besides} other sounds: too unsure. A quieter room, or the microphone closer.`,
    );
  return ok({ pulses, fitted, fit, heardShare });
}
