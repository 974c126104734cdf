import { addDays, daysBetween, daysPassed } from "@/core/day/day";
import { type ConsumableId, consumableIds, consumables, onceTakes, type TinState, timesUsed, tinState } from "@/core/ordering/consumables";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { lubricantsUsed } from "@/data/bench/lubricants-used";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import type { Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

/** Writes down what a reel that goes home took of the shelf. */
export function countConsumables(ctx: Context, job: Job): void {
  const { db } = ctx;
  const methods = db
    .prepare("SELECT DISTINCT cleaned_how FROM tray_well WHERE job_id = ? AND cleaned_how IS NOT NULL")
    .pluck()
    .all(job.id) as CleanMethod[];
  const add = db.prepare("INSERT OR REPLACE INTO consumable_use (job_id, product, times, on_day) VALUES (?, ?, ?, ?)");
  for (const [product, times] of timesUsed(lubricantsUsed(db, job, machineOf(db, job)), methods))
    add.run(job.id, product, times, ctx.now.slice(0, 10));
}

/** A return that is taken back took nothing yet. */
export const uncountConsumables = (db: Db, jobId: number): void => {
  db.prepare("DELETE FROM consumable_use WHERE job_id = ?").run(jobId);
};

export interface OpenTin extends TinState {
  readonly id: number;
  readonly words: string;
  readonly holds: number;
  readonly priceMinor: number;
  readonly openedOn: string;
  readonly useBy: string | null;
}

export interface Shelf {
  readonly product: ConsumableId;
  /** Null where none is open. */
  readonly tin: OpenTin | null;
  /** Times used a week over the last half year. */
  readonly perWeek: number;
  /** What one time takes here, in the unit, and how many emptied tins that was learned from. */
  readonly once: number;
  readonly emptied: number;
}

/** Days of use that a pace is told from. */
const paceDays = 182;

/** Every product that was used lately or has a tin open. @param today ISO day. */
export function listShelf(db: Db, today: string): Shelf[] {
  const since = addDays(today, -paceDays);
  const first = db.prepare("SELECT min(on_day) FROM consumable_use").pluck().get() as string | null;
  const days = first === null ? paceDays : Math.max(14, Math.min(paceDays, daysPassed(first, today) + 1));
  const lately = new Map(
    db.prepare("SELECT product, sum(times) FROM consumable_use WHERE on_day >= ? GROUP BY product").raw().all(since) as [
      ConsumableId,
      number,
    ][],
  );
  const timesBetween = db
    .prepare("SELECT coalesce(sum(times), 0) FROM consumable_use WHERE product = ? AND on_day >= ? AND on_day < ?")
    .pluck();
  const tins = db
    .prepare(
      "SELECT id, product, words, holds, price_minor AS priceMinor, opened_on AS openedOn, use_by AS useBy, ended_on AS endedOn, empty FROM tin ORDER BY id",
    )
    .all() as (Omit<OpenTin, keyof TinState> & { product: ConsumableId; endedOn: string | null; empty: 0 | 1 | null })[];
  return consumableIds.flatMap((product) => {
    const mine = tins.filter((tin) => tin.product === product);
    const open = mine.find(({ endedOn }) => endedOn === null);
    const perWeek = ((lately.get(product) ?? 0) / days) * 7;
    if (!open && perWeek === 0) return [];
    const used = mine
      .filter(({ empty }) => empty === 1)
      .map(({ holds, openedOn, endedOn }) => ({ holds, times: timesBetween.get(product, openedOn, endedOn) as number }));
    const once = onceTakes(product, used);
    const toUseBy = open?.useBy ? daysBetween(today, open.useBy) : null;
    const tin = open && {
      id: open.id,
      words: open.words,
      holds: open.holds,
      priceMinor: open.priceMinor,
      openedOn: open.openedOn,
      useBy: open.useBy,
      ...tinState({ holds: open.holds, once }, timesBetween.get(product, open.openedOn, "9999") as number, perWeek, toUseBy),
    };
    return [{ product, tin: tin ?? null, perWeek, once, emptied: used.length }];
  });
}

/** What the finished reels of the last half year took of the shelf, a reel, in minor units; null before the first, or where no tin is known. */
export function costPerService(db: Db, today: string): number | null {
  const since = addDays(today, -paceDays);
  const jobs = db.prepare("SELECT count(DISTINCT job_id) FROM consumable_use WHERE on_day >= ?").pluck().get(since) as number;
  const known = listShelf(db, today).filter(({ tin }) => tin !== null);
  if (jobs === 0 || !known.length) return null;
  const times = new Map(
    db.prepare("SELECT product, sum(times) FROM consumable_use WHERE on_day >= ? GROUP BY product").raw().all(since) as [
      ConsumableId,
      number,
    ][],
  );
  const sum = known.reduce((all, { product, tin, once }) => all + ((times.get(product) ?? 0) * once * tin!.priceMinor) / tin!.holds, 0);
  return sum / jobs;
}

/** A new tin is opened; the one before ends, empty. */
export function openTin(
  ctx: Context,
  tin: {
    readonly product: ConsumableId;
    readonly words: string;
    readonly holds: number;
    readonly priceMinor: number;
    readonly useBy: string | null;
  },
  today: string,
): void {
  const { db } = ctx;
  if (tin.useBy !== null && tin.useBy < today)
    throw new Refusal("use-by", "This date has passed: do not open a tin after its date.", "useBy");
  db.prepare("UPDATE tin SET ended_on = ?, empty = 1 WHERE product = ? AND ended_on IS NULL").run(today, tin.product);
  db.prepare("INSERT INTO tin (product, words, holds, price_minor, opened_on, use_by) VALUES (?, ?, ?, ?, ?, ?)").run(
    tin.product,
    tin.words,
    tin.holds,
    tin.priceMinor,
    today,
    tin.useBy,
  );
  writeJournal(ctx, "tin-opened", {}, { product: consumables[tin.product].name });
}

/** An open tin ends: empty, or thrown away with some of it left. */
export function endTin(ctx: Context, id: number, empty: boolean, today: string): void {
  const { changes } = ctx.db
    .prepare("UPDATE tin SET ended_on = ?, empty = ? WHERE id = ? AND ended_on IS NULL")
    .run(today, empty ? 1 : 0, id);
  if (!changes) throw new Refusal("ended", "This tin is already used up. Reload the page.");
  const product = ctx.db.prepare("SELECT product FROM tin WHERE id = ?").pluck().get(id) as ConsumableId;
  writeJournal(ctx, "tin-ended", {}, { product: consumables[product].name, empty });
}
