import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { dayInput } from "./inputs";

/** Somebody will not be there. */
export const addPersonOff = defineAct({
  name: "add-person-off",
  permission: "shop",
  input: z.object({
    personId: z.number().int().positive(),
    from: dayInput,
    to: dayInput,
    words: z.string().trim().max(80, "At most 80 letters."),
  }),
  journals: ["person-off-added"],
  answer: answers<number>(),
});
