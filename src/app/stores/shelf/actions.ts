"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { typedAmount, typedNumber } from "@/core/acts/typed";
import { consumableIds } from "@/core/ordering/consumables";
import { endTin, openTin } from "@/data/stores/consumables";
import type { Press } from "@/ui/act/press";

const opening = defineAction({
  name: "open-tin",
  permission: "stores",
  input: z.object({
    product: z.enum(consumableIds, "Which product?"),
    words: z.string().trim().max(80, "At most 80 characters."),
    holds: typedNumber("What it holds: a number such as 50.", { min: 0.1, max: 100_000 }),
    priceMinor: typedAmount("What it cost, such as 8.90, or 0."),
    useBy: z.union([z.literal("").transform(() => null), z.iso.date("A day, or empty.")]),
  }),
  run: (ctx, input) => openTin(ctx, input, today()),
});
export async function openNewTin(press: Press) {
  return opening(press);
}

const ending = defineAction({
  name: "end-tin",
  permission: "stores",
  input: z.object({ id: z.number().int(), empty: z.boolean() }),
  run: (ctx, { id, empty }) => endTin(ctx, id, empty, today()),
});
export async function endOpenTin(press: Press) {
  return ending(press);
}
