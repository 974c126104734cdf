import type { ReactNode } from "react";
import type { ModelRecord } from "@/core/proving/model-record";
import type { Observation, Phase, SkippedTest } from "@/core/proving/observation";
import type { TestSpec } from "@/core/proving/protocol";
import type { ForceUnit } from "@/core/units/say-measure";
import type { TestId } from "@/core/vocabulary/tests";
import type { BenchHead } from "@/ui/bench/bench-sheet";

/** What the page of the tests is given, before touching and after closing. */
export interface TestProps {
  readonly head: BenchHead;
  readonly phase: Phase;
  readonly tests: readonly TestSpec[];
  /** Tests nothing waits for, to be chosen optional. */
  readonly extras: readonly TestSpec[];
  readonly skipped: readonly SkippedTest[];
  /** What such reels leave here with. */
  readonly record: ReadonlyMap<TestId, ModelRecord>;
  readonly observations: readonly Observation[];
  readonly lineRadiusMm: number;
  /** What the customer's line breaks at, N: the drag at strike is set to a share of it. Null where nobody said. */
  readonly lineBreaksN: number | null;
  /** What pulls are shown in here. */
  readonly force: ForceUnit;
  readonly next: { href: string; words: string };
  /** What stands above the tests: the last visit of a comeback. */
  readonly above?: ReactNode;
  /** What stands under them: how the reel came. */
  readonly below?: ReactNode;
  /** Where a short job can still become a repair. */
  readonly makeRepair?: boolean;
}
