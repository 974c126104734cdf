import type { testActs } from "@/core/acts/test/acts";
import { recordAllGood, recordObservation, skipTest } from "@/data/diagnosis/observations";
import { makeRepair } from "@/data/jobs/jobs";
import type { RunsOf } from "./runs";

export const testRuns: RunsOf<typeof testActs> = {
  test: (ctx, input) => recordObservation(ctx, input),

  "make-repair": (ctx, input) => makeRepair(ctx, input.jobId),

  "skip-test": (ctx, input) => skipTest(ctx, input),

  "tests-all-good": (ctx, input) => recordAllGood(ctx, input),
};
