import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetWordsSchema } from "@/core/sheets/sheet-words";
import { sheetBuilt, sheetDoubts, sheetRows } from "./inputs";

/** Keeps a sheet as it was read; it waits, and nothing of it is in the Library yet. */
export const keepSheet = defineAct({
  name: "keep-sheet",
  permission: "bench",
  input: z.object({
    name: z.string().trim().min(1).max(120),
    ...sheetBuilt,
    rows: sheetRows,
    doubts: sheetDoubts,
    /** What it was read from, to be read again with other columns. */
    words: sheetWordsSchema.nullable(),
  }),
  size: "file",
  journals: ["sheet-read"],
  answer: answers<{ readonly id: number }>(),
});
