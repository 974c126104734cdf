import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const jobLineRemoved = defineAct({
  name: "job-line-removed",
  permission: "bench",
  input: z.object({ jobId, lineId: z.number().int().positive() }),
  journals: ["line-removed"],
});
