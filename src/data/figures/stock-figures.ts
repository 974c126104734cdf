import { daysPassed } from "@/core/day/day";
import { median } from "@/core/quantile";
import type { Db } from "@/data/database/database";

/** What was bought where in a time, and what lies in the bins. @param from and to ISO days, both included. */
export function stockFigures(db: Db, from: string, to: string) {
  const orders = db
    .prepare(
      `SELECT supplier.id, supplier.name, purchase_order.id AS orderId, purchase_order.placed_at AS placed,
         (SELECT sum(coalesce(paid_minor, price_minor * quantity)) FROM order_line WHERE order_line.order_id = purchase_order.id) AS spent,
         (SELECT max(stock_move.at) FROM order_line JOIN stock_move ON stock_move.order_line_id = order_line.id AND stock_move.reason = 'received'
          WHERE order_line.order_id = purchase_order.id) AS arrived
       FROM purchase_order JOIN supplier ON supplier.id = purchase_order.supplier_id
       WHERE purchase_order.placed_at >= ? AND purchase_order.placed_at < ? ORDER BY supplier.name, purchase_order.id`,
    )
    .all(from, `${to}T99`) as { id: string; name: string; placed: string; spent: number | null; arrived: string | null }[];
  const bySupplier = new Map<string, { name: string; spentMinor: number; days: number[]; orders: number }>();
  for (const { id, name, placed, spent, arrived } of orders) {
    const row = bySupplier.get(id) ?? { name, spentMinor: 0, days: [], orders: 0 };
    row.orders++;
    row.spentMinor += spent ?? 0;
    if (arrived) row.days.push(Math.round(daysPassed(placed, arrived)));
    bySupplier.set(id, row);
  }
  const { pieces, worth } = db
    .prepare(
      "SELECT coalesce(sum(count), 0) AS pieces, coalesce(sum(count * price_minor), 0) AS worth FROM stock JOIN part_type ON part_type.id = part_type_id WHERE count > 0",
    )
    .get() as { pieces: number; worth: number };
  return {
    suppliers: [...bySupplier].map(([id, { name, spentMinor, days, orders: n }]) => ({
      id,
      name,
      orders: n,
      spentMinor,
      middleDays: days.length ? median(days) : null,
    })),
    pieces,
    worthMinor: worth,
  };
}
