import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const placeOrder = defineAct({
  name: "place-order",
  permission: "stores",
  input: z.object({
    baskets: z
      .array(
        z.object({
          supplierId: z.string().min(1, "Choose a supplier.").max(60),
          lines: z
            .array(
              z.object({
                partTypeId: z.string().min(1).max(60),
                packs: z.number().int().min(1).max(100_000),
                priceMinor: z.number().int().min(0),
              }),
            )
            .min(1)
            .max(500),
          gets: z.array(z.object({ needId: z.number().int(), partTypeId: z.string().min(1).max(60) })).max(2000),
        }),
      )
      .min(1, "There is nothing to order.")
      .max(60),
  }),
  size: "file",
  journals: ["order-placed"],
  answer: answers<{ readonly orders: number }>(),
});
