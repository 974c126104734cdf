import type { cleanActs } from "@/core/acts/clean/acts";
import { beginSoak, cancelSoak, cleanAgain, cleanedAllByHand, cleanedByHand, cleanPartAs, countBack } from "@/data/bench/cleaning";
import type { RunsOf } from "./runs";

export const cleanRuns: RunsOf<typeof cleanActs> = {
  soak: (ctx, { jobId: id, ...input }) => beginSoak(ctx, id, input),

  "count-back": (ctx, input) => countBack(ctx, input.jobId, input.soakId, input.missing),

  "cancel-soak": (ctx, input) => cancelSoak(ctx, input.jobId, input.soakId),

  "cleaned-by-hand": (ctx, input) => cleanedByHand(ctx, input.jobId, input.method),

  "clean-again": (ctx, input) => cleanAgain(ctx, input.jobId, input.method),

  "all-cleaned-by-hand": (ctx, input) => cleanedAllByHand(ctx, input.jobId),

  "clean-part-as": (ctx, input) => cleanPartAs(ctx, input.jobId, input.positionId, input.method),
};
