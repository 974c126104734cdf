import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const putMinutesIn = defineAct({
  name: "put-minutes-in",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive() }),
  journals: ["model-version-added"],
  answer: answers<{ readonly number: number }>(),
});
