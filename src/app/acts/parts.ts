import type { partsActs } from "@/core/acts/parts/acts";
import { askForPart, askForParts, fitFromDonor, fitFromElsewhere, fitFromStock, fitSeveral, takeBack } from "@/data/bench/fit-part";
import { overrideSeat } from "@/data/bench/own-part";
import { wantInstead, wantKit } from "@/data/parts/quote-parts";
import type { RunsOf } from "./runs";

export const partsRuns: RunsOf<typeof partsActs> = {
  "want-instead": (ctx, input) => wantInstead(ctx, input.jobId, input.positionId, input.partTypeId),

  "use-donor-piece": (ctx, input) => fitFromDonor(ctx, input.jobId, input.positionId, input.donorPieceId),

  "foresee-kit": (ctx, input) => wantKit(ctx, input.jobId, input.kitId),

  use: (ctx, input) => fitFromStock(ctx, input.jobId, input.positionId),

  unuse: (ctx, input) => takeBack(ctx, input.jobId, input.positionId),

  need: (ctx, input) => askForPart(ctx, input.jobId, input.positionId),

  "need-several": (ctx, input) => askForParts(ctx, input.jobId, input.positionIds),

  "override-seat": (ctx, { jobId, positionId, number, name, size, material }) =>
    overrideSeat(ctx, jobId, positionId, number, { name, size, material }),

  "use-piece": (ctx, { jobId: id, positionId, also, priceMinor = 0, ...piece }) =>
    fitFromElsewhere(ctx, id, [positionId, ...also], { ...piece, priceMinor }),

  "use-several": (ctx, input) => fitSeveral(ctx, input.jobId, input.positionIds),
};
