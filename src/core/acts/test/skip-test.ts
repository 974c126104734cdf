import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { leftOutSchema } from "@/core/proving/answer-input";

export const skipTest = defineAct({
  name: "skip-test",
  permission: "bench",
  input: leftOutSchema.extend({ jobId }),
  journals: ["test-left-out"],
});
