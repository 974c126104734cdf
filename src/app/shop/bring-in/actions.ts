"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { bringInKindIds, type RowFault, rowsOf } from "@/core/bring-in/kinds";
import { mostRows } from "@/core/bring-in/table";
import { bringIn, tryBringIn, undoBringIn } from "@/data/shop/bring-in";
import type { Press } from "@/ui/act/press";

const cells = z.array(z.string().max(2000)).max(60);
const bring = defineAction({
  name: "bring-in",
  permission: "shop",
  input: z.object({
    kind: z.enum(bringInKindIds),
    file: z.string().min(1).max(200),
    columns: z.record(z.string(), z.number().int().min(0).max(59)),
    rows: z.array(cells).min(1, "There is no row to bring in.").max(mostRows, `At most ${mostRows} rows at once.`),
  }),
  // All of them or none: what does not go is said row by row, and nothing is written.
  run: (ctx, input): { id: number } | { faults: readonly RowFault[] } => {
    const { rows, faults } = rowsOf(input.kind, input.rows, input.columns);
    if (faults.length) return { faults };
    const beside = tryBringIn(ctx, input.kind, rows);
    return beside.length ? { faults: beside } : bringIn(ctx, input.kind, input.file, rows);
  },
});
export async function bringInFile(press: Press) {
  return bring(press);
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
