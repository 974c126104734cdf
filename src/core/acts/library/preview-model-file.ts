import { answers, defineAct } from "@/core/acts/act/act";
import type { AnatomyChange } from "@/core/anatomy/compare-anatomies";
import { modelFileInput } from "./inputs";

/** What a model file would add or change. */
export interface ModelPreview {
  readonly name: string;
  readonly seats: number;
  readonly known: boolean;
  readonly changes: readonly AnatomyChange[];
}

export const previewModelFile = defineAct({
  name: "preview-model-file",
  permission: "bench",
  input: modelFileInput,
  size: "file",
  journals: [],
  answer: answers<ModelPreview>(),
});
