import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { TraceSample } from "./trace";

/** Before the reel was touched, or after. */
export type Phase = "before" | "after";

/** One answer to one test, as it is kept. */
export interface Observation {
  readonly id: number;
  readonly testId: TestId;
  readonly phase: Phase;
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly unit: string | null;
  readonly lineRadiusMm: number | null;
  /** Where the adjuster stood, as far as it was noted: turns from the first contact, or degrees of a lever. */
  readonly setting: number | null;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly TraceSample[] | null;
  readonly at: string;
}

/** A test left out on purpose. */
export interface SkippedTest {
  readonly phase: Phase;
  readonly testId: TestId;
  /** Empty until somebody says it. */
  readonly reason: string;
}
