import { msPerMinute } from "@/core/day/day";
import { median } from "@/core/quantile";

export interface DoneStep {
  readonly jobId: number;
  readonly operationId: string;
  /** Instant, ms. */
  readonly atMs: number;
}

export interface LearnedMinutes {
  readonly operationId: string;
  readonly median: number;
  readonly seen: number;
}

/** A longer gap between two steps is a telephone or a meal, not work: common practice for time sheets is to leave it out. */
const longestStepMs = 10 * msPerMinute;

/**
 * What each act took here, in minutes: the median over all jobs of the time since the step before it in the same job. The first step of a
 * job has none before it and does not count, nor does a gap of more than ten minutes.
 * @param steps in any order; @returns the acts seen at least `least` times, with their median to half a minute or closer below two minutes.
 */
export function learnedMinutes(steps: readonly DoneStep[], least = 2): LearnedMinutes[] {
  const jobs = new Map<number, DoneStep[]>();
  for (const step of steps) jobs.set(step.jobId, [...(jobs.get(step.jobId) ?? []), step]);
  const gaps = new Map<string, number[]>();
  for (const done of jobs.values()) {
    done.sort((a, b) => a.atMs - b.atMs);
    for (let i = 1; i < done.length; i++) {
      const gap = done[i]!.atMs - done[i - 1]!.atMs;
      if (gap > 0 && gap <= longestStepMs) gaps.set(done[i]!.operationId, [...(gaps.get(done[i]!.operationId) ?? []), gap]);
    }
  }
  return [...gaps]
    .filter(([, seen]) => seen.length >= least)
    .map(([operationId, seen]) => {
      const minutes = median(seen) / msPerMinute;
      const step = minutes < 2 ? 0.1 : 0.5;
      return { operationId, median: Number(Math.max(step, Math.round(minutes / step) * step).toFixed(1)), seen: seen.length };
    })
    .sort((a, b) => b.median - a.median || (a.operationId < b.operationId ? -1 : 1));
}
