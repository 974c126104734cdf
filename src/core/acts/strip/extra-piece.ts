import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const extraPiece = defineAct({
  name: "extra-piece",
  permission: "bench",
  input: z.object({ jobId, words: z.string().trim().min(2, "Say what it is, in a few words.").max(160, "At most 160 characters.") }),
  journals: ["extra-piece"],
  answer: answers<number>(),
});
