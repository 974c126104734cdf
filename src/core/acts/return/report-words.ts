import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const reportWords = defineAct({
  name: "report-words",
  permission: "bench",
  input: z.object({
    jobId,
    answer: z.string().trim().max(2000, "At most 2,000 characters."),
    ourMistake: z.string().trim().max(1000, "At most 1,000 characters."),
    seen: z.string().nullable().default(null),
  }),
  journals: ["report-words"],
});
