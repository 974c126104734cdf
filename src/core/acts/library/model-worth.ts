import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedMaybeAmount } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";

export const modelWorth = defineAct({
  name: "model-worth",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), value: typedMaybeAmount("An amount such as 120, or empty."), seen: seenSchema }),
  journals: ["model-worth"],
});
