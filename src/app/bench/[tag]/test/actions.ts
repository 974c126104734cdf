"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/app/server/bench-input";
import { traceSchema } from "@/core/proving/trace";
import { testIds, verdicts } from "@/core/vocabulary/tests";
import { recordAllGood, recordObservation, skipTest } from "@/data/diagnosis/observations";
import { makeRepair } from "@/data/jobs/jobs";
import type { Press } from "@/ui/act/press";

const test = defineAction({
  name: "test",
  permission: "bench",
  input: z.object({
    jobId,
    phase: z.enum(["before", "after"]),
    testId: z.enum(testIds),
    verdict: z.enum(verdicts),
    value: z
      .number("Type a number, bare or with its unit (22, 5 lb, 2.4 kg), or leave it empty.")
      .min(0, "A reading is not below nothing.")
      .max(5000, "That is more than any reel gives: check the unit.")
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
  }),
  run: (ctx, input) => recordObservation(ctx, input),
});
export async function recordTest(press: Press) {
  return test(press);
}

const mend = defineAction({
  name: "make-repair",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => makeRepair(ctx, input.jobId),
});
export async function mendInstead(press: Press) {
  return mend(press);
}

const leaveTest = defineAction({
  name: "skip-test",
  permission: "bench",
  input: z.object({
    jobId,
    phase: z.enum(["before", "after"]),
    testId: z.enum(testIds),
    reason: z.string().trim().max(200, "At most 200 characters."),
  }),
  run: (ctx, input) => skipTest(ctx, input),
});
export async function leaveTestOut(press: Press) {
  return leaveTest(press);
}

const allOfThem = defineAction({
  name: "tests-all-good",
  permission: "bench",
  input: z.object({ jobId, phase: z.enum(["before", "after"]), testIds: z.array(z.enum(testIds)).min(1).max(40) }),
  run: (ctx, input) => recordAllGood(ctx, input),
});
export async function allTestsGood(press: Press) {
  return allOfThem(press);
}
