import { answers, defineAct } from "@/core/acts/act/act";
import { partsFileInput } from "./inputs";

/** A parts list as it was read, with what is wrong in it. */
export interface PartsPreview {
  readonly rows: number;
  readonly columns: readonly { readonly column: string; readonly meaning: string }[];
  readonly ignored: readonly string[];
  readonly faults: readonly { readonly row: number; readonly column: string; readonly message: string }[];
  readonly parts: readonly { readonly number: string; readonly name: string; readonly sizes: string }[];
}

export const previewParts = defineAct({
  name: "preview-parts",
  permission: "stores",
  input: partsFileInput,
  size: "file",
  journals: [],
  answer: answers<PartsPreview>(),
});
