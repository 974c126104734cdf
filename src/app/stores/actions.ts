"use server";
import { z } from "zod";
import { placeOrder, receive, sendWaitingOrders, withdrawNeed } from "@/data/orders";
import { countBin } from "@/data/stock";
import { simulatedSupplierDesk } from "@/devices/supplier-desk";
import type { Press } from "@/ui/act/press";
import { defineAction, today } from "../server";

const place = defineAction({
  name: "place-order",
  permission: "stores",
  input: z.object({
    supplierId: z.string().min(1, "Choose a supplier.").max(60),
    needIds: z.array(z.number().int()).min(1, "Tick at least one need.").max(500),
  }),
  run: (ctx, input) => placeOrder(ctx, input.supplierId, input.needIds, today()),
  afterwards: (db) => sendWaitingOrders(db, simulatedSupplierDesk),
});
export async function placeSupplierOrder(press: Press) {
  return place(press);
}

const take = defineAction({
  name: "receive",
  permission: "stores",
  input: z.object({ orderLineId: z.number().int(), quantity: z.number("Type how many came.").int("Whole pieces only.") }),
  run: (ctx, input) => receive(ctx, input.orderLineId, input.quantity),
});
export async function receiveLine(press: Press) {
  return take(press);
}

const withdraw = defineAction({
  name: "withdraw-need",
  permission: "stores",
  input: z.object({ needId: z.number().int() }),
  run: (ctx, input) => withdrawNeed(ctx, input.needId),
});
export async function withdrawOpenNeed(press: Press) {
  return withdraw(press);
}

const count = defineAction({
  name: "count-bin",
  permission: "stores",
  input: z.object({
    partTypeId: z.string().max(60),
    count: z
      .number("Type how many lie in the bin.")
      .int("A bin holds whole pieces.")
      .min(0, "A bin cannot hold less than nothing.")
      .max(100_000, "More than a hundred thousand: count again."),
  }),
  run: (ctx, input) => countBin(ctx, input.partTypeId, input.count),
});
export async function countStock(press: Press) {
  return count(press);
}
