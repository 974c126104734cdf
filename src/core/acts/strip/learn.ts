import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const learn = defineAct({
  name: "learn",
  permission: "bench",
  input: seat.extend({ about: z.enum(["caution", "trap", "confirmed"]), words: z.string().max(200, "At most 200 characters.") }),
  journals: ["lesson-learned"],
  answer: answers<{ readonly number: number }>(),
});
