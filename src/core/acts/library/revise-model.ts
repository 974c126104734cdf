import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { draftSchema } from "@/core/anatomy/draft";

export const reviseModel = defineAct({
  name: "revise-model",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    draft: draftSchema,
  }),
  size: "file",
  journals: ["model-version-added"],
  answer: answers<{ readonly number: number }>(),
});
