"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { mostRows } from "@/core/bring-in/table";
import { tellPriceList } from "@/core/ordering/price-list";
import { lookAtPriceList, takePriceList } from "@/data/stores/price-lists";
import type { Press } from "@/ui/act/press";

const list = z.object({
  supplierId: z.string().min(1).max(60),
  rows: z
    .array(z.object({ number: z.string().max(200), price: z.string().max(200), pack: z.string().max(200) }))
    .min(1, "There is no row in it.")
    .max(mostRows, `At most ${mostRows} rows at once.`),
});

const look = defineAction({
  name: "look-at-price-list",
  permission: "stores",
  input: list,
  run: (ctx, { supplierId, rows }) => tellPriceList(lookAtPriceList(ctx.db, supplierId, rows)),
});
export async function lookAtPrices(press: Press) {
  return look(press);
}

const take = defineAction({
  name: "take-price-list",
  permission: "stores",
  input: list,
  run: (ctx, { supplierId, rows }) => takePriceList(ctx, supplierId, rows),
});
export async function takePrices(press: Press) {
  return take(press);
}
