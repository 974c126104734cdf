import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const openAgain = defineAct({
  name: "open-again",
  permission: "bench",
  input: step.extend({ gateId: z.string().max(80).nullable() }),
  journals: ["step-undone"],
  answer: answers<{ readonly steps: number }>(),
});
