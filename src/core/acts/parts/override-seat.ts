import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const overrideSeat = defineAct({
  name: "override-seat",
  permission: "bench",
  input: seat.extend({
    number: z.string().trim().max(40, "At most 40 characters."),
    name: z.string().trim().max(80, "At most 80 letters.").default(""),
    size: z.string().trim().max(40, "At most 40 characters.").default(""),
    material: z.string().trim().max(40, "At most 40 letters.").default(""),
  }),
  journals: ["seat-as-model", "seat-overridden"],
});
