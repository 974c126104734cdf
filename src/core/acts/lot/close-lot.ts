import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { handBackSchema } from "@/core/hand-back/hand-back-input";

export const closeLot = defineAct({
  name: "close-lot",
  permission: "counter",
  input: handBackSchema.extend({ lotId: z.number().int().positive() }),
  journals: ["handed-back"],
  answer: answers<{ readonly reels: number; readonly left: number }>(),
});
