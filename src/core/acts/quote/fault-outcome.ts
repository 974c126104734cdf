import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { faultOutcomeIds } from "@/core/vocabulary/fault-outcomes";

export const faultOutcome = defineAct({
  name: "fault-outcome",
  permission: "bench",
  input: z.object({ jobId, faultId: z.string().max(80), outcome: z.enum(faultOutcomeIds).nullable() }),
  journals: ["fault-outcome"],
});
