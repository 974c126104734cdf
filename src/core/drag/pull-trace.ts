import { median } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";

export interface PullSample {
  readonly tMs: number;
  readonly forceN: number;
}

export interface PullReading {
  /** Highest force before the spool first moves steadily, N. */
  readonly startPeakN: number;
  /** Mean of the running part, N: the number that is kept. */
  readonly runningMeanN: number;
  /** Half the spread (standard deviation) of the running part over its mean: 0 is perfectly even. */
  readonly ripple: number;
  /** Start peak ÷ running mean; well above 1 is a drag that jerks at the start. */
  readonly startRatio: number;
  readonly runningFromMs: number;
}

/**
 * Reads a pull trace: line taken up, a start peak, then steady slip.
 * Method: the level of steady slip is the median of the trace's second half; running starts at the first sample after the highest one of
 * the rise that lies within a quarter of that level. The median is used because a jerk at the start must not move the level it is
 * compared with.
 * @returns `too-short` under 20 samples, `no-slip` when the line never ran (force still rising at the end).
 */
export function readPullTrace(samples: readonly PullSample[]): Result<PullReading, "too-short" | "no-slip"> {
  if (samples.length < 20) return fail("too-short", "The pull was too short to read: draw line for at least two seconds.");
  const forces = samples.map((sample) => sample.forceN);
  const level = median(forces.slice(Math.floor(forces.length / 2)));
  const firstThere = forces.findIndex((force) => force >= level * 0.9);
  if (level <= 0 || firstThere < 0 || firstThere > forces.length * 0.8)
    return fail("no-slip", "The line never ran: the force was still rising at the end. Pull on until it slips, or ease the star.");
  let peakAt = firstThere;
  const searchTo = firstThere + Math.ceil(forces.length * 0.2);
  for (let i = firstThere; i < Math.min(searchTo, forces.length); i++) if (forces[i]! > forces[peakAt]!) peakAt = i;
  let from = peakAt;
  while (from < forces.length - 1 && Math.abs(forces[from]! - level) > level * 0.25) from++;
  const running = forces.slice(from + 1);
  if (running.length < 5) return fail("no-slip", "The line hardly ran: draw a little more of it.");
  const mean = running.reduce((sum, force) => sum + force, 0) / running.length;
  const spread = Math.sqrt(running.reduce((sum, force) => sum + (force - mean) ** 2, 0) / running.length);
  const startPeak = forces[peakAt]!;
  return ok({
    startPeakN: startPeak,
    runningMeanN: mean,
    ripple: spread / mean,
    startRatio: startPeak / mean,
    runningFromMs: samples[from]!.tMs,
  });
}
