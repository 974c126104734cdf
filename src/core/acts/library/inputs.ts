import { z } from "zod";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { modelFileLimit } from "@/core/bring-in/table";
import { sheetRowSchema } from "@/core/sheets/kept-sheet";
import { familyIds } from "@/core/vocabulary/families";

export const modelFileInput = z.object({ text: z.string().max(modelFileLimit, "The file has more than 5 MB.") });

export const partsFileInput = z.object({
  text: z.string().min(1, "The file is empty.").max(2_000_000, "The list has more than 2 MB: split it."),
  mapping: z.record(z.string().max(200), z.string().max(40)).default({}),
});

export const partKinds = Object.keys(kindWords) as [PartKind, ...PartKind[]];

export const sheetId = z.number().int().positive();
/** The sheet as it was on the page: its row version. */
export const sheetSeen = { sheetId, seen: z.number().int() };
export const sheetRows = z.array(sheetRowSchema).min(1, "There is no row in it.").max(400, "At most 400 rows.");
export const sheetDoubts = z.array(z.string().max(300)).max(20);
export const sheetBuilt = { family: z.enum(familyIds), chosen: z.record(z.string().max(40), z.string().max(40)) };
