import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const leaveOut = defineAct({
  name: "leave-out",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: z.array(z.string().min(1).max(60)).min(1).max(200),
    reason: z.string().trim().min(4, "Say why it stays out; the reason is printed in the report.").max(300, "At most 300 characters."),
  }),
  journals: ["part-left-out"],
});
