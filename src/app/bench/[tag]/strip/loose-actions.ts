"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { makeSchematic, nameLoosePart, putLooseBack, takeLoosePart } from "@/data/bench/loose-parts";
import type { Press } from "@/ui/act/press";

const jobId = z.number().int().positive();
const kindSchema = z.enum(Object.keys(kindWords) as [PartKind, ...PartKind[]], "There is no such kind of part.");

const take = defineAction({
  name: "loose-take",
  permission: "bench",
  input: z.object({ jobId, kind: kindSchema }),
  run: (ctx, input) => takeLoosePart(ctx, input.jobId, input.kind),
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
  input: z.object({ jobId, well: z.number().int().positive(), name: z.string().trim().max(80, "At most 80 letters.") }),
  run: (ctx, input) => nameLoosePart(ctx, input.jobId, input.well, input.name),
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
