import { z } from "zod";
import { typedAmount, typedMaybeAmount, typedNumber, typedWords } from "@/core/acts/act/typed";
import { mostRows } from "@/core/bring-in/table";

export const supplierCard = {
  name: typedWords("Enter the supplier's name.", 60),
  postageMinor: typedAmount("Postage per parcel, such as 4.50, or 0."),
  leadDays: typedNumber("Days to delivery: a whole number such as 5.", { min: 0, max: 365, whole: true }),
  freePostFromMinor: typedMaybeAmount("Order value for free postage, such as 50.00; blank if never.").optional(),
  smallestOrderMinor: typedMaybeAmount("Minimum order value, such as 10.00; blank if none.").optional(),
  email: z.union([z.literal(""), z.email("A mail address such as orders@supplier.example, or empty.").max(200)]).default(""),
};

export const orderLineId = z.number().int();

export const piecesCame = z
  .number("Type how many came.")
  .int("Whole pieces only.")
  .max(100_000, "More than a hundred thousand: count again.");

export const priceListInput = z.object({
  supplierId: z.string().min(1).max(60),
  rows: z
    .array(z.object({ number: z.string().max(200), price: z.string().max(200), pack: z.string().max(200) }))
    .min(1, "There is no row in it.")
    .max(mostRows, `At most ${mostRows} rows at once.`),
});
