"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedNumber } from "@/core/acts/typed";
import { shopFaultSchema, shopFindingSchema, strengthIds } from "@/core/diagnosis/knowledge";
import { addShopFault, addShopFinding, setStrength } from "@/data/diagnosis/knowledge";
import type { Press } from "@/ui/act/press";

const fault = defineAction({
  name: "add-fault",
  permission: "shop",
  input: shopFaultSchema.extend({
    minutes: typedNumber("Minutes of the remedy: a whole number up to 600.", { min: 0, max: 600, whole: true }),
  }),
  run: (ctx, input) => addShopFault(ctx, input),
});
export async function learnFault(press: Press) {
  return fault(press);
}

const sign = defineAction({
  name: "add-sign",
  permission: "shop",
  input: shopFindingSchema.extend({ minutes: typedNumber("Minutes for the check: from half a minute to an hour.", { min: 0.5, max: 60 }) }),
  run: (ctx, input) => addShopFinding(ctx, input),
});
export async function learnSign(press: Press) {
  return sign(press);
}

const strength = defineAction({
  name: "say-strength",
  permission: "shop",
  input: z.object({
    faultId: z.string().max(60),
    findingId: z.string().min(1, "Choose a sign from the list.").max(60),
    strength: z.enum([...strengthIds, "as-common"]).nullable(),
    note: z.string().trim().max(200, "At most 200 characters.").nullable(),
  }),
  run: (ctx, input) => setStrength(ctx, input.faultId, input.findingId, input.strength, input.note),
});
export async function sayStrength(press: Press) {
  return strength(press);
}
