import { defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const stepUndone = defineAct({
  name: "step-undone",
  permission: "bench",
  input: step,
  journals: ["step-undone"],
});
