import type { lotActs } from "@/core/acts/lot/acts";
import { answerLot } from "@/data/counter/lots";
import { closeLot } from "@/data/hand-back/returns";
import type { RunsOf } from "./runs";

export const lotRuns: RunsOf<typeof lotActs> = {
  "answer-lot": (ctx, { lotId, ...said }) => answerLot(ctx, lotId, said),

  "close-lot": (ctx, { lotId, signedBy, ...noted }) => closeLot(ctx, lotId, signedBy, noted),
};
