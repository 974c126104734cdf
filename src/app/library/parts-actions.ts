"use server";
import { z } from "zod";
import { sizeWords } from "@/core/anatomy/shapes";
import { Refusal } from "@/data/context";
import { addPartType, isPartKnown } from "@/data/models";
import { readPartsCsv } from "@/formats/parts-csv";
import type { Press } from "@/ui/act/press";
import { defineAction } from "../server";

const fileInput = z.object({
  text: z.string().min(1, "The file is empty.").max(2_000_000, "The list has more than 2 MB: split it."),
  mapping: z.record(z.string().max(200), z.string().max(40)).default({}),
});

const preview = defineAction({
  name: "preview-parts",
  permission: "stores",
  input: fileInput,
  run: (ctx, { text, mapping }) => {
    const { parts, ...read } = readPartsCsv(text, (part) => isPartKnown(ctx.db, part), mapping);
    return { ...read, parts: parts.map((part) => ({ number: part.number, name: part.name, sizes: sizeWords(part.shape) })) };
  },
});
export async function previewParts(press: Press) {
  return preview(press);
}

const bring = defineAction({
  name: "bring-parts-in",
  permission: "stores",
  input: fileInput,
  run: (ctx, { text, mapping }) => {
    const { parts, faults } = readPartsCsv(text, (part) => isPartKnown(ctx.db, part), mapping);
    if (faults.length) throw new Refusal("faults", `Row ${faults[0]!.row}, ${faults[0]!.column}: ${faults[0]!.message} Nothing was taken.`);
    for (const part of parts) addPartType(ctx, part);
    return { count: parts.length };
  },
});
export async function bringParts(press: Press) {
  return bring(press);
}
