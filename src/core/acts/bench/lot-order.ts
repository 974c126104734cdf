import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** The new parts that a lot's reels want and no bin has go on the needs list, all of them by one press. */
export const lotOrder = defineAct({
  name: "lot-order",
  permission: "bench",
  input: z.object({ lotId: z.number().int().positive() }),
  journals: ["need-added"],
  /** How many are wanted now, how many lie in the bins for it, and why not for the others. */
  answer: answers<{
    readonly wanted: number;
    readonly inBins: number;
    readonly not: readonly { readonly jobId: number; readonly why: string }[];
  }>(),
});
