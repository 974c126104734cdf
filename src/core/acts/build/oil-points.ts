import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const oilPoints = defineAct({
  name: "oil-points",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: z.array(z.string().min(1).max(60)).min(1).max(200),
    state: z.enum(["waiting", "oiled", "left-out"]),
  }),
  journals: ["points-oiled", "points-left-out", "points-undone"],
});
