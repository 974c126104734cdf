"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { handBackSchema } from "@/core/hand-back/hand-back-input";
import { answerLot } from "@/data/counter/lots";
import { closeLot } from "@/data/hand-back/returns";
import type { Press } from "@/ui/act/press";

const answer = defineAction({
  name: "answer-lot",
  permission: "counter",
  input: z.object({
    lotId: z.number().int().positive(),
    accepted: z.boolean(),
    words: z.string().trim().min(2, "Write what the customer said, in a few words.").max(500, "At most 500 characters."),
  }),
  run: (ctx, { lotId, ...said }) => answerLot(ctx, lotId, said),
});
export async function answerWholeLot(press: Press) {
  return answer(press);
}

const close = defineAction({
  name: "close-lot",
  permission: "counter",
  input: handBackSchema.extend({ lotId: z.number().int().positive() }),
  run: (ctx, { lotId, signedBy, ...noted }) => closeLot(ctx, lotId, signedBy, noted),
});
export async function handBackReady(press: Press) {
  return close(press);
}
