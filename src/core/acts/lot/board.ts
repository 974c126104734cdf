import { boardOf, shows } from "@/core/acts/act/board";
import { settleFault } from "@/core/acts/find/settle-fault";
import { test } from "@/core/acts/test/test";
import type { TestId, Verdict } from "@/core/vocabulary/tests";

/** What is known of each of a lot's reels, by job. */
export interface LotAnswers {
  readonly jobId: number;
  readonly verdicts: Readonly<Partial<Record<TestId, Verdict>>>;
  /** Faults proved (true) or ruled out. */
  readonly settled: Readonly<Record<string, boolean>>;
}

/** A lot's reels as hands leave them: a press is about one of them, and about no other. */
export const lotBoard = <R extends LotAnswers = LotAnswers>() => {
  const at = (reels: readonly R[], jobId: number, change: (reel: R) => Partial<LotAnswers>) =>
    reels.map((reel) => (reel.jobId === jobId ? { ...reel, ...change(reel) } : reel));
  return boardOf<readonly R[]>([
    shows(test, (reels, { jobId, testId, verdict }) =>
      at(reels, jobId, ({ verdicts }) => ({ verdicts: { ...verdicts, [testId]: verdict } })),
    ),
    shows(settleFault, (reels, { jobId, faultId, proved }) =>
      at(reels, jobId, ({ settled: { [faultId]: _, ...others } }) => ({
        settled: proved === null ? others : { ...others, [faultId]: proved },
      })),
    ),
  ]);
};
