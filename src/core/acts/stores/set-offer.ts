import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount, typedMaybeAmount, typedNumber } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";

export const setOffer = defineAct({
  name: "set-offer",
  permission: "stores",
  input: z.object({
    partTypeId: z.string().max(60),
    supplierId: z.string().min(1, "Choose the supplier.").max(60),
    priceMinor: typedAmount("What it costs there, such as 3.40."),
    pack: typedNumber("How many pieces for that price: a whole number from 1.", { min: 1, max: 10_000, whole: true }),
    breakFrom: z.union([
      z.literal("").transform(() => undefined),
      typedNumber("From how many it is cheaper: a whole number from 2, or empty.", { min: 2, max: 10_000, whole: true }),
    ]),
    breakPriceMinor: typedMaybeAmount("What one costs then, such as 3.10, or empty."),
    /** The offers the form stood under, by supplier. */
    seen: z.record(z.string().max(60), seenSchema),
  }),
  journals: ["offer-set"],
});
