import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { sheetId } from "./inputs";

/** Forgets a sheet that nothing is made of. */
export const dropSheet = defineAct({
  name: "drop-sheet",
  permission: "bench",
  input: z.object({ sheetId }),
  journals: ["sheet-forgotten"],
});
