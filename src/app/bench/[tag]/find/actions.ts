"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/core/acts/inputs";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import type { Press } from "@/ui/act/press";

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
