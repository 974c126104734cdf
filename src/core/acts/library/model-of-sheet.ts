import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { sheetSeen } from "./inputs";

/** Makes a model of a sheet: its family's drawing and order with the sheet's parts, numbers and prices. */
export const modelOfSheet = defineAct({
  name: "model-of-sheet",
  permission: "bench",
  input: z.object({
    ...sheetSeen,
    maker: z.string().trim().min(1, "Who made it? Write “not known” if nobody knows.").max(60, "At most 60 letters."),
    name: z.string().trim().min(1, "What is it called?").max(60, "At most 60 letters."),
    prefix: z
      .string()
      .trim()
      .regex(
        /^[A-Za-z]{1,4}\d{0,3}$/,
        "One to four letters and up to three digits, such as KX or KX2: parts that are not on the sheet begin with it.",
      ),
  }),
  journals: ["model-version-added"],
  answer: answers<{ readonly id: string }>(),
});
