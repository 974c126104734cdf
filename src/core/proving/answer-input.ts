import { z } from "zod";
import { testIds, verdicts } from "@/core/vocabulary/tests";
import { traceSchema } from "./trace";

/** One answer to a test as it is sent: what was typed is checked by the same words at the page and at the server. */
export const answerSchema = z.object({
  phase: z.enum(["before", "after"]),
  testId: z.enum(testIds),
  verdict: z.enum(verdicts),
  value: z
    .number("Type a number, bare or with its unit (22, 5 lb, 2.4 kg), or leave it empty.")
    .min(0, "A reading cannot be below 0.")
    .max(5000, "That is more than any reel can give: check the unit.")
    .nullable(),
  lineRadiusMm: z
    .number("Type the radius in millimetres.")
    .min(2, "The line leaves the spool at 2 mm or more.")
    .max(150, "The line leaves the spool at 150 mm or less.")
    .nullable(),
  setting: z
    .number("Turns or degrees as a number, or leave it empty.")
    .min(0, "From the first contact on: 0 or more.")
    .max(720, "That is more than any adjuster turns.")
    .nullable()
    .default(null),
  instrument: z.string().min(1).max(60),
  simulated: z.boolean(),
  trace: traceSchema.nullable(),
});
export type AnswerInput = z.output<typeof answerSchema>;

/** A test left out, with its reason or a reason later. */
export const leftOutSchema = z.object({
  phase: z.enum(["before", "after"]),
  testId: z.enum(testIds),
  reason: z.string().trim().max(200, "At most 200 characters."),
});

/** Several tests, each as it should be by hand. */
export const allGoodSchema = z.object({ phase: z.enum(["before", "after"]), testIds: z.array(z.enum(testIds)).min(1).max(40) });
