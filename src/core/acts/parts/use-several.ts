import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

/** The new pieces of several seats by one press: out of the bins, or those that were planned from elsewhere. */
export const useSeveral = defineAct({
  name: "use-several",
  permission: "bench",
  input: z.object({ jobId, positionIds: z.array(z.string().min(1).max(60)).min(1).max(60) }),
  journals: ["part-used", "piece-used"],
  answer: answers<{ readonly pieces: number }>(),
});
