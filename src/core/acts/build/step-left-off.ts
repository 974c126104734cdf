import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const stepLeftOff = defineAct({
  name: "step-left-off",
  permission: "bench",
  input: step.extend({
    reason: z.string().trim().min(4, "Say why it is left off; the reason is printed in the report.").max(300, "At most 300 characters."),
  }),
  journals: ["part-left-out", "step-skipped"],
});
