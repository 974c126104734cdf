import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const takeCheck = defineAct({
  name: "take-check",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive(), checkId: z.string().max(80) }),
  journals: ["model-version-added"],
  answer: answers<{ readonly number: number }>(),
});
