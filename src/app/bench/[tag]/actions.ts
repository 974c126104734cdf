"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/app/server/bench-input";
import { chooseEdition } from "@/data/bench/choose-edition";
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

const read = defineAction({
  name: "taken-down",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => takeDown(ctx, input.jobId),
});
export async function readCard(press: Press) {
  return read(press);
}
