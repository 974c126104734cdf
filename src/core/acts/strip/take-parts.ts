import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";
import { seats } from "./inputs";

export const takeParts = defineAct({
  name: "take-parts",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: seats,
    absent: z.array(z.string().max(60)).max(60).default([]),
    more: z.string().trim().max(160).default(""),
  }),
  journals: [],
  answer: answers<{ readonly well: number }>(),
});
