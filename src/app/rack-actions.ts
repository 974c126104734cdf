"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { movePromise } from "@/data/promise/move";
import type { Press } from "@/ui/act/press";

const moved = defineAction({
  name: "move-promise",
  permission: "counter",
  input: z.object({
    jobIds: z.array(z.number().int().positive()).min(1).max(100),
    to: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
  }),
  run: (ctx, { jobIds, to }) => movePromise(ctx, jobIds, to, today()),
});
/** Promises what hangs on a tag for another day. */
export async function promiseAnotherDay(press: Press) {
  return moved(press);
}
