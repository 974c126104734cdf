import { groupBy } from "@/core/group-by";
import type { Need, Offer } from "@/core/ordering/book";
import type { OrderLine, SupplierDesk } from "@/core/ordering/supplier-desk";
import { listOpenJobs } from "@/data/jobs/jobs";
import { moveStock } from "@/data/parts/stock";
import { offersOf } from "@/data/parts/suppliers";
import { listNeeds, listOrderable, markArrived, markOrdered } from "@/data/parts/wanted";
import { quotesOf } from "@/data/quote/quotes";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

export interface OrderView {
  readonly id: number;
  readonly supplierName: string;
  readonly placedAt: string;
  readonly expectedOn: string;
  readonly reference: string;
  readonly lines: readonly {
    readonly id: number;
    readonly number: string;
    readonly name: string;
    readonly quantity: number;
    readonly received: number;
    readonly priceMinor: number;
    readonly tags: string | null;
  }[];
}

/** Open needs with who sells them, and whether their customer's yes is still waited for: those are not ordered. */
export function listOpenNeeds(db: Db): (Need & { readonly offers: readonly Offer[]; readonly waitsForYes: boolean })[] {
  const needs = listNeeds(db, { states: ["open"] });
  const offers = offersOf(
    db,
    needs.map(({ partTypeId }) => partTypeId),
  );
  const jobs = listOpenJobs(
    db,
    needs.map(({ jobId }) => jobId),
  );
  const quotes = quotesOf(db, jobs);
  return needs.map((need) => {
    const consent = quotes.get(need.jobId)?.consent;
    return { ...need, offers: offers.get(need.partTypeId) ?? [], waitsForYes: consent === "ask" || consent === "refused" };
  });
}

/**
 * Puts the open needs a supplier can serve on one order, like parts on one line. It is sent to the supplier's desk after the commit.
 * @returns the order's id. @throws Refusal when the supplier sells none of them, or one belongs to a job whose customer has not said yes.
 */
export function placeOrder(ctx: Context, supplierId: string, needIds: readonly number[], today: string): { orderId: number } {
  const { db } = ctx;
  const supplier = db.prepare("SELECT lead_days FROM supplier WHERE id = ? AND retired_at IS NULL").get(supplierId) as
    | { lead_days: number }
    | undefined;
  if (!supplier) throw new Refusal("no-supplier", "This supplier is not used any more. Choose another.", "supplierId", { to: "suppliers" });
  const needs = listOrderable(db, supplierId, needIds);
  if (!needs.length) throw new Refusal("nothing-to-order", "None of these needs is open with this supplier any more. Reload the list.");
  const jobs = listOpenJobs(
    db,
    needs.map(({ jobId }) => jobId),
  );
  for (const [jobId, { consent }] of quotesOf(db, jobs))
    if (consent === "ask" || consent === "refused") {
      const { tag } = jobs.find(({ id }) => id === jobId)!;
      throw new Refusal("ask-first", `${tag} waits for its customer's yes: ask at Quote, or leave its parts out of this order.`, null, {
        to: "station",
        tag,
        station: "quote",
      });
    }
  const expectedOn = new Date(Date.parse(`${today}T00:00:00Z`) + supplier.lead_days * 86_400_000).toISOString().slice(0, 10);
  const orderId = Number(
    db
      .prepare("INSERT INTO purchase_order (supplier_id, placed_at, expected_on, desk_reference) VALUES (?, ?, ?, '')")
      .run(supplierId, ctx.now, expectedOn).lastInsertRowid,
  );
  for (const [partTypeId, group] of groupBy(needs, (need) => need.partTypeId)) {
    const lineId = Number(
      db
        .prepare("INSERT INTO order_line (order_id, part_type_id, quantity, price_minor) VALUES (?, ?, ?, ?)")
        .run(orderId, partTypeId, group.length, group[0]!.priceMinor).lastInsertRowid,
    );
    for (const need of group) markOrdered(ctx, need.id, lineId);
  }
  writeJournal(ctx, "order-placed", {}, { order: orderId, supplier: supplierId, needs: needs.length });
  return { orderId };
}

