import { msPerMinute } from "@/core/day/day";
import { median } from "@/core/quantile";
import type { Station } from "@/core/vocabulary/job-kinds";
/** One press at a job, with the station it was made at. */
export interface StationPress {
  readonly station: Station;
  /** Instant, ms. */
  readonly atMs: number;
}

/** Minutes a job spent at a station. */
export interface StationTime {
  readonly station: Station;
  readonly minutes: number;
  /** Put right by hand. */
  readonly corrected: boolean;
}

/** After this long without a press the clock of a station stands (common practice: a telephone, a customer, a meal). */
export const idleMinutes = 3;

/**
 * Minutes spent at each station of one job. The clock starts with the first press at a station; between two presses it runs three minutes
 * at most and then stands; the time up to a press belongs to the station it was made at.
 * @param presses in any order; those of other jobs in between are given as station null and stop the clock.
 */
export function stationMinutes(
  presses: readonly (StationPress | { readonly station: null; readonly atMs: number })[],
): Map<Station, number> {
  const minutes = new Map<Station, number>();
  const sorted = [...presses].sort((a, b) => a.atMs - b.atMs);
  let last: (typeof sorted)[number] | null = null;
  for (const press of sorted) {
    if (press.station !== null) {
      const gap = last?.station === press.station ? (press.atMs - last.atMs) / msPerMinute : 0;
      minutes.set(press.station, (minutes.get(press.station) ?? 0) + Math.min(gap, idleMinutes));
    }
    last = press;
  }
  return minutes;
}

/** Where each act of the journal is made; what is not named here is no work at a station. */
const stationOfAct: Readonly<Record<string, Station>> = {
  "fault-found": "find",
  "fault-withdrawn": "find",
  "fault-settled": "find",
  "looked-at": "find",
  "quote-agreed": "quote",
  "quote-refused": "quote",
  "part-foreseen": "quote",
  "part-struck": "quote",
  "part-off": "strip",
  "part-off-undone": "strip",
  "part-looked-at": "strip",
  "picture-taken": "strip",
  "left-in": "strip",
  "served-in-place": "strip",
  "loose-part-off": "strip",
  "loose-part-undone": "strip",
  "loose-part-named": "strip",
  "soak-begun": "clean",
  "soak-counted": "clean",
  "cleaned-by-hand": "clean",
  "cleaning-undone": "clean",
  "part-used": "parts",
  "part-used-undone": "parts",
  "donor-piece-used": "parts",
  "need-added": "parts",
  "step-done": "build",
  "step-undone": "build",
  "step-skipped": "build",
  "gate-passed": "build",
  "gate-failed": "build",
  "piece-judged": "build",
  "item-given-back": "return",
  "item-kept": "return",
  "handed-back": "return",
};

/** The station an act of the journal was made at; null where it is none. */
export function stationOfJournal(action: string, detail: Readonly<Record<string, unknown>>): Station | null {
  if (action === "tested" || action === "test-left-out") return detail.phase === "after" ? "prove" : "test";
  // A verdict is given where the part is looked at.
  if (action === "part-looked-at" && detail.at === "clean") return "clean";
  return stationOfAct[action] ?? null;
}

/** The middle of what a station took over several jobs of one model, in minutes; null under three jobs, which say little. */
export function usualMinutes(perJob: readonly number[], least = 3): number | null {
  const spent = perJob.filter((minutes) => minutes > 0);
  return spent.length < least ? null : median(spent);
}
