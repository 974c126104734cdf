"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedAmount } from "@/core/acts/typed";
import { giveUpLine, paidOtherwise, putDownBad, receive, receiveOrder, settleBad } from "@/data/stores/receiving";
import type { Press } from "@/ui/act/press";

const orderLineId = z.number().int();
const pieces = z.number("Type how many came.").int("Whole pieces only.").max(100_000, "More than a hundred thousand: count again.");

const some = defineAction({
  name: "receive",
  permission: "stores",
  input: z.object({ orderLineId, quantity: pieces, more: z.boolean() }),
  run: (ctx, { orderLineId: line, quantity, more }) => receive(ctx, line, quantity, { more }),
});
export async function receiveLine(press: Press) {
  return some(press);
}

const all = defineAction({
  name: "receive-order",
  permission: "stores",
  input: z.object({ orderId: z.number().int() }),
  run: (ctx, { orderId }) => receiveOrder(ctx, orderId),
});
export async function receiveWholeOrder(press: Press) {
  return all(press);
}

const bad = defineAction({
  name: "bad-piece",
  permission: "stores",
  input: z.object({
    orderLineId,
    kind: z.enum(["wrong", "broken"]),
    pieces,
    words: z.string().trim().max(200, "At most 200 characters."),
  }),
  run: (ctx, { orderLineId: line, ...input }) => putDownBad(ctx, line, input),
});
export async function putDownBadPieces(press: Press) {
  return bad(press);
}

const settle = defineAction({
  name: "settle-bad-piece",
  permission: "stores",
  input: z.discriminatedUnion("state", [
    z.object({ badPieceId: z.number().int(), state: z.literal("sent-back") }),
    z.object({ badPieceId: z.number().int(), state: z.literal("replaced") }),
    z.object({
      badPieceId: z.number().int(),
      state: z.literal("credited"),
      creditMinor: typedAmount("What was credited, such as 3.40, or 0."),
    }),
  ]),
  run: (ctx, { badPieceId, ...to }) => settleBad(ctx, badPieceId, to),
});
export async function settleBadPieces(press: Press) {
  return settle(press);
}

const giveUp = defineAction({
  name: "give-up-line",
  permission: "stores",
  input: z.object({ orderLineId }),
  run: (ctx, { orderLineId: line }) => giveUpLine(ctx, line),
});
export async function giveUpOrderLine(press: Press) {
  return giveUp(press);
}

const paid = defineAction({
  name: "line-paid-otherwise",
  permission: "stores",
  input: z.object({ orderLineId, paidMinor: typedAmount("What the line was billed at, such as 12.40.") }),
  run: (ctx, { orderLineId: line, paidMinor }) => paidOtherwise(ctx, line, paidMinor),
});
export async function linePaidOtherwise(press: Press) {
  return paid(press);
}
