"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";
import { beginSoak, cancelSoak, cleanAgain, cleanedAllByHand, cleanedByHand, cleanPartAs, countBack } from "@/data/bench/cleaning";
import type { Press } from "@/ui/act/press";

const jobId = z.number().int().positive();
const group = z.object({ jobId, method: z.enum(cleanMethodIds) });
const bath = z.object({ jobId, soakId: z.number().int().positive() });

const begin = defineAction({
  name: "soak",
  permission: "bench",
  input: group.extend({
    minutes: z.number("Type the minutes.").min(1, "At least a minute.").max(2880, "At most two days."),
    intoSoakId: z.number().int().positive().nullable(),
    mark: z.string().trim().max(40, "At most 40 characters."),
  }),
  run: (ctx, { jobId: id, ...input }) => beginSoak(ctx, id, input),
});
export async function beginBath(press: Press) {
  return begin(press);
}

const count = defineAction({
  name: "count-back",
  permission: "bench",
  input: bath.extend({ missing: z.array(z.string().max(60)).max(400) }),
  run: (ctx, input) => countBack(ctx, input.jobId, input.soakId, input.missing),
});
export async function allBack(press: Press) {
  return count(press);
}

const cancel = defineAction({
  name: "cancel-soak",
  permission: "bench",
  input: bath,
  run: (ctx, input) => cancelSoak(ctx, input.jobId, input.soakId),
});
export async function takeOutOfBath(press: Press) {
  return cancel(press);
}

const hand = defineAction({
  name: "cleaned-by-hand",
  permission: "bench",
  input: group,
  run: (ctx, input) => cleanedByHand(ctx, input.jobId, input.method),
});
export async function handCleaned(press: Press) {
  return hand(press);
}

const again = defineAction({
  name: "clean-again",
  permission: "bench",
  input: z.object({ jobId, method: z.enum(cleanMethodIds).nullable() }),
  run: (ctx, input) => cleanAgain(ctx, input.jobId, input.method),
});
export async function cleanGroupAgain(press: Press) {
  return again(press);
}

const allHand = defineAction({
  name: "all-cleaned-by-hand",
  permission: "bench",
  input: z.object({ jobId }),
  run: (ctx, input) => cleanedAllByHand(ctx, input.jobId),
});
export async function allCleanedByHand(press: Press) {
  return allHand(press);
}

const otherwise = defineAction({
  name: "clean-part-as",
  permission: "bench",
  input: z.object({ jobId, positionId: z.string().max(60), method: z.enum(cleanMethodIds).nullable() }),
  run: (ctx, input) => cleanPartAs(ctx, input.jobId, input.positionId, input.method),
});
export async function cleanOnePartAs(press: Press) {
  return otherwise(press);
}
