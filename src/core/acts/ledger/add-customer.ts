import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { customerCard } from "./inputs";

export const addCustomer = defineAct({
  name: "add-customer",
  permission: "counter",
  input: z.object(customerCard),
  journals: ["customer-added"],
  answer: answers<number>(),
});
