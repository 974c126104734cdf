import type { findActs } from "@/core/acts/find/acts";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import type { RunsOf } from "./runs";

export const findRuns: RunsOf<typeof findActs> = {
  look: (ctx, input) => recordLook(ctx, input.jobId, input.findingId, input.so),

  "settle-fault": (ctx, input) => settleFault(ctx, input.jobId, input.faultId, input.proved),
};
