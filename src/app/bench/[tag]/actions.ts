"use server";
import { z } from "zod";
import { stations } from "@/core/intake/job-kinds";
import { testIdSchema, verdicts } from "@/core/proving/protocol";
import { traceSchema } from "@/core/proving/trace";
import { schoolIds } from "@/core/schools/schools";
import { wellVerdicts } from "@/core/teardown/verdicts";
import { doStep, failGate, openAgain, skipStep, undoStep } from "@/data/bench/build";
import { chooseEdition } from "@/data/bench/choose-edition";
import { askForPart, fitFromDonor, fitFromStock, takeBack } from "@/data/bench/fit-part";
import { overrideSeat } from "@/data/bench/own-part";
import { learn, learnAct } from "@/data/bench/playbook";
import { takeDown } from "@/data/bench/taken-down";
import { leaveOut, noteWell, putBackLast, serveInPlace, takeParts } from "@/data/bench/tray";
import { setWay } from "@/data/bench/ways";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import { recordObservation, skipTest } from "@/data/diagnosis/observations";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob, markReady, noteTold, tickBrought } from "@/data/hand-back/returns";
import { makeRepair } from "@/data/jobs/jobs";
import { correctStationTime } from "@/data/jobs/station-time";
import { setForeseen, wantInstead, wantKit } from "@/data/parts/wanted";
import { recordAnswer } from "@/data/quote/quotes";
import type { Press } from "@/ui/act/press";
import { defineAction } from "../../server";
import { handBackSchema } from "../hand-back.schema";

const jobId = z.number().int().positive();
const seat = z.object({ jobId, positionId: z.string().min(1).max(60) });
const step = z.object({ jobId, operationId: z.string().min(1).max(80) });

const test = defineAction({
  name: "test",
  permission: "bench",
  input: z.object({
    jobId,
    phase: z.enum(["before", "after"]),
    testId: testIdSchema,
    verdict: z.enum(verdicts),
    value: z
      .number("Type a number, or leave it empty.")
      .min(0, "A reading is not below nothing.")
      .max(5000, "That is more than any reel gives: check the unit.")
      .nullable(),
    lineRadiusMm: z
      .number("Type the radius in millimetres.")
      .min(2, "The line leaves the spool at 2 mm or more.")
      .max(150, "The line leaves the spool at 150 mm or less.")
      .nullable(),
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
    testId: testIdSchema,
    reason: z.string().trim().max(200, "At most 200 characters."),
  }),
  run: (ctx, input) => skipTest(ctx, input),
});
export async function leaveTestOut(press: Press) {
  return leaveTest(press);
}

const decline = defineAction({
  name: "decline",
  permission: "counter",
  input: z.object({
    jobId,
    reason: z
      .string()
      .trim()
      .min(2, "Say why, in a few words: it stands in the reel's history.")
      .max(500, "At most 500 characters.")
      .nullable(),
  }),
  run: (ctx, input) => declineJob(ctx, input.jobId, input.reason),
});
export async function sendBackUnrepaired(press: Press) {
  return decline(press);
}

const look = defineAction({
  name: "look",
  permission: "bench",
  input: z.object({ jobId, findingId: z.string().max(60), so: z.boolean().nullable() }),
  run: (ctx, input) => recordLook(ctx, input.jobId, input.findingId, input.so),
});
export async function answerLook(press: Press) {
  return look(press);
}

const settle = defineAction({
  name: "settle-fault",
  permission: "bench",
  input: z.object({ jobId, faultId: z.string().max(60), proved: z.boolean().nullable() }),
  run: (ctx, input) => settleFault(ctx, input.jobId, input.faultId, input.proved),
});
export async function settleSuspect(press: Press) {
  return settle(press);
}

const foresee = defineAction({
  name: "foresee",
  permission: "bench",
  input: seat.extend({ wanted: z.boolean() }),
  run: (ctx, { jobId: id, positionId, wanted }) => setForeseen(ctx, id, positionId, wanted),
});
export async function foreseePart(press: Press) {
  return foresee(press);
}

