import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { discountClassIds } from "@/core/quote/discounts";
import { customerCard } from "./inputs";

export const saveCustomer = defineAct({
  name: "save-customer",
  permission: "counter",
  input: z.object({
    id: z.number().int().positive(),
    ...customerCard,
    discountClass: z.enum(discountClassIds),
    rowVersion: z.number().int(),
  }),
  journals: ["customer-changed"],
});
