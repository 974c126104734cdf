import { answers, defineAct } from "@/core/acts/act/act";
import { partsFileInput } from "./inputs";

export const bringPartsIn = defineAct({
  name: "bring-parts-in",
  permission: "stores",
  input: partsFileInput,
  size: "file",
  journals: ["parts-added"],
  answer: answers<{ readonly count: number }>(),
});
