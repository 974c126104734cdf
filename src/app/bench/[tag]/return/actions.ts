"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/core/acts/inputs";
import { typedSignedAmount } from "@/core/acts/typed";
import { handBackSchema } from "@/core/hand-back/hand-back-input";
import { stations } from "@/core/vocabulary/job-kinds";
import { leaveOut } from "@/data/bench/tray";
import { correctJob } from "@/data/hand-back/corrections";
import { closeJob, markReady, noteTold, tickBrought } from "@/data/hand-back/returns";
import { correctStationTime } from "@/data/jobs/station-time";
import type { Press } from "@/ui/act/press";

const out = defineAction({
  name: "leave-out",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: z.array(z.string().min(1).max(60)).min(1).max(200),
    reason: z.string().trim().min(4, "Say why it stays out: the reason stands in the report.").max(300, "At most 300 characters."),
  }),
  run: (ctx, input) => {
    for (const positionId of input.positionIds) leaveOut(ctx, input.jobId, positionId, input.reason);
  },
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

const told = defineAction({
  name: "told-to-fetch",
  permission: "counter",
  input: z.object({ jobId }),
  run: (ctx, input) => noteTold(ctx, input.jobId),
});
export async function toldToFetch(press: Press) {
  return told(press);
}

const addition = defineAction({
  name: "correct-job",
  permission: "counter",
  input: z.object({
    jobId,
    words: z.string().trim().min(4, "Say what was wrong, or what came later.").max(500, "At most 500 characters."),
    amountMinor: typedSignedAmount("An amount such as 12.50, or -12.50 taken off; empty for none."),
    paidBy: z.union([z.literal("").transform(() => null), z.enum(["cash", "card", "transfer"])]),
  }),
  run: (ctx, { jobId: id, ...said }) => correctJob(ctx, id, said),
});
export async function addCorrection(press: Press) {
  return addition(press);
}
