import { answers, defineAct } from "@/core/acts/act/act";
import { modelFileInput } from "./inputs";

export const bringModelIn = defineAct({
  name: "bring-model-in",
  permission: "bench",
  input: modelFileInput,
  size: "file",
  journals: ["model-version-added"],
  answer: answers<{ readonly id: string; readonly number: number }>(),
});
