import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedNumber, typedWords } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";

export const setBin = defineAct({
  name: "set-bin",
  permission: "stores",
  input: z.object({
    number: typedWords("Enter the part number.", 40),
    bin: typedWords("Enter the bin label, for example A3.", 20),
    // Null where only the bin changes: what lies in it is not counted anew.
    count: typedNumber("How many are in it: a whole number, or 0.", { min: 0, max: 100_000, whole: true }).nullable(),
    minimum: typedNumber("Order when fewer than this: a whole number, or 0.", { min: 0, max: 100_000, whole: true }),
    seen: seenSchema,
    /** The count the form was opened with: left as it is, nothing was counted. */
    countSeen: z.number().int().nullable().default(null),
  }),
  journals: ["bin-counted"],
});
