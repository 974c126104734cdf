import { defineAct } from "@/core/acts/act";
import { step } from "@/core/acts/inputs";

export const stepUndone = defineAct({
  name: "step-undone",
  permission: "bench",
  input: step,
  journals: ["step-undone"],
});
