"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { idFor } from "@/core/anatomy/draft";
import { grades, interchangeSetSchema } from "@/core/interchange/interchange";
import { kitSchema } from "@/core/interchange/kit";
import { seenSchema } from "@/core/seen";
import { listInterchangeSets, listKits, removeInterchangeSet, saveInterchangeSet, saveKit } from "@/data/catalogue/interchange";
import { findPartByNumber } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/store/context";
import type { Press } from "@/ui/act/press";

const partId = (ctx: Context, number: string): string => {
  const part = findPartByNumber(ctx.db, number);
  if (!part)
    throw new Refusal(
      "no-part",
      number.trim() ? `No part in the catalogue has the number ${number}. Add it first.` : "A line has neither a model nor a part number.",
      null,
      number.trim() ? { to: "new-part", number } : null,
    );
  return part.id;
};

const set = defineAction({
  name: "save-interchange-set",
  permission: "bench",
  input: z.object({
    id: z.string().max(60),
    isNew: z.boolean(),
    seen: seenSchema,
    name: z.string().trim().min(1, "What is shared?").max(80, "At most 80 letters."),
    mark: z.string().trim().max(160, "At most 160 letters."),
    roles: z.array(z.string().max(60)).min(1, "Choose at least one role of part."),
    rows: z
      .array(
        z.object({
          who: z.string().max(60),
          number: z.string().max(40),
          grade: z.enum([...grades, "not"]),
          note: z.string().trim().max(200),
        }),
      )
      .max(100),
  }),
  run: (ctx, { id, isNew, seen, rows, ...rest }) => {
    const members = rows.flatMap(({ who, number, grade, note }) =>
      grade === "not" ? [] : [{ ...(who ? { modelId: who } : { partTypeId: partId(ctx, number) }), grade, note }],
    );
    const exclusions = rows.filter((row) => row.grade === "not").map(({ who, note }) => ({ modelId: who, why: note }));
    const parsed = interchangeSetSchema.safeParse({
      ...rest,
      id: isNew
        ? idFor(
            rest.name,
            listInterchangeSets(ctx.db).map((one) => one.id),
          )
        : id,
      members,
      exclusions,
    });
    if (!parsed.success) throw new Refusal("set", parsed.error.issues[0]?.message ?? "The set does not fit together.");
    saveInterchangeSet(ctx, parsed.data, seen);
  },
});
export async function saveSharedSet(press: Press) {
  return set(press);
}

const remove = defineAction({
  name: "remove-interchange-set",
  permission: "bench",
  input: z.object({ id: z.string().max(60) }),
  run: (ctx, { id }) => removeInterchangeSet(ctx, id),
});
export async function removeSharedSet(press: Press) {
  return remove(press);
}

const kit = defineAction({
  name: "save-kit",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    name: z.string().trim().min(1, "What does it convert to?").max(80, "At most 80 letters."),
    note: z.string().trim().max(300, "At most 300 letters."),
    caution: z.string().trim().max(200, "At most 200 letters."),
    rows: z
      .array(z.object({ positionId: z.string().max(60), number: z.string().max(40) }))
      .min(1)
      .max(60),
  }),
  run: (ctx, { rows, ...rest }) => {
    const nowhere = rows.find(({ positionId }) => !positionId);
    if (nowhere)
      throw new Refusal("kit", nowhere.number ? `Choose the seat of ${nowhere.number}.` : "Choose a seat for each part.", "seats");
    const id = idFor(
      `${rest.modelId} ${rest.name}`,
      listKits(ctx.db, rest.modelId).map((one) => one.id),
    );
    saveKit(
      ctx,
      kitSchema.parse({ ...rest, id, seats: rows.map(({ positionId, number }) => ({ positionId, partTypeId: partId(ctx, number) })) }),
    );
  },
});
export async function saveModelKit(press: Press) {
  return kit(press);
}
