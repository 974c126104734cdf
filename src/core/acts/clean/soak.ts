import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { cleanGroup } from "./inputs";

export const soak = defineAct({
  name: "soak",
  permission: "bench",
  input: cleanGroup.extend({
    minutes: z.number("Type the minutes.").min(1, "At least a minute.").max(2880, "At most two days."),
    intoSoakId: z.number().int().positive().nullable(),
    mark: z.string().trim().max(40, "At most 40 characters."),
  }),
  journals: ["soak-begun"],
  answer: answers<{ readonly soakId: number }>(),
});
