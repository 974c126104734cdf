import type { benchActs } from "@/core/acts/bench/acts";
import { buildOtherwise, followModel } from "@/data/bench/built-otherwise";
import { chooseEdition } from "@/data/bench/choose-edition";
import { lotHands } from "@/data/bench/lot-hands";
import { orderForLot } from "@/data/bench/lot-order";
import { keepMeasure } from "@/data/bench/measures";
import { takeDown } from "@/data/bench/taken-down";
import type { RunsOf } from "./runs";

export const benchRuns: RunsOf<typeof benchActs> = {
  "built-otherwise": (ctx, input) => buildOtherwise(ctx, input.jobId, input.variantId, input.choiceId, input.only),

  "follow-model": (ctx, input) => followModel(ctx, input.jobId),

  "choose-edition": (ctx, input) => chooseEdition(ctx, input.jobId, input.editionId),

  "lot-hands": (ctx, input) => lotHands(ctx, input.lotId, input.jobIds, input.what),

  "lot-order": (ctx, input) => orderForLot(ctx, input.lotId),

  measure: (ctx, input) => keepMeasure(ctx, input),

  "taken-down": (ctx, input) => takeDown(ctx, input.jobId),
};
