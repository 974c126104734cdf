import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { QueuedPress } from "@/ui/act/press-queue";

/** What is known of each of a lot's reels, by job. */
export interface LotAnswers {
  readonly verdicts: Readonly<Partial<Record<TestId, Verdict>>>;
  /** Faults proved (true) or ruled out. */
  readonly settled: Readonly<Record<string, boolean>>;
}

/** Takes one press across a lot as the server will; one that a reel has already changes nothing. */
export function lotPress<R extends LotAnswers & { readonly jobId: number }>(reels: readonly R[], press: QueuedPress): readonly R[] {
  const at = (change: (reel: R) => Partial<LotAnswers>) => {
    const { jobId } = press.input as { jobId: number };
    return reels.map((reel) => (reel.jobId === jobId ? { ...reel, ...change(reel) } : reel));
  };
  if (press.act === "test") {
    const { testId, verdict } = press.input as { testId: TestId; verdict: Verdict };
    return at(({ verdicts }) => ({ verdicts: { ...verdicts, [testId]: verdict } }));
  }
  if (press.act === "settle-fault") {
    const { faultId, proved } = press.input as { faultId: string; proved: boolean };
    return at(({ settled }) => ({ settled: { ...settled, [faultId]: proved } }));
  }
  return reels;
}
