import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { ownHeaderSchema } from "@/core/sheets/sheet-words";
import { sheetBuilt, sheetDoubts, sheetRows, sheetSeen } from "./inputs";

/** Reads its list again with the columns somebody set; the headers that were named by it are known from then on. */
export const sheetColumns = defineAct({
  name: "sheet-columns",
  permission: "bench",
  input: z.object({ ...sheetSeen, ...sheetBuilt, rows: sheetRows, doubts: sheetDoubts, headers: z.array(ownHeaderSchema).max(24) }),
  size: "file",
  journals: ["sheet-checked"],
});
