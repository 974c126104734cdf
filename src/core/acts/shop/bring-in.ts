import { answers, defineAct } from "@/core/acts/act/act";
import type { RowFault } from "@/core/bring-in/kinds";
import { asBrought } from "./inputs";

export const bringIn = defineAct({
  name: "bring-in",
  permission: "shop",
  input: asBrought,
  size: "file",
  journals: ["brought-in"],
  answer: answers<
    { readonly id: number; readonly left: readonly RowFault[] } | { readonly faults: readonly RowFault[] } | { readonly noCopy: true }
  >(),
});
