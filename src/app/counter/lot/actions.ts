"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { parseMinor } from "@/core/money/money";
import { dragWishes } from "@/core/vocabulary/counter-lists";
import { type UseFactor, useFactors, waters } from "@/core/vocabulary/use";
import { openLot } from "@/data/counter/lots";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { keepSaid } from "@/data/promise/keep-said";
import { Refusal } from "@/data/store/context";
import type { Press } from "@/ui/act/press";

const keys = <T extends Record<string, string>>(list: T) => z.enum(Object.keys(list) as [keyof T & string, ...(keyof T & string)[]]);

const lot = defineAction({
  name: "open-lot",
  permission: "counter",
  input: z.object({
    name: z.string().trim().min(1, "Name the lot: the customer and the month will do.").max(80, "At most 80 letters."),
    customerId: z.string().regex(/^\d*$/),
    customerName: z.string().trim().max(80, "At most 80 letters."),
    modelId: z.string().min(1, "Choose the model.").max(60),
    water: z.enum(waters),
    tripsPerYear: z
      .string()
      .trim()
      .regex(/^\d{1,3}$/, "How many trips a year: a whole number up to 999."),
    life: z.array(keys(useFactors)).max(10),
    dragWish: keys(dragWishes),
    limit: z.string().trim().max(20),
    promisedOn: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    rows: z
      .array(
        z.object({
          serial: z.string().max(200),
          mark: z.string().max(200),
          complaint: z.string().max(500),
          condition: z.string().max(500),
        }),
      )
      .max(300),
  }),
  run: (ctx, form) => {
    const limitMinor = form.limit ? parseMinor(form.limit) : null;
    if (form.limit && limitMinor === null)
      throw new Refusal("limit", "An amount such as 60 or 59.50, or empty when every quote is to be asked for.", "limit");
    if (!form.customerId && !form.customerName)
      throw new Refusal("customer", "Whose reels are they? Choose a customer or type a new name.", "customerId");
    if (form.promisedOn < today()) throw new Refusal("past", "The promised day is past. Choose today or later.", "promisedOn");
    const taken = openLot(ctx, {
      ...form,
      customer: form.customerId ? { id: Number(form.customerId) } : { name: form.customerName },
      tripsPerYear: Number(form.tripsPerYear),
      life: form.life as UseFactor[],
      limitMinor,
    });
    if (!("faults" in taken)) {
      const ids = listJobsOfLot(ctx.db, taken.id).map(({ id }) => id);
      keepSaid(ctx, today(), ids);
    }
    return taken;
  },
});
/** Takes a lot in. @returns its id and tags, or the faults of its rows; then nothing was taken in. */
export async function takeLotIn(press: Press) {
  return lot(press);
}
