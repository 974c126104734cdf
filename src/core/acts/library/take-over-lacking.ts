import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const takeOverLacking = defineAct({
  name: "take-over-lacking",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive() }),
  journals: ["model-built"],
  answer: answers<{ readonly number: number }>(),
});