/** Orders the supplier's desk has not acknowledged yet are sent; a crash between commit and sending is mended by the next call. */
export async function sendWaitingOrders(db: Db, desk: SupplierDesk): Promise<void> {
  const waiting = db.prepare("SELECT id, supplier_id AS supplierId FROM purchase_order WHERE desk_reference = ''").all() as {
    id: number;
    supplierId: string;
  }[];
  for (const order of waiting) {
    const lines = db
      .prepare(
        "SELECT part_type.number, order_line.quantity FROM order_line JOIN part_type ON part_type.id = order_line.part_type_id WHERE order_id = ?",
      )
      .all(order.id) as OrderLine[];
    const { reference } = await desk.place({ orderId: order.id, supplierId: order.supplierId, lines });
    db.prepare("UPDATE purchase_order SET desk_reference = ? WHERE id = ?").run(reference, order.id);
  }
}

/** Takes in pieces of one order line, all or some. They go to stock, and as many as were wanted are set aside for their jobs. */
export function receive(ctx: Context, orderLineId: number, quantity: number): { keptAsideFor: string[] } {
  const { db } = ctx;
  const line = db.prepare("SELECT part_type_id, quantity, received FROM order_line WHERE id = ?").get(orderLineId) as
    | { part_type_id: string; quantity: number; received: number }
    | undefined;
  if (!line) throw new Refusal("no-line", "This order line is not here any more. Reload the page.");
  const outstanding = line.quantity - line.received;
  if (!Number.isInteger(quantity) || quantity < 1) throw new Refusal("quantity", "Type how many came: a whole number from 1.", "quantity");
  if (quantity > outstanding)
    throw new Refusal(
      "quantity",
      `Only ${outstanding} of this line are outstanding. Count extra pieces into the bin at Stores.`,
      "quantity",
      { to: "bins", partTypeId: line.part_type_id },
    );
  db.prepare("UPDATE order_line SET received = received + ? WHERE id = ?").run(quantity, orderLineId);
  moveStock(ctx, { partTypeId: line.part_type_id, delta: quantity, reason: "received", orderLineId });
  const keptAsideFor = markArrived(ctx, orderLineId, quantity);
  writeJournal(ctx, "parts-received", {}, { line: orderLineId, part: line.part_type_id, quantity });
  return { keptAsideFor };
}

/** Orders with something outstanding, then the newest complete ones. */
export function listOrders(db: Db, limit: number): OrderView[] {
  const orders = db
    .prepare(
      `WITH outstanding AS (SELECT DISTINCT order_id AS id FROM order_line WHERE received < quantity ORDER BY order_id DESC LIMIT @limit),
            newest AS (SELECT id FROM purchase_order ORDER BY id DESC LIMIT 2 * @limit)
       SELECT purchase_order.id, supplier.name AS supplierName, placed_at AS placedAt, expected_on AS expectedOn, desk_reference AS reference
       FROM purchase_order JOIN supplier ON supplier.id = purchase_order.supplier_id
       WHERE purchase_order.id IN (SELECT id FROM outstanding UNION SELECT id FROM newest)
       ORDER BY purchase_order.id IN (SELECT id FROM outstanding) DESC, purchase_order.id DESC LIMIT @limit`,
    )
    .all({ limit }) as Omit<OrderView, "lines">[];
  const lines = db.prepare(
    `SELECT order_line.id, part_type.number, part_type.name, order_line.quantity, order_line.received, order_line.price_minor AS priceMinor,
            (SELECT group_concat(DISTINCT job.tag) FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = order_line.id) AS tags
     FROM order_line JOIN part_type ON part_type.id = order_line.part_type_id WHERE order_id = ? ORDER BY order_line.id`,
  );
  return orders.map((order) => ({ ...order, lines: lines.all(order.id) as OrderView["lines"] }));
}
