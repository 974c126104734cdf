import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const answerByCodes = defineAct({
  name: "answer-by-codes",
  permission: "counter",
  input: z.object({
    jobId,
    codes: z.string().trim().min(3, "Type the codes the customer gives.").max(400, "At most 400 characters."),
    words: z.string().trim().max(400, "At most 400 characters."),
  }),
  journals: ["quote-agreed", "quote-refused"],
  answer: answers<{ readonly totalMinor: number }>(),
});
