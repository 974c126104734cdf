import { z } from "zod";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { modelFileLimit } from "@/core/bring-in/table";

export const modelFileInput = z.object({ text: z.string().max(modelFileLimit, "The file has more than 5 MB.") });

export const partsFileInput = z.object({
  text: z.string().min(1, "The file is empty.").max(2_000_000, "The list has more than 2 MB: split it."),
  mapping: z.record(z.string().max(200), z.string().max(40)).default({}),
});

export const partKinds = Object.keys(kindWords) as [PartKind, ...PartKind[]];
