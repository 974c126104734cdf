import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const stepsDone = defineAct({
  name: "steps-done",
  permission: "bench",
  input: z.object({
    jobId,
    operationIds: z.array(z.string().min(1).max(80)).min(1).max(120),
    reason: z.string().trim().max(300, "At most 300 characters.").default(""),
  }),
  journals: ["step-done", "gate-passed"],
});
