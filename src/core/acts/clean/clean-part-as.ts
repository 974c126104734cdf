import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";

export const cleanPartAs = defineAct({
  name: "clean-part-as",
  permission: "bench",
  input: z.object({ jobId, positionId: z.string().max(60), method: z.enum(cleanMethodIds).nullable() }),
  journals: ["cleaned-otherwise"],
});
