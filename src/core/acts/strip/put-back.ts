import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";
import { seats } from "./inputs";

export const putBack = defineAct({
  name: "put-back",
  permission: "bench",
  input: z.object({ jobId, positionIds: seats.optional() }),
  journals: [],
  answer: answers<{ readonly positionIds: readonly string[] }>(),
});
