import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const answerLot = defineAct({
  name: "answer-lot",
  permission: "counter",
  input: z.object({
    lotId: z.number().int().positive(),
    accepted: z.boolean(),
    words: z.string().trim().min(2, "Write what the customer said, in a few words.").max(500, "At most 500 characters."),
  }),
  journals: ["quote-agreed", "quote-refused"],
  answer: answers<{ readonly reels: number }>(),
});
