"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { takeConsensus, takeFailing } from "@/data/teardowns/consensus";
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

const failing = defineAction({
  name: "take-failing",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive(), seatId: z.string().max(80) }),
  run: (ctx, { modelId, baseNumber, seatId }) => takeFailing(ctx, modelId, baseNumber, seatId),
});
/** Says at a seat how often it fails. */
export async function sayThatItFails(press: Press) {
  return failing(press);
}
