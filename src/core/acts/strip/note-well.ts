import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";
import { wellVerdicts } from "@/core/teardown/verdicts";
import { lieIds } from "@/core/teardown/way-round";

export const noteWell = defineAct({
  name: "note-well",
  permission: "bench",
  input: seat.extend({
    verdict: z.enum(wellVerdicts),
    orientation: z.string().max(160, "At most 160 characters."),
    note: z.string().max(300, "At most 300 characters."),
    forOwner: z.boolean().optional(),
    hole: z.string().max(60, "At most 60 characters."),
    thread: z.enum(["right", "left"]).nullable(),
    lies: z.enum(lieIds).nullable().optional(),
    foundCount: z.number("Type a whole number.").int("Type a whole number.").min(0, "None or more.").max(20, "At most 20 in one seat."),
    dressed: z.string().max(80, "At most 80 characters.").default(""),
    seen: z.number().int().optional(),
    at: z.enum(["strip", "clean"]),
  }),
  journals: ["part-looked-at"],
  answer: answers<{ readonly words: string }>(),
});
