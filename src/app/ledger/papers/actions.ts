"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedAmount, typedMaybeAmount } from "@/core/acts/typed";
import { creditInvoice, takePayment } from "@/data/papers/papers";
import { Refusal } from "@/data/store/context";
import type { Press } from "@/ui/act/press";

const number = z.number().int().positive();
const paid = defineAction({
  name: "take-payment",
  permission: "counter",
  input: z.object({
    number,
    amount: typedAmount("An amount such as 40 or 39.50."),
    how: z.enum(["cash", "card", "transfer"]),
    onDay: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    back: z.boolean(),
  }),
  run: (ctx, { number: of, amount, back, ...rest }) => {
    if (amount === 0) throw new Refusal("nothing", "How much? An amount above nothing.", "amount");
    takePayment(ctx, of, { ...rest, amountMinor: back ? -amount : amount });
  },
});
/** Notes a payment of an invoice, or one back. */
export async function payInvoice(press: Press) {
  return paid(press);
}

const credit = defineAction({
  name: "credit-invoice",
  permission: "counter",
  input: z.object({
    number,
    amount: typedMaybeAmount(),
    words: z.string().trim().min(1, "What for? A word that is printed on it.").max(120, "At most 120 letters."),
  }),
  run: (ctx, { number: of, amount, words }) => creditInvoice(ctx, of, { amountMinor: amount ?? null, words }),
});
/** Takes something of an invoice back by a credit note. */
export async function takeBack(press: Press) {
  return credit(press);
}
