import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { allGoodSchema } from "@/core/proving/answer-input";

export const testsAllGood = defineAct({
  name: "tests-all-good",
  permission: "bench",
  input: allGoodSchema.extend({ jobId }),
  journals: ["tested"],
});
