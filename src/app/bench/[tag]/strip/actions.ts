"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId, seat } from "@/core/acts/inputs";
import { wellVerdicts } from "@/core/teardown/verdicts";
import { liningMaterialIds } from "@/core/vocabulary/lining-materials";
import { addExtraPiece, settleExtraPiece } from "@/data/bench/extra-pieces";
import { sayLining } from "@/data/bench/linings";
import { sayOpened } from "@/data/bench/opening";
import { learn } from "@/data/bench/playbook";
import { noteWell, putBackLast, serveInPlace, takeAllAsCame, takeParts } from "@/data/bench/tray";
import type { Press } from "@/ui/act/press";

const seats = z.array(z.string().min(1).max(60)).min(1).max(60);

const take = defineAction({
  name: "take",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: seats,
    absent: z.array(z.string().max(60)).max(60).default([]),
    more: z.string().trim().max(160).default(""),
  }),
  run: (ctx, input) => {
    const taken = takeParts(ctx, input.jobId, input.positionIds, new Set(input.absent));
    if (input.more) addExtraPiece(ctx, input.jobId, input.more);
    return taken;
  },
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
  input: z.object({ jobId, positionIds: seats.optional() }),
  run: (ctx, input) => putBackLast(ctx, input.jobId, input.positionIds),
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
    dressed: z.string().max(80, "At most 80 characters.").default(""),
    seen: z.number().int().optional(),
    at: z.enum(["strip", "clean"]),
  }),
  run: (ctx, { jobId: id, positionId, seen, ...said }) =>
    noteWell(ctx, id, positionId, { ...said, ...(seen === undefined ? {} : { seen }) }),
});
export async function noteTrayWell(press: Press) {
  return note(press);
}

const lining = defineAction({
  name: "say-lining",
  permission: "bench",
  input: seat.extend({ material: z.enum(liningMaterialIds, "Choose what it is made of.") }),
  run: (ctx, { jobId: id, positionId, material }) => ({ seats: sayLining(ctx, id, positionId, material) }),
});
export async function sayLiningMaterial(press: Press) {
  return lining(press);
}

const assembly = defineAction({
  name: "open-assembly",
  permission: "bench",
  input: z.object({ jobId, assemblyId: z.string().min(1).max(60), opened: z.boolean().nullable() }),
  run: (ctx, input) => sayOpened(ctx, input.jobId, input.assemblyId, input.opened),
});
export async function openAssembly(press: Press) {
  return assembly(press);
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

const extra = defineAction({
  name: "extra-piece",
  permission: "bench",
  input: z.object({ jobId, words: z.string().trim().min(2, "Say what it is, in a few words.").max(160, "At most 160 characters.") }),
  run: (ctx, input) => addExtraPiece(ctx, input.jobId, input.words),
});
export async function noteExtraPiece(press: Press) {
  return extra(press);
}

const settleExtra = defineAction({
  name: "extra-piece-settled",
  permission: "bench",
  input: z.object({ jobId, id: z.number().int().positive(), state: z.enum(["off", "back", "left-out"]) }),
  run: (ctx, input) => settleExtraPiece(ctx, input.jobId, input.id, input.state),
});
export async function extraPieceSettled(press: Press) {
  return settleExtra(press);
}

const pieces = defineAction({
  name: "came-in-pieces",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => takeAllAsCame(ctx, input.jobId),
});
export async function cameAsPieces(press: Press) {
  return pieces(press);
}
