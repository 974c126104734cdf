import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { leftDryReasonIds } from "@/core/vocabulary/left-dry";

export const oilPoints = defineAct({
  name: "oil-points",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: z.array(z.string().min(1).max(60)).min(1).max(200),
    state: z.enum(["waiting", "oiled", "left-out"]),
    /** Why they were left out, where somebody says so. */
    why: z.enum(leftDryReasonIds).nullable().default(null),
  }),
  journals: ["points-oiled", "points-left-out", "points-undone"],
});
