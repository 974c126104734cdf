"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/core/acts/inputs";
import { allGoodSchema, answerSchema, leftOutSchema } from "@/core/proving/answer-input";
import { recordAllGood, recordObservation, skipTest } from "@/data/diagnosis/observations";
import { makeRepair } from "@/data/jobs/jobs";
import type { Press } from "@/ui/act/press";

const test = defineAction({
  name: "test",
  permission: "bench",
  input: answerSchema.extend({ jobId }),
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
  input: leftOutSchema.extend({ jobId }),
  run: (ctx, input) => skipTest(ctx, input),
});
export async function leaveTestOut(press: Press) {
  return leaveTest(press);
}

const allOfThem = defineAction({
  name: "tests-all-good",
  permission: "bench",
  input: allGoodSchema.extend({ jobId }),
  run: (ctx, input) => recordAllGood(ctx, input),
});
export async function allTestsGood(press: Press) {
  return allOfThem(press);
}
