"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/core/acts/inputs";
import { measureInput } from "@/core/measures/taken";
import { chooseEdition } from "@/data/bench/choose-edition";
import { keepMeasure } from "@/data/bench/measures";
import { takeDown } from "@/data/bench/taken-down";
import type { Press } from "@/ui/act/press";

const edition = defineAction({
  name: "choose-edition",
  permission: "bench",
  input: z.object({ jobId, editionId: z.string().max(60).nullable() }),
  run: (ctx, input) => chooseEdition(ctx, input.jobId, input.editionId),
});
export async function chooseReelEdition(press: Press) {
  return edition(press);
}

const measure = defineAction({
  name: "measure",
  permission: "bench",
  input: z.object({
    jobId,
    phase: z.enum(["before", "after"]),
    positionId: z.string().min(1).max(60).nullable(),
    name: z.string().max(80, "At most 80 characters."),
    input: measureInput,
  }),
  run: (ctx, input) => keepMeasure(ctx, input),
});
export async function keepReelMeasure(press: Press) {
  return measure(press);
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
