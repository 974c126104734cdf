import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { typedMaybeAmount } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";

export const saveParcel = defineAct({
  name: "save-parcel",
  permission: "counter",
  input: z.object({
    jobId,
    way: z.enum(["in", "out"]),
    carrier: z.string().trim().min(1, "Enter the carrier.").max(60, "At most 60 characters."),
    number: z.string().trim().max(60, "At most 60 characters."),
    value: typedMaybeAmount("An amount such as 120, or empty."),
    onDay: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    seen: seenSchema,
  }),
  journals: ["parcel-noted"],
});
