import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { typedAmount, typedWords } from "@/core/acts/act/typed";
import { partKinds } from "./inputs";

export const addPart = defineAct({
  name: "add-part",
  permission: "stores",
  input: z.object({
    number: typedWords("Enter a part number.", 40),
    name: typedWords("Enter a name for the part.", 80),
    kind: z.enum(partKinds),
    material: typedWords("Enter the material, for example stainless steel.", 40),
    price: typedAmount("Enter the price to the customer, for example 3.40."),
    thread: z.enum(["", "right", "left"]),
    /** By size, as typed; a size of another kind is passed over. */
    sizes: z.record(z.string().max(40), z.string().max(20)),
  }),
  journals: ["parts-added"],
  answer: answers<{ readonly id: string }>(),
});
