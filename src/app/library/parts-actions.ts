"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedAmount, typedWords } from "@/core/acts/typed";
import { partIdOf } from "@/core/anatomy/identifier";
import { kindWords, type PartKind, shapeSchema, sizeLabel, sizeWords } from "@/core/anatomy/shapes";
import { partTypeSchema } from "@/core/anatomy/types";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { addPartType, isPartKnown, listPiece, retirePart, setPartFacts } from "@/data/catalogue/part-types";
import { Refusal } from "@/data/store/context";
import { readPartsCsv } from "@/formats/parts-csv";
import type { Press } from "@/ui/act/press";

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

const kinds = Object.keys(kindWords) as [PartKind, ...PartKind[]];
const add = defineAction({
  name: "add-part",
  permission: "stores",
  input: z.object({
    number: typedWords("A part has a number.", 40),
    name: typedWords("A part has a name.", 80),
    kind: z.enum(kinds),
    material: typedWords("What it is made of, such as stainless steel.", 40),
    price: typedAmount("What a piece costs the customer, such as 3.40."),
    thread: z.enum(["", "right", "left"]),
    /** By size, as typed; a size of another kind is passed over. */
    sizes: z.record(z.string().max(40), z.string().max(20)),
  }),
  run: (ctx, { number, name, kind, material, price, thread, sizes }) => {
    const id = partIdOf(number);
    if (!id) throw new Refusal("number", "A number has letters or digits.", "number");
    const shape: Record<string, unknown> = { ...typicalShapes[kind] };
    for (const [key, usual] of Object.entries(typicalShapes[kind])) {
      const typed = sizes[key]?.trim();
      if (key === "kind" || typed === undefined) continue;
      const value = typeof usual === "number" ? Number(typed.replace(",", ".")) : typed;
      const checked = shapeSchema.safeParse({ ...typicalShapes[kind], [key]: value });
      if (typed === "" || !checked.success)
        throw new Refusal("size", `${sizeLabel(key)}: a size is above 0 and up to 400 mm, a count a whole number.`, `sizes.${key}`);
      shape[key] = value;
    }
    addPartType(
      ctx,
      partTypeSchema.parse({ id, number, name, role: kind, shape, material, priceMinor: price, thread: thread || undefined }),
    );
    return { id };
  },
});
export async function addNewPart(press: Press) {
  return add(press);
}

const facts = defineAction({
  name: "part-facts",
  permission: "stores",
  input: z.object({
    id: z.string().max(60),
    rowVersion: z.number().int(),
    name: typedWords("A part has a name.", 80),
    priceMinor: typedAmount("What a piece costs the customer, such as 3.40."),
    supersededBy: z.string().trim().max(40, "At most 40 characters."),
    hazard: z.string().trim().max(200, "At most 200 characters."),
  }),
  run: (ctx, { id, rowVersion, supersededBy, hazard, ...rest }) =>
    setPartFacts(ctx, id, { ...rest, supersededBy: supersededBy || null, hazard: hazard || null }, rowVersion),
});
export async function savePartFacts(press: Press) {
  return facts(press);
}

const use = defineAction({
  name: "retire-part",
  permission: "stores",
  input: z.object({ id: z.string().max(60), retired: z.boolean() }),
  run: (ctx, { id, retired }) => retirePart(ctx, id, retired),
});
export async function retirePartCard(press: Press) {
  return use(press);
}

const listed = defineAction({
  name: "list-piece",
  permission: "bench",
  input: z.object({ id: z.string().max(80), number: typedWords("Which number? One of your own will do.", 40) }),
  run: (ctx, input) => listPiece(ctx, input.id, input.number),
});
export async function listPieceInCatalogue(press: Press) {
  return listed(press);
}
