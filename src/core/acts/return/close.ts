import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { handBackSchema } from "@/core/hand-back/hand-back-input";

export const close = defineAct({
  name: "close",
  permission: "counter",
  input: handBackSchema.extend({ jobId }),
  journals: ["handed-back"],
  answer: answers<{ readonly totalMinor: number }>(),
});
