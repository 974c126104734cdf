import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

/** The job goes on with its model as it is today. */
export const followModel = defineAct({
  name: "follow-model",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["model-followed"],
});
