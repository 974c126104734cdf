import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import type { Taken } from "@/core/measures/taken";
import { measureInput } from "@/core/measures/taken";

export const measure = defineAct({
  name: "measure",
  permission: "bench",
  input: z.object({
    jobId,
    phase: z.enum(["before", "after"]),
    positionId: z.string().min(1).max(60).nullable(),
    name: z.string().max(80, "At most 80 characters."),
    input: measureInput,
  }),
  journals: ["measured"],
  answer: answers<Taken>(),
});