const answer = defineAction({
  name: "answer",
  permission: "counter",
  input: z.object({
    jobId,
    accepted: z.boolean(),
    words: z.string().trim().min(2, "Write what the customer said, in a few words.").max(500, "At most 500 characters."),
  }),
  run: (ctx, { jobId: id, ...said }) => recordAnswer(ctx, id, said),
});
export async function recordCustomerAnswer(press: Press) {
  return answer(press);
}

const take = defineAction({
  name: "take",
  permission: "bench",
  input: z.object({ jobId, positionIds: z.array(z.string().min(1).max(60)).min(1).max(60) }),
  run: (ctx, input) => takeParts(ctx, input.jobId, input.positionIds),
});
export async function takePartsOff(press: Press) {
  return take(press);
}

const inPlace = defineAction({
  name: "serve-in-place",
  permission: "bench",
  input: seat.extend({
    reason: z.string().trim().min(2, "Why does it stay in? It stands in the report.").max(200, "At most 200 characters."),
  }),
  run: (ctx, input) => serveInPlace(ctx, input.jobId, input.positionId, input.reason),
});
export async function servePartInPlace(press: Press) {
  return inPlace(press);
}

const putBack = defineAction({
  name: "put-back",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => putBackLast(ctx, input.jobId),
});
export async function putLastBack(press: Press) {
  return putBack(press);
}

const note = defineAction({
  name: "note-well",
  permission: "bench",
  input: seat.extend({
    verdict: z.enum(wellVerdicts),
    orientation: z.string().max(160, "At most 160 characters."),
    note: z.string().max(300, "At most 300 characters."),
    hole: z.string().max(60, "At most 60 characters."),
    thread: z.enum(["right", "left"]).nullable(),
    foundCount: z.number("Type a whole number.").int("Type a whole number.").min(0, "None or more.").max(20, "At most 20 in one seat."),
    at: z.enum(["strip", "clean"]),
  }),
  run: (ctx, { jobId: id, positionId, ...said }) => noteWell(ctx, id, positionId, said),
});
export async function noteTrayWell(press: Press) {
  return note(press);
}

const instead = defineAction({
  name: "want-instead",
  permission: "bench",
  input: seat.extend({ partTypeId: z.string().max(60) }),
  run: (ctx, input) => wantInstead(ctx, input.jobId, input.positionId, input.partTypeId),
});
export async function wantPartInstead(press: Press) {
  return instead(press);
}

const donorPiece = defineAction({
  name: "use-donor-piece",
  permission: "bench",
  input: seat.extend({ donorPieceId: z.number().int().positive() }),
  run: (ctx, input) => fitFromDonor(ctx, input.jobId, input.positionId, input.donorPieceId),
});
export async function useDonorPiece(press: Press) {
  return donorPiece(press);
}

const conversion = defineAction({
  name: "foresee-kit",
  permission: "bench",
  input: z.object({ jobId, kitId: z.string().max(60) }),
  run: (ctx, input) => wantKit(ctx, input.jobId, input.kitId),
});
export async function foreseeKit(press: Press) {
  return conversion(press);
}

const lesson = defineAction({
  name: "learn",
  permission: "bench",
  input: seat.extend({ about: z.enum(["caution", "trap", "confirmed"]), words: z.string().max(200, "At most 200 characters.") }),
  run: (ctx, { jobId: id, ...taught }) => learn(ctx, id, taught),
});
export async function learnFromJob(press: Press) {
  return lesson(press);
}

const actLesson = defineAction({
  name: "learn-act",
  permission: "bench",
  input: step.extend({ kind: z.enum(["gate", "press"]), words: z.string().max(200, "At most 200 characters.") }),
  run: (ctx, { jobId: id, operationId, kind, words }) => learnAct(ctx, id, { afterOperationId: operationId, kind, words }),
});
export async function learnActFromJob(press: Press) {
  return actLesson(press);
}

const edition = defineAction({
  name: "choose-edition",
  permission: "bench",
  input: z.object({ jobId, editionId: z.string().max(60).nullable() }),
  run: (ctx, input) => chooseEdition(ctx, input.jobId, input.editionId),
});
export async function chooseReelEdition(press: Press) {
  return edition(press);
}

