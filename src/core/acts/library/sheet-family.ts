import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { sheetBuilt, sheetRows, sheetSeen } from "./inputs";

/** Reads its rows again as another family's. */
export const sheetFamily = defineAct({
  name: "sheet-family",
  permission: "bench",
  input: z.object({ ...sheetSeen, ...sheetBuilt, rows: sheetRows }),
  size: "file",
  journals: ["sheet-checked"],
});
