import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount, typedNumber } from "@/core/acts/act/typed";
import { consumableIds } from "@/core/ordering/consumables";

export const openTin = defineAct({
  name: "open-tin",
  permission: "stores",
  input: z.object({
    product: z.enum(consumableIds, "Which product?"),
    words: z.string().trim().max(80, "At most 80 characters."),
    holds: typedNumber("What it holds: a number such as 50.", { min: 0.1, max: 100_000 }),
    priceMinor: typedAmount("What it cost, such as 8.90, or 0."),
    useBy: z.union([z.literal("").transform(() => null), z.iso.date("A day, or empty.")]),
  }),
  journals: ["tin-opened"],
});
