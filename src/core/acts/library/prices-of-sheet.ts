import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetSeen } from "./inputs";

/** Takes a newer list's prices and superseded numbers into the catalogue; nothing else of it. */
export const pricesOfSheet = defineAct({
  name: "prices-of-sheet",
  permission: "bench",
  input: z.object(sheetSeen),
  journals: ["part-facts-changed", "sheet-forgotten"],
  answer: answers<{ readonly parts: number }>(),
});
