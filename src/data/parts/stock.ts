import type { StockLine } from "@/core/ordering/book";
import type { CountWhy } from "@/core/ordering/count-why";
import { seenBin } from "@/core/seen/seen";
import { findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

const select = `
  SELECT part_type.id AS partTypeId, part_type.number, part_type.name, stock.bin, stock.count, stock.minimum,
         stock.by_use AS byUse, stock.counted_at AS countedAt,
         (SELECT count(*) FROM need WHERE need.part_type_id = part_type.id AND need.state = 'arrived') AS keptAside
  FROM stock JOIN part_type ON part_type.id = stock.part_type_id`;

type Row = Omit<StockLine, "byUse"> & { readonly byUse: 0 | 1 };
const toLine = (row: Row): StockLine => ({ ...row, byUse: row.byUse === 1 });

export const listStock = (db: Db): StockLine[] => (db.prepare(`${select} ORDER BY part_type.number`).all() as Row[]).map(toLine);

export function findStock(db: Db, partTypeId: string): StockLine | null {
  const row = db.prepare(`${select} WHERE part_type.id = ?`).get(partTypeId) as Row | undefined;
  return row ? toLine(row) : null;
}

/** @throws Refusal instead of a stock below nothing. */
export function moveStock(
  ctx: Context,
  move: {
    partTypeId: string;
    delta: number;
    reason: "used" | "used-undone" | "received" | "counted" | "sent-back";
    why?: CountWhy | null;
    jobId?: number;
    orderLineId?: number;
  },
): void {
  const { db } = ctx;
  db.prepare("INSERT OR IGNORE INTO stock (part_type_id, bin, count) VALUES (?, 'new', 0)").run(move.partTypeId);
  const { count } = db.prepare("SELECT count FROM stock WHERE part_type_id = ?").get(move.partTypeId) as { count: number };
  if (count + move.delta < 0)
    throw new Refusal("no-stock", `Only ${count} in the bin: the count cannot go below 0. Count the bin, or order the part.`, "count");
  db.prepare("UPDATE stock SET count = count + ? WHERE part_type_id = ?").run(move.delta, move.partTypeId);
  db.prepare(
    "INSERT INTO stock_move (part_type_id, delta, reason, why, job_id, order_line_id, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
  ).run(move.partTypeId, move.delta, move.reason, move.why ?? null, move.jobId ?? null, move.orderLineId ?? null, ctx.now, ctx.person.id);
}

/** Sets a bin to what was counted in it. @param why it differed, where somebody knows. */
export function countBin(ctx: Context, partTypeId: string, counted: number, why: CountWhy | null = null): void {
  const part = findPartType(ctx.db, partTypeId);
  if (!part) throw new Refusal("no-part", "This part is not in the catalogue.", "partTypeId");
  if (!Number.isInteger(counted) || counted < 0) throw new Refusal("negative", "Enter a whole number, 0 or more.", "count");
  const before = findStock(ctx.db, partTypeId)?.count ?? 0;
  if (counted !== before) moveStock(ctx, { partTypeId, delta: counted - before, reason: "counted", why });
  ctx.db.prepare("UPDATE stock SET counted_at = ? WHERE part_type_id = ?").run(ctx.now, partTypeId);
  writeJournal(ctx, "bin-counted", {}, { part: partTypeId, counted, before });
}

/** A bin's level goes by its use from now on, or by hand again. */
export function levelByUse(ctx: Context, partTypeId: string, byUse: boolean): void {
  const { changes } = ctx.db.prepare("UPDATE stock SET by_use = ? WHERE part_type_id = ?").run(byUse ? 1 : 0, partTypeId);
  if (!changes) throw new Refusal("no-bin", "This part has no bin.", null, { to: "bins", partTypeId });
  writeJournal(ctx, "bin-level-set", {}, { part: partTypeId, byUse });
}

/**
 * Gives a part a bin, or changes its name and its minimum.
 * @param count how many lie in it; null where nobody counted. @param seen the bin as it was read; null where nobody looked.
 */
export function setBin(
  ctx: Context,
  partTypeId: string,
  bin: string,
  count: number | null,
  minimum: number,
  seen: string | null = null,
): void {
  if (!findPartType(ctx.db, partTypeId)) throw new Refusal("no-part", "This part is not in the catalogue.", "partTypeId");
  const was = findStock(ctx.db, partTypeId);
  if (was && seen === seenBin(null))
    throw new Refusal("has-bin", `${was.number} is in bin ${was.bin} already. Change it there.`, "number", { to: "bins", partTypeId });
  refuseUnseen(seen, seenBin(was), "The bin", "bin");
  ctx.db
    .prepare(
      `INSERT INTO stock (part_type_id, bin, count, minimum) VALUES (?, ?, 0, ?)
       ON CONFLICT (part_type_id) DO UPDATE SET bin = excluded.bin, minimum = excluded.minimum`,
    )
    .run(partTypeId, bin, minimum);
  if (count !== null) countBin(ctx, partTypeId, count);
}

/** Gives a bin up. @throws Refusal while something is counted in it. */
export function removeBin(ctx: Context, partTypeId: string): void {
  const line = findStock(ctx.db, partTypeId);
  if (!line) return;
  if (line.count > 0)
    throw new Refusal("not-empty", `Bin ${line.bin} holds ${line.count}. Count it to 0 first if they are gone.`, "count", {
      to: "bins",
      partTypeId,
    });
  takeOutBin(ctx.db, partTypeId);
  writeJournal(ctx, "bin-removed", {}, { part: partTypeId });
}

/** Forgets that a part was counted, for one that leaves the catalogue again: nothing else happened to it. */
export const forgetCounts = (db: Db, partTypeId: string): void => {
  db.prepare("DELETE FROM stock_move WHERE part_type_id = ? AND reason = 'counted'").run(partTypeId);
};

/** The bin's row alone: whoever calls has seen that it is empty, and says so in the journal. */
export const takeOutBin = (db: Db, partTypeId: string): void => {
  db.prepare("DELETE FROM stock WHERE part_type_id = ?").run(partTypeId);
};