const use = defineAction({
  name: "use",
  permission: "bench",
  input: seat,
  run: (ctx, input) => fitFromStock(ctx, input.jobId, input.positionId),
});
export async function usePartHere(press: Press) {
  return use(press);
}

const unuse = defineAction({
  name: "unuse",
  permission: "bench",
  input: seat,
  run: (ctx, input) => takeBack(ctx, input.jobId, input.positionId),
});
export async function undoUsePartHere(press: Press) {
  return unuse(press);
}

const need = defineAction({
  name: "need",
  permission: "bench",
  input: seat,
  run: (ctx, input) => askForPart(ctx, input.jobId, input.positionId),
});
export async function orderPart(press: Press) {
  return need(press);
}

const override = defineAction({
  name: "override-seat",
  permission: "bench",
  input: seat.extend({ number: z.string().trim().max(40, "At most 40 characters.") }),
  run: (ctx, input) => overrideSeat(ctx, input.jobId, input.positionId, input.number),
});
export async function overrideReelSeat(press: Press) {
  return override(press);
}

const done = defineAction({
  name: "step-done",
  permission: "bench",
  input: step.extend({ reason: z.string().trim().max(300, "At most 300 characters.").default("") }),
  run: (ctx, input) => doStep(ctx, input.jobId, input.operationId, input.reason),
});
export async function stepDone(press: Press) {
  return done(press);
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

const undo = defineAction({
  name: "step-undo",
  permission: "bench",
  input: step,
  run: (ctx, input) => undoStep(ctx, input.jobId, input.operationId),
});
export async function stepUndone(press: Press) {
  return undo(press);
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

const out = defineAction({
  name: "leave-out",
  permission: "bench",
  input: seat.extend({
    reason: z.string().trim().min(4, "Say why it stays out: the reason stands in the report.").max(300, "At most 300 characters."),
  }),
  run: (ctx, input) => leaveOut(ctx, input.jobId, input.positionId, input.reason),
});
export async function leavePartOut(press: Press) {
  return out(press);
}

const ready = defineAction({
  name: "ready",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => markReady(ctx, input.jobId),
});
export async function hangReady(press: Press) {
  return ready(press);
}

const tick = defineAction({
  name: "tick",
  permission: "counter",
  input: z.object({ jobId, item: z.string().max(40), given: z.boolean() }),
  run: (ctx, input) => tickBrought(ctx, input.jobId, input.item, input.given),
});
export async function tickItem(press: Press) {
  return tick(press);
}

const close = defineAction({
  name: "close",
  permission: "counter",
  input: handBackSchema.extend({ jobId }),
  run: (ctx, { jobId: id, signedBy, ...noted }) => closeJob(ctx, id, signedBy, noted),
});
export async function handBack(press: Press) {
  return close(press);
}

const read = defineAction({
  name: "taken-down",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => takeDown(ctx, input.jobId),
});
export async function readCard(press: Press) {
  return read(press);
}

const minutes = defineAction({
  name: "station-minutes",
  permission: "bench",
  input: z.object({
    jobId,
    station: z.enum(stations),
    minutes: z.number("Type the minutes.").min(0, "None or more.").max(6000, "At most 100 hours.").nullable(),
  }),
  run: (ctx, input) => correctStationTime(ctx, input.jobId, input.station, input.minutes),
});
export async function correctMinutes(press: Press) {
  return minutes(press);
}

const way = defineAction({
  name: "way",
  permission: "bench",
  input: z.object({ jobId, scope: z.enum(["job", "customer"]), school: z.enum(schoolIds), choice: z.string().max(40).nullable() }),
  run: (ctx, input) => setWay(ctx, input.jobId, input.scope, input.school, input.choice),
});
export async function chooseWay(press: Press) {
  return way(press);
}

const told = defineAction({
  name: "told-to-fetch",
  permission: "counter",
  input: z.object({ jobId }),
  run: (ctx, input) => noteTold(ctx, input.jobId),
});
export async function toldToFetch(press: Press) {
  return told(press);
}
