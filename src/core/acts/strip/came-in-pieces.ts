import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const cameInPieces = defineAct({
  name: "came-in-pieces",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["came-in-pieces"],
  answer: answers<{ readonly parts: number }>(),
});
