"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { invite } from "@/data/season/season";
import type { Press } from "@/ui/act/press";

const asked = defineAction({
  name: "season-invite",
  permission: "counter",
  input: z.object({ ownerIds: z.array(z.number().int().positive()).min(1, "Tick somebody first.").max(500) }),
  run: (ctx, { ownerIds }) => invite(ctx, today(), ownerIds),
});
/** Makes the letters that ask owners in before the season. */
export async function askBeforeSeason(press: Press) {
  return asked(press);
}
