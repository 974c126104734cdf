import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const allCleanedByHand = defineAct({
  name: "all-cleaned-by-hand",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["all-cleaned-by-hand"],
});
