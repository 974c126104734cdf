import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { familyIds } from "@/core/vocabulary/families";

export const startModel = defineAct({
  name: "start-model",
  permission: "bench",
  input: z.object({
    maker: z.string().trim().min(1, "Who made it? Write “not known” if nobody knows.").max(60, "At most 60 letters."),
    name: z.string().trim().min(1, "What is it called?").max(60, "At most 60 letters."),
    family: z.enum(familyIds),
    /** By family, so that a choice made before the family was changed is not lost. */
    variants: z.partialRecord(z.enum(familyIds), z.record(z.string().max(40), z.string().max(40))).default({}),
    prefix: z
      .string()
      .trim()
      .regex(/^[A-Za-z]{1,4}\d{0,3}$/, "One to four letters and up to three digits, such as KX or KX2: part numbers begin with it."),
  }),
  journals: ["model-version-added"],
  answer: answers<{ readonly id: string }>(),
});
