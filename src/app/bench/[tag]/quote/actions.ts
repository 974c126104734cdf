"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId, seat } from "@/core/acts/inputs";
import { typedSignedAmount } from "@/core/acts/typed";
import { faultOutcomeIds } from "@/core/vocabulary/fault-outcomes";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";
import { whoPaysIds } from "@/core/vocabulary/who-pays";
import { wayIds } from "@/core/ways/ways";
import { setWay } from "@/data/bench/ways";
import { setFaultOutcome } from "@/data/diagnosis/faults";
import { declineJob } from "@/data/hand-back/decline";
import { setWhoPays } from "@/data/jobs/jobs";
import { setForeseen } from "@/data/parts/wanted";
import { sayCover } from "@/data/quote/comeback";
import { addJobLine, recordAnswer, removeJobLine } from "@/data/quote/quotes";
import type { Press } from "@/ui/act/press";

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

const foresee = defineAction({
  name: "foresee",
  permission: "bench",
  input: seat.extend({
    wanted: z.boolean(),
    piece: z
      .object({ source: z.enum(["donor", ...pieceSourceIds]), priceMinor: z.number().int().min(0).max(100_000_000) })
      .nullable()
      .default(null),
  }),
  run: (ctx, { jobId: id, positionId, wanted, piece }) => setForeseen(ctx, id, positionId, wanted, piece),
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
    totalMinor: z.number().int(),
    words: z.string().trim().min(2, "Write what the customer said, in a few words.").max(500, "At most 500 characters."),
  }),
  run: (ctx, { jobId: id, ...said }) => recordAnswer(ctx, id, said),
});
export async function recordCustomerAnswer(press: Press) {
  return answer(press);
}

const way = defineAction({
  name: "way",
  permission: "bench",
  input: z.object({
    jobId,
    scope: z.enum(["job", "customer"]),
    way: z.enum(wayIds),
    choice: z.string().max(40).nullable(),
    seen: z.string().max(40).nullable().optional(),
  }),
  run: (ctx, input) => setWay(ctx, input.jobId, input.scope, input.way, input.choice, input.seen),
});
export async function chooseWay(press: Press) {
  return way(press);
}

const line = defineAction({
  name: "job-line",
  permission: "bench",
  input: z.object({
    jobId,
    words: z.string().trim().min(2, "Say what it is for.").max(120, "At most 120 characters."),
    priceMinor: typedSignedAmount("An amount such as 6.90, −5 to take off, or 0."),
  }),
  run: (ctx, { jobId: id, ...input }) => addJobLine(ctx, id, input),
});
export async function addLineToJob(press: Press) {
  return line(press);
}

const unline = defineAction({
  name: "job-line-removed",
  permission: "bench",
  input: z.object({ jobId, lineId: z.number().int().positive() }),
  run: (ctx, input) => removeJobLine(ctx, input.jobId, input.lineId),
});
export async function removeLineOfJob(press: Press) {
  return unline(press);
}

const pays = defineAction({
  name: "who-pays",
  permission: "counter",
  input: z.object({ jobId, pays: z.enum(whoPaysIds) }),
  run: (ctx, input) => setWhoPays(ctx, input.jobId, input.pays),
});
export async function sayWhoPays(press: Press) {
  return pays(press);
}

const cover = defineAction({
  name: "cover-line",
  permission: "counter",
  input: z.object({ jobId, kind: z.enum(["fault", "part"]), ref: z.string().min(1).max(80), ours: z.boolean() }),
  run: (ctx, input) => sayCover(ctx, input.jobId, input.kind, input.ref, input.ours),
});
export async function sayCoverOfLine(press: Press) {
  return cover(press);
}

const outcome = defineAction({
  name: "fault-outcome",
  permission: "bench",
  input: z.object({ jobId, faultId: z.string().max(80), outcome: z.enum(faultOutcomeIds).nullable() }),
  run: (ctx, input) => setFaultOutcome(ctx, input.jobId, input.faultId, input.outcome),
});
export async function chooseFaultOutcome(press: Press) {
  return outcome(press);
}
