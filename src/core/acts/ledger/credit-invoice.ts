import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { typedMaybeAmount } from "@/core/acts/act/typed";
import { paperNumber } from "./inputs";

/** Takes something of an invoice back by a credit note. */
export const creditInvoice = defineAct({
  name: "credit-invoice",
  permission: "counter",
  input: z.object({
    number: paperNumber,
    amount: typedMaybeAmount(),
    words: z.string().trim().min(1, "Enter the reason; it is printed on the credit note.").max(120, "At most 120 letters."),
  }),
  journals: ["credit-made"],
  answer: answers<number>(),
});
