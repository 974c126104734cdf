import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { typedMaybeAmount } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";
import { broughtWith, complaints, hands } from "@/core/vocabulary/counter-lists";
import { depths, jobKindIds } from "@/core/vocabulary/job-kinds";

const keys = <T extends Record<string, string>>(list: T) => z.enum(Object.keys(list) as [keyof T & string, ...(keyof T & string)[]]);
/** How deep; empty is shop default. */
export const depthSaid = z.union([z.literal(""), keys(depths)]);

export const correctIntake = defineAct({
  name: "correct-intake",
  permission: "counter",
  input: z.object({
    jobId,
    owner: z.string().trim().min(1, "Whose reel is it?").max(80, "At most 80 letters."),
    phone: z.string().trim().max(40, "At most 40 characters."),
    modelId: z.string().min(1, "Choose the model.").max(60),
    serial: z
      .string()
      .trim()
      .max(40, "At most 40 characters.")
      .regex(
        /^[\p{L}\p{N}\s./?-]*$/u,
        "A serial has letters, digits, dots, dashes and slashes; use a question mark for a character nobody can read.",
      ),
    hand: keys(hands),
    kind: z.enum(jobKindIds),
    depth: depthSaid,
    complaints: z.array(keys(complaints)).max(20),
    complaint: z.string().trim().max(1000, "At most 1000 characters."),
    brought: z.array(keys(broughtWith)).max(20),
    limit: typedMaybeAmount("Enter an amount such as 60 or 59.50, or leave it blank to ask for every quote."),
    deposit: typedMaybeAmount("An amount such as 20 or 19.50, or empty."),
    promisedOn: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    seen: seenSchema,
  }),
  journals: ["intake-corrected"],
});
