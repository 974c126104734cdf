import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount } from "@/core/acts/act/typed";
import { paperNumber } from "./inputs";

/** Notes a payment of an invoice, or one back. */
export const takePayment = defineAct({
  name: "take-payment",
  permission: "counter",
  input: z.object({
    number: paperNumber,
    amount: typedAmount("An amount such as 40 or 39.50."),
    how: z.enum(["cash", "card", "transfer"]),
    onDay: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    back: z.boolean(),
  }),
  journals: ["payment-taken"],
});
