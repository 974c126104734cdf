import { defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";
import { allGoodSchema } from "@/core/proving/answer-input";

export const testsAllGood = defineAct({
  name: "tests-all-good",
  permission: "bench",
  input: allGoodSchema.extend({ jobId }),
  journals: ["tested"],
});
