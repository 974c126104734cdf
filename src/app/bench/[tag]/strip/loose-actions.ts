"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { seenSchema } from "@/core/seen";
import { makeSchematic, nameLoosePart, putLooseBack, serveLooseInPlace, takeLoosePart } from "@/data/bench/loose-parts";
import type { Press } from "@/ui/act/press";

const jobId = z.number().int().positive();
const kindSchema = z.enum(Object.keys(kindWords) as [PartKind, ...PartKind[]], "There is no such kind of part.");

const take = defineAction({
  name: "loose-take",
  permission: "bench",
  input: z.object({
    jobId,
    kind: kindSchema,
    pieceId: z.string().max(80).nullable().default(null),
    count: z.number().int().min(1).max(20).nullable().default(null),
    side: z.enum(["handle", "tail", "frame"]).nullable().default(null),
  }),
  run: (ctx, { jobId: id, ...input }) => takeLoosePart(ctx, id, input),
});
export async function takeLoose(press: Press) {
  return take(press);
}

const putBack = defineAction({
  name: "loose-put-back",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => putLooseBack(ctx, input.jobId),
});
export async function putLooseLastBack(press: Press) {
  return putBack(press);
}

const name = defineAction({
  name: "loose-name",
  permission: "bench",
  input: z.object({ jobId, well: z.number().int().positive(), name: z.string().trim().max(80, "At most 80 letters."), seen: seenSchema }),
  run: (ctx, input) => nameLoosePart(ctx, input.jobId, input.well, input.name, input.seen),
});
export async function nameLoose(press: Press) {
  return name(press);
}

const make = defineAction({
  name: "make-schematic",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => makeSchematic(ctx, input.jobId),
});
export async function makeModelSchematic(press: Press) {
  return make(press);
}

const inPlace = defineAction({
  name: "loose-in-place",
  permission: "bench",
  input: z.object({ jobId, well: z.number().int().positive(), reason: z.string().trim().max(160, "At most 160 letters.").nullable() }),
  run: (ctx, input) => serveLooseInPlace(ctx, input.jobId, input.well, input.reason),
});
export async function serveLoose(press: Press) {
  return inPlace(press);
}
