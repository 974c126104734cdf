import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const builtOtherwise = defineAct({
  name: "built-otherwise",
  permission: "bench",
  input: z.object({
    jobId,
    variantId: z.string().max(40),
    choiceId: z.string().max(40),
    /** Of this reel alone: its model stays as it is. */
    only: z.boolean().default(false),
  }),
  journals: ["model-built", "model-followed", "reel-built"],
});
