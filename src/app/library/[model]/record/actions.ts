"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { lessonKinds, takeConsensus, takeLesson } from "@/data/teardowns/consensus";
import type { Press } from "@/ui/act/press";

const agreed = defineAction({
  name: "take-consensus",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60) }),
  run: (ctx, { modelId }) => takeConsensus(ctx, modelId),
});
/** Makes what the teardowns agree on the schematic. */
export async function takeWhatTheyAgreeOn(press: Press) {
  return agreed(press);
}

const lesson = defineAction({
  name: "take-lesson",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    seatId: z.string().max(80),
    kind: z.enum(lessonKinds),
  }),
  run: (ctx, { modelId, baseNumber, ...of }) => takeLesson(ctx, modelId, baseNumber, of),
});
/** Says at a seat what jobs taught of it. */
export async function sayAtTheSeat(press: Press) {
  return lesson(press);
}
