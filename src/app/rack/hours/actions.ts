"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedNumber } from "@/core/acts/typed";
import { seenSchema } from "@/core/seen";
import { addPersonOff, removePersonOff, setPersonHours } from "@/data/shop/person-hours";
import type { Press } from "@/ui/act/press";

const hours = z.literal("").or(typedNumber("Hours such as 6 or 5.5, up to 16; empty for none.", { min: 0, max: 16 }));
const week = defineAction({
  name: "set-person-hours",
  permission: "shop",
  input: z.object({
    personId: z.number().int().positive(),
    seen: seenSchema,
    hours: z.object({ d1: hours, d2: hours, d3: hours, d4: hours, d5: hours, d6: hours, d7: hours }),
  }),
  run: (ctx, { personId, seen, hours: { d1, d2, d3, d4, d5, d6, d7 } }) =>
    setPersonHours(
      ctx,
      personId,
      [d1, d2, d3, d4, d5, d6, d7].map((each) => (each === "" ? 0 : Math.round(each * 60))),
      seen,
    ),
});
/** Sets somebody's week at the bench. */
export async function setHours(press: Press) {
  return week(press);
}

const isoDay = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.");
const off = defineAction({
  name: "add-person-off",
  permission: "shop",
  input: z.object({
    personId: z.number().int().positive(),
    from: isoDay,
    to: isoDay,
    words: z.string().trim().max(80, "At most 80 letters."),
  }),
  run: (ctx, { personId, ...days }) => addPersonOff(ctx, personId, days),
});
/** Somebody will not be there. */
export async function notThere(press: Press) {
  return off(press);
}

const back = defineAction({
  name: "remove-person-off",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => removePersonOff(ctx, id),
});
/** They will be there after all. */
export async function there(press: Press) {
  return back(press);
}
