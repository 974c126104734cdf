import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const learnAct = defineAct({
  name: "learn-act",
  permission: "bench",
  input: step.extend({ kind: z.enum(["gate", "press"]), words: z.string().max(200, "At most 200 characters.") }),
  journals: ["act-learned"],
  answer: answers<{ readonly number: number }>(),
});
