"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId, step } from "@/core/acts/inputs";
import { seenSchema } from "@/core/seen";
import { doSteps, failGate, openAgain, skipStep, undoStep } from "@/data/bench/build";
import { markOilPoints } from "@/data/bench/oil-points";
import { learnAct } from "@/data/bench/playbook";
import { noteStep } from "@/data/bench/step-noted";
import type { Press } from "@/ui/act/press";

const actLesson = defineAction({
  name: "learn-act",
  permission: "bench",
  input: step.extend({ kind: z.enum(["gate", "press"]), words: z.string().max(200, "At most 200 characters.") }),
  run: (ctx, { jobId: id, operationId, kind, words }) => learnAct(ctx, id, { afterOperationId: operationId, kind, words }),
});
export async function learnActFromJob(press: Press) {
  return actLesson(press);
}

const done = defineAction({
  name: "steps-done",
  permission: "bench",
  input: z.object({
    jobId,
    operationIds: z.array(z.string().min(1).max(80)).min(1).max(120),
    reason: z.string().trim().max(300, "At most 300 characters.").default(""),
  }),
  run: (ctx, input) => doSteps(ctx, input.jobId, input.operationIds, input.reason),
});
export async function stepsDone(press: Press) {
  return done(press);
}

const points = defineAction({
  name: "oil-points",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: z.array(z.string().min(1).max(60)).min(1).max(200),
    state: z.enum(["waiting", "oiled", "left-out"]),
  }),
  run: (ctx, input) => markOilPoints(ctx, input.jobId, input.positionIds, input.state),
});
export async function oilPointsMarked(press: Press) {
  return points(press);
}

const failed = defineAction({
  name: "gate-failed",
  permission: "bench",
  input: step.extend({ note: z.string().max(300) }),
  run: (ctx, input) => failGate(ctx, input.jobId, input.operationId, input.note),
});
export async function gateFailed(press: Press) {
  return failed(press);
}

const skip = defineAction({
  name: "step-skip",
  permission: "bench",
  input: step,
  run: (ctx, input) => skipStep(ctx, input.jobId, input.operationId),
});
export async function stepSkipped(press: Press) {
  return skip(press);
}

const off = defineAction({
  name: "step-left-off",
  permission: "bench",
  input: step.extend({
    reason: z.string().trim().min(4, "Say why it is left off: it stands in the report.").max(300, "At most 300 characters."),
  }),
  run: (ctx, input) => skipStep(ctx, input.jobId, input.operationId, input.reason),
});
export async function stepLeftOff(press: Press) {
  return off(press);
}

const undo = defineAction({
  name: "step-undo",
  permission: "bench",
  input: step,
  run: (ctx, input) => undoStep(ctx, input.jobId, input.operationId),
});
export async function stepUndone(press: Press) {
  return undo(press);
}

const noted = defineAction({
  name: "step-noted",
  permission: "bench",
  input: step.extend({ words: z.string().trim().max(160, "At most 160 characters."), seen: seenSchema }),
  run: (ctx, input) => noteStep(ctx, input.jobId, input.operationId, input.words, input.seen),
});
export async function noteStepOfJob(press: Press) {
  return noted(press);
}

const again = defineAction({
  name: "open-again",
  permission: "bench",
  input: step.extend({ gateId: z.string().max(80).nullable() }),
  run: (ctx, input) => openAgain(ctx, input.jobId, input.operationId, input.gateId),
});
export async function openStepAgain(press: Press) {
  return again(press);
}
