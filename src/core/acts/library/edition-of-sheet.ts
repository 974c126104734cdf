import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetSeen } from "./inputs";

const year = z
  .number("A year, such as 1962.")
  .int("A year, such as 1962.")
  .min(1850, "A year, such as 1962.")
  .max(2200, "A year, such as 1962.")
  .nullable();

/** Makes a sheet of another year an edition of a model there is: the parts that differ, by their seats. */
export const editionOfSheet = defineAct({
  name: "edition-of-sheet",
  permission: "bench",
  input: z.object({
    ...sheetSeen,
    modelId: z.string().max(60),
    /** The model's version on the page. */
    baseNumber: z.number().int().positive(),
    name: z.string().trim().min(1, "Name this edition, for example the years it was made.").max(60, "At most 60 letters."),
    before: z.string().trim().max(60, "At most 60 letters."),
    fromYear: year,
    mark: z.string().trim().max(160, "At most 160 letters."),
  }),
  journals: ["model-version-added"],
  answer: answers<{ readonly id: string; readonly parts: number }>(),
});
