import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seenSchema } from "@/core/seen/seen";
import { hoursInput } from "./inputs";

/** Sets somebody's week at the bench. */
export const setPersonHours = defineAct({
  name: "set-person-hours",
  permission: "shop",
  input: z.object({
    personId: z.number().int().positive(),
    seen: seenSchema,
    hours: z.object({ d1: hoursInput, d2: hoursInput, d3: hoursInput, d4: hoursInput, d5: hoursInput, d6: hoursInput, d7: hoursInput }),
  }),
  journals: ["person-hours-set"],
});
