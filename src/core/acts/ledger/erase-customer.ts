import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const eraseCustomer = defineAct({
  name: "erase-customer",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  journals: ["customer-erased"],
  answer: answers<{ readonly nameUntil: string | null }>(),
});
