import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const retireCustomer = defineAct({
  name: "retire-customer",
  permission: "counter",
  input: z.object({ id: z.number().int().positive(), retired: z.boolean() }),
  journals: ["customer-retired", "customer-used-again"],
});
