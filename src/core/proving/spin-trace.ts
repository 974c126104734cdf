import { fail, ok, type Result } from "@/core/result";
import type { TraceSample } from "./trace";

/** Every spin is read from this speed down, revolutions a second: a harder flick must not make a better bearing. */
export const standardStart = 10;
/** Slower than this counts as standing; a pickup of one pulse a turn sees nothing below it. */
const standing = 0.5;

export interface SpinReading {
  /** From the standard start speed to standstill. */
  readonly seconds: number;
  /** Whether the end was seen, or had to be drawn on from the last readings. */
  readonly seenToStand: boolean;
}

/**
 * Speeds from the times of a pickup's pulses: each interval is one share of a turn, its speed stands at its middle.
 * @param timesMs rising. @param pulsesPerTurn 1 or more. @param places which pulse each is, where some were missed. @throws RangeError for times that do not rise.
 */
export function speedsFromPulses(timesMs: readonly number[], pulsesPerTurn: number, places?: readonly number[]): TraceSample[] {
  if (!(pulsesPerTurn >= 1)) throw new RangeError("speedsFromPulses: at least one pulse a turn");
  return timesMs.slice(1).map((time, i) => {
    const took = time - timesMs[i]!;
    if (!(took > 0)) throw new RangeError("speedsFromPulses: pulse times must rise");
    return { tMs: (time + timesMs[i]!) / 2, value: (1000 * (places ? places[i + 1]! - places[i]! : 1)) / (took * pulsesPerTurn) };
  });
}

/**
 * Reads how long a spool turns by itself from the standard start speed on.
 * @param samples speeds in revolutions a second.
 * @returns `too-short` under 10 samples, `too-slow` when it never turned that fast.
 */
export function readSpinTrace(samples: readonly TraceSample[]): Result<SpinReading, "too-short" | "too-slow"> {
  if (samples.length < 10) return fail("too-short", "The spin was too short to read: spin the spool and let it run down.");
  let from = -1;
  for (let i = 1; i < samples.length; i++) if (samples[i - 1]!.value >= standardStart && samples[i]!.value < standardStart) from = i;
  if (from < 0) return fail("too-slow", `It never slowed through ${standardStart} turns a second, where readings start: flick it harder.`);
  const between = (i: number, speed: number) => {
    const [a, b] = [samples[i - 1]!, samples[i]!];
    return a.tMs + ((a.value - speed) / (a.value - b.value)) * (b.tMs - a.tMs);
  };
  const startMs = between(from, standardStart);
  const stood = samples.findIndex((sample, i) => i >= from && sample.value <= standing);
  // What turns slower than the pickup sees still takes its time: the end is drawn on from the last slope.
  if (stood >= 0)
    return ok({ seconds: (between(stood, standing) - startMs) / 1000 + drawnOn(samples, stood, standing), seenToStand: true });
  const { tMs, value } = samples.at(-1)!;
  return ok({ seconds: (tMs - startMs) / 1000 + drawnOn(samples, samples.length - 1, value), seenToStand: false });
}

/** Seconds from a speed to standstill along the slope of the readings up to `at`; nothing where they do not fall. */
function drawnOn(samples: readonly TraceSample[], at: number, speed: number): number {
  const back = samples[Math.max(0, at - 8)]!;
  const slope = (back.value - samples[at]!.value) / ((samples[at]!.tMs - back.tMs) / 1000);
  return slope > 0 ? speed / slope : 0;
}
