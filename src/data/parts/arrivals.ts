import { z } from "zod";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { count, id, rows } from "@/data/database/rows";

/** Needs as their parcel moves: ordered, come and put aside, or not coming any more. */

const waitingRow = z.object({ id, tag: z.string() });

export function markOrdered(ctx: Context, needId: number, orderLineId: number): void {
  ctx.db.prepare("UPDATE need SET state = 'ordered', order_line_id = ? WHERE id = ?").run(orderLineId, needId);
}

/** Pieces of an order line came: as many as are waited for are put aside, the earliest promised first. @returns the tags of their jobs. */
export function markArrived(ctx: Context, orderLineId: number, quantity: number): string[] {
  const found = ctx.db
    .prepare(
      "SELECT need.id, job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = ? AND need.state = 'ordered' ORDER BY job.promised_on, need.id LIMIT ?",
    )
    .all(orderLineId, quantity);
  const waiting = rows(waitingRow, found);
  for (const need of waiting) ctx.db.prepare("UPDATE need SET state = 'arrived' WHERE id = ?").run(need.id);
  return [...new Set(waiting.map(({ tag }) => tag))];
}

/**
 * Open jobs that have every piece they waited for since an instant, and none of them fitted yet: their reel can be taken up again.
 * @returns tag and how many pieces lie set aside for it, the earliest promised first.
 */
export const listPiecesHere = (db: Db, since: string): { readonly tag: string; readonly pieces: number }[] =>
  rows(
    z.object({ tag: z.string(), pieces: count }),
    db
      .prepare(
        `SELECT job.tag, count(*) AS pieces FROM need JOIN job ON job.id = need.job_id
       WHERE need.state = 'arrived' AND job.closed_at IS NULL
         AND NOT EXISTS (SELECT 1 FROM need AS other WHERE other.job_id = need.job_id AND other.state IN ('open', 'ordered'))
         AND EXISTS (SELECT 1 FROM stock_move WHERE stock_move.order_line_id = need.order_line_id AND stock_move.at >= ?)
       GROUP BY job.id ORDER BY job.promised_on, job.id`,
      )
      .all(since),
  );

/** Needs of an order line for which no piece comes any more are open again, the latest promised first. @returns the tags of their jobs. */
export function reopenNeeds(ctx: Context, orderLineId: number): string[] {
  const { db } = ctx;
  const coming = count.parse(db.prepare("SELECT quantity - received - given_up FROM order_line WHERE id = ?").pluck().get(orderLineId));
  const found = db
    .prepare(
      "SELECT need.id, job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = ? AND need.state = 'ordered' ORDER BY job.promised_on DESC, need.id DESC",
    )
    .all(orderLineId);
  const waiting = rows(waitingRow, found);
  const without = waiting.slice(0, Math.max(0, waiting.length - coming));
  for (const need of without) db.prepare("UPDATE need SET state = 'open', order_line_id = NULL WHERE id = ?").run(need.id);
  return [...new Set(without.map(({ tag }) => tag))];
}
