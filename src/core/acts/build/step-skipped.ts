import { defineAct } from "@/core/acts/act";
import { step } from "@/core/acts/inputs";

export const stepSkipped = defineAct({
  name: "step-skipped",
  permission: "bench",
  input: step,
  journals: ["step-skipped"],
});
