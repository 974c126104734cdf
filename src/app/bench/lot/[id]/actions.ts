"use server";
import { z } from "zod";
import { answerLot } from "@/data/lots";
import type { Press } from "@/ui/act/press";
import { defineAction } from "../../../server";

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
