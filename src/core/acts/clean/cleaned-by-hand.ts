import { defineAct } from "@/core/acts/act/act";
import { cleanGroup } from "./inputs";

export const cleanedByHand = defineAct({
  name: "cleaned-by-hand",
  permission: "bench",
  input: cleanGroup,
  journals: ["cleaned-by-hand"],
});
