import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { typedSignedAmount } from "@/core/acts/act/typed";

export const jobLine = defineAct({
  name: "job-line",
  permission: "bench",
  input: z.object({
    jobId,
    words: z.string().trim().min(2, "Say what it is for.").max(120, "At most 120 characters."),
    priceMinor: typedSignedAmount("An amount such as 6.90, −5 to take off, or 0."),
  }),
  journals: ["line-added"],
  answer: answers<number>(),
});
