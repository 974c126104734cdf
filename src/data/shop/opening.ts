import type { Opening } from "@/core/schedule/opening";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getShopSettings } from "@/data/shop/settings";

export interface KeptShutDays {
  readonly id: number;
  readonly from: string;
  readonly to: string;
  readonly words: string;
}

/** The days the shop is shut beside those of its week, the first first. @param from those that end on this day or later. */
export const listShutDays = (db: Db, from = "0000"): KeptShutDays[] =>
  db
    .prepare(
      'SELECT id, from_day AS "from", to_day AS "to", words FROM shut_days WHERE removed_at IS NULL AND to_day >= ? ORDER BY from_day, id',
    )
    .all(from) as KeptShutDays[];

export const openingOf = (db: Db, from?: string): Opening => ({ openOn: getShopSettings(db).openOn, shut: listShutDays(db, from) });

export function addShutDays(ctx: Context, days: Omit<KeptShutDays, "id">): number {
  if (days.to < days.from) throw new Refusal("before", "The last day is before the first.", "to");
  const id = Number(
    ctx.db.prepare("INSERT INTO shut_days (from_day, to_day, words) VALUES (?, ?, ?)").run(days.from, days.to, days.words).lastInsertRowid,
  );
  writeJournal(ctx, "shut-days-added", {}, { from: days.from, to: days.to });
  return id;
}

export function removeShutDays(ctx: Context, id: number): void {
  const { changes } = ctx.db.prepare("UPDATE shut_days SET removed_at = ? WHERE id = ? AND removed_at IS NULL").run(ctx.now, id);
  if (!changes) throw new Refusal("gone", "These days have already been removed. Reload to see what is left.");
  writeJournal(ctx, "shut-days-removed", {}, { id });
}
