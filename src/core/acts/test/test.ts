import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { answerSchema } from "@/core/proving/answer-input";

export const test = defineAct({
  name: "test",
  permission: "bench",
  input: answerSchema.extend({ jobId }),
  journals: ["tested"],
});
