import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetBuilt, sheetRows } from "./inputs";

/** Keeps a sheet as it was read; it waits, and nothing of it is in the Library yet. */
export const keepSheet = defineAct({
  name: "keep-sheet",
  permission: "bench",
  input: z.object({
    name: z.string().trim().min(1).max(120),
    ...sheetBuilt,
    rows: sheetRows,
    doubts: z.array(z.string().max(300)).max(20),
  }),
  size: "file",
  journals: ["sheet-read"],
  answer: answers<{ readonly id: number }>(),
});
