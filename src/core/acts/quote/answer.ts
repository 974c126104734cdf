import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const answer = defineAct({
  name: "answer",
  permission: "counter",
  input: z.object({
    jobId,
    accepted: z.boolean(),
    totalMinor: z.number().int(),
    words: z.string().trim().min(2, "Write what the customer said, in a few words.").max(500, "At most 500 characters."),
  }),
  journals: ["quote-agreed", "quote-refused"],
});
