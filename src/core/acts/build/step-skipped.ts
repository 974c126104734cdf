import { defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const stepSkipped = defineAct({
  name: "step-skipped",
  permission: "bench",
  input: step,
  journals: ["step-skipped"],
});
