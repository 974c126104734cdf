import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { dayInput } from "./inputs";

export const addShutDays = defineAct({
  name: "add-shut-days",
  permission: "shop",
  input: z.object({ from: dayInput, to: dayInput, words: z.string().trim().min(1, "What for? A word.").max(60, "At most 60 letters.") }),
  journals: ["shut-days-added"],
  answer: answers<number>(),
});
