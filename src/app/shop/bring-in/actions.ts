"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { startBackup } from "@/app/server/daily-backup";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { bringInKindIds, type RowFault, rowsOf } from "@/core/bring-in/kinds";
import { mostRows } from "@/core/bring-in/table";
import { mayDo } from "@/core/sign-in/permissions";
import { bringIn, tryBringIn, undoBringIn } from "@/data/shop/bring-in";
import type { ActionResult, Press } from "@/ui/act/press";

const cells = z.array(z.string().max(2000)).max(60);
const asBrought = z.object({
  kind: z.enum(bringInKindIds),
  file: z.string().min(1).max(200),
  columns: z.record(z.string(), z.number().int().min(0).max(59)),
  rows: z.array(cells).min(1, "There is no row to bring in.").max(mostRows, `At most ${mostRows} rows at once.`),
  /** Chosen once no copy could be made. */
  uncopied: z.boolean().default(false),
});
const bring = defineAction({
  name: "bring-in",
  permission: "shop",
  input: asBrought,
  // All of them or none: what does not go is said row by row, and nothing is written.
  run: (ctx, input): { id: number } | { faults: readonly RowFault[] } => {
    const { rows, faults } = rowsOf(input.kind, input.rows, input.columns);
    if (faults.length) return { faults };
    const beside = tryBringIn(ctx, input.kind, rows);
    return beside.length ? { faults: beside } : bringIn(ctx, input.kind, input.file, rows);
  },
});
export async function bringInFile(
  press: Press,
): Promise<ActionResult<{ id: number } | { faults: readonly RowFault[] } | { noCopy: true }>> {
  // What does not go for itself is said before anything is copied.
  if (await wantsCopy(press)) if (!(await startBackup("before-import"))) return { ok: true, value: { noCopy: true } };
  return bring(press);
}

/** Whether a file is about to come in that can: then the shop is copied first. */
async function wantsCopy({ input }: Press): Promise<boolean> {
  const read = asBrought.safeParse(input);
  if (!read.success || read.data.uncopied) return false;
  const { person } = await whoAsks(getDb());
  if (!person || !mayDo(person, "shop")) return false;
  return rowsOf(read.data.kind, read.data.rows, read.data.columns).faults.length === 0;
}

const undo = defineAction({
  name: "undo-bring-in",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => undoBringIn(ctx, id),
});
export async function takeFileBack(press: Press) {
  return undo(press);
}
