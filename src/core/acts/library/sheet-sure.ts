import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetSeen } from "./inputs";

/** The rows nothing is in doubt of are as they were read. */
export const sheetSure = defineAct({
  name: "sheet-sure",
  permission: "bench",
  input: z.object(sheetSeen),
  journals: ["sheet-checked"],
  answer: answers<{ readonly rows: number }>(),
});
