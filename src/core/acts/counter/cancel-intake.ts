import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const cancelIntake = defineAct({
  name: "cancel-intake",
  permission: "counter",
  input: z.object({ jobId }),
  journals: ["intake-cancelled"],
});
