import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount, typedWords } from "@/core/acts/act/typed";

export const partFacts = defineAct({
  name: "part-facts",
  permission: "stores",
  input: z.object({
    id: z.string().max(60),
    rowVersion: z.number().int(),
    name: typedWords("Enter a name for the part.", 80),
    priceMinor: typedAmount("Enter the price to the customer, for example 3.40."),
    supersededBy: z.string().trim().max(40, "At most 40 characters."),
    hazard: z.string().trim().max(200, "At most 200 characters."),
  }),
  journals: ["part-facts-changed"],
});
