import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { typedSignedAmount } from "@/core/acts/act/typed";

export const correctJob = defineAct({
  name: "correct-job",
  permission: "counter",
  input: z.object({
    jobId,
    words: z.string().trim().min(4, "Say what was wrong, or what happened later.").max(500, "At most 500 characters."),
    amountMinor: typedSignedAmount("An amount such as 12.50, or -12.50 taken off; empty for none."),
    paidBy: z.union([z.literal("").transform(() => null), z.enum(["cash", "card", "transfer"])]),
  }),
  journals: ["job-corrected"],
});
