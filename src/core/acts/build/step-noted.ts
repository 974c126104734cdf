import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";
import { seenSchema } from "@/core/seen/seen";

export const stepNoted = defineAct({
  name: "step-noted",
  permission: "bench",
  input: step.extend({ words: z.string().trim().max(160, "At most 160 characters."), seen: seenSchema }),
  journals: ["step-noted"],
});
