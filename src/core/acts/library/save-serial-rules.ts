import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { serialRuleSchema } from "@/core/anatomy/serial";
import { seenSchema } from "@/core/seen/seen";

export const saveSerialRules = defineAct({
  name: "save-serial-rules",
  permission: "bench",
  input: z.object({
    maker: z.string().min(1).max(60),
    rules: z.array(serialRuleSchema.and(z.object({ modelId: z.string().max(60).nullable() }))).max(60, "At most 60 rules a maker."),
    seen: seenSchema,
  }),
  journals: ["serial-rules-saved"],
});
