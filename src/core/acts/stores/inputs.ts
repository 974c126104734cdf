import { z } from "zod";
import { typedAmount, typedMaybeAmount, typedNumber, typedWords } from "@/core/acts/act/typed";
import { mostRows } from "@/core/bring-in/table";

export const supplierCard = {
  name: typedWords("A supplier has a name.", 60),
  postageMinor: typedAmount("What a parcel costs, such as 4.50, or 0."),
  leadDays: typedNumber("How many days until it comes: a whole number such as 5.", { min: 0, max: 365, whole: true }),
  freePostFromMinor: typedMaybeAmount("From what value the parcel is free, such as 50.00; empty where it never is.").optional(),
  smallestOrderMinor: typedMaybeAmount("Below what value nothing is sent, such as 10.00; empty where all is.").optional(),
  email: z.union([z.literal(""), z.email("A mail address such as orders@supplier.example, or empty.").max(200)]).default(""),
};

export const orderLineId = z.number().int();

export const piecesCame = z
  .number("Type how many came.")
  .int("Whole piecesCame only.")
  .max(100_000, "More than a hundred thousand: count again.");

export const priceListInput = z.object({
  supplierId: z.string().min(1).max(60),
  rows: z
    .array(z.object({ number: z.string().max(200), price: z.string().max(200), pack: z.string().max(200) }))
    .min(1, "There is no row in it.")
    .max(mostRows, `At most ${mostRows} rows at once.`),
});
