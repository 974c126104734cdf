import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";

export const cleanAgain = defineAct({
  name: "clean-again",
  permission: "bench",
  input: z.object({ jobId, method: z.enum(cleanMethodIds).nullable() }),
  journals: ["cleaning-undone"],
});
