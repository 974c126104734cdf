import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** What hands did to several reels of a lot alike. */
export const lotHandsIds = ["strip", "clean", "build", "check"] as const;
export type LotHands = (typeof lotHandsIds)[number];

export const lotHands = defineAct({
  name: "lot-hands",
  permission: "bench",
  input: z.object({
    lotId: z.number().int().positive(),
    jobIds: z.array(z.number().int().positive()).min(1).max(100),
    what: z.enum(lotHandsIds),
  }),
  journals: ["part-off", "all-cleaned-by-hand", "step-done", "gate-passed"],
  /** How many reels it was done to, and why not to the others. */
  answer: answers<{ readonly done: number; readonly not: readonly { readonly jobId: number; readonly why: string }[] }>(),
});
