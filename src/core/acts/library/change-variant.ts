import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const changeVariant = defineAct({
  name: "change-variant",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    variantId: z.string().max(40),
    choiceId: z.string().max(40),
  }),
  journals: ["model-built"],
  answer: answers<{ readonly number: number }>(),
});
