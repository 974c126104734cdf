import type { OrderLine, SupplierDesk } from "@/core/ordering/supplier-desk";
import { findPartCard } from "@/data/catalogue/part-types";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { findStock, moveStock } from "@/data/parts/stock";
import { listOffers } from "@/data/parts/suppliers";
import { wantedPart } from "@/data/parts/wanted";
import { getQuote, requireConsent } from "@/data/quote/quotes";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

export type NeedState = "open" | "ordered" | "arrived" | "used" | "withdrawn";

export interface Need {
  readonly id: number;
  readonly jobId: number;
  readonly tag: string;
  readonly positionId: string;
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly state: NeedState;
}

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

/** Needs in the given states, oldest first. */
export function listNeeds(db: Db, filter: { states: readonly NeedState[]; jobId?: number }): Need[] {
  return db
    .prepare(
      `SELECT need.id, need.job_id AS jobId, job.tag, need.position_id AS positionId, need.part_type_id AS partTypeId, part_type.number, part_type.name, need.state
       FROM need JOIN job ON job.id = need.job_id JOIN part_type ON part_type.id = need.part_type_id
       WHERE need.state IN (SELECT value FROM json_each(@states)) AND (@job IS NULL OR need.job_id = @job) ORDER BY need.id`,
    )
    .all({ states: JSON.stringify(filter.states), job: filter.jobId ?? null }) as Need[];
}

function insertNeed(ctx: Context, job: Job, positionId: string, partTypeId: string): void {
  ctx.db
    .prepare("INSERT INTO need (job_id, position_id, part_type_id, state, at) VALUES (?, ?, ?, 'open', ?)")
    .run(job.id, positionId, partTypeId, ctx.now);
  ctx.db
    .prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?)")
    .run(job.id, positionId, partTypeId);
  writeJournal(ctx, "need-added", { jobId: job.id, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

const needOf = (db: Db, jobId: number, positionId: string) =>
  db
    .prepare("SELECT state FROM need WHERE job_id = ? AND position_id = ? AND state IN ('open', 'ordered', 'arrived')")
    .get(jobId, positionId) as { state: string } | undefined;

/** A seat of this job wants a new piece that is not in the bin. */
export function addNeed(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const position = wantedPart(db, job, positionId);
  const there = needOf(db, jobId, positionId);
  if (there) throw new Refusal("needed", `It is ${there.state === "open" ? "on the list of needs" : there.state} for this seat already.`);
  if (findPartCard(db, position.partTypeId)?.retired)
    throw new Refusal("retired", `${position.name} is not ordered any more. Choose what replaces it, or use its number again.`, null, {
      to: "part",
      partTypeId: position.partTypeId,
      at: "facts",
    });
  if (!listOffers(db, position.partTypeId).length)
    throw new Refusal("no-offer", `No supplier in the book sells ${position.name}. Add an offer to the part, or look for a donor.`, null, {
      to: "part",
      partTypeId: position.partTypeId,
      at: "offers",
    });
  insertNeed(ctx, job, positionId, position.partTypeId);
  advanceStation(ctx, job, "parts");
}

/** What a verdict at the tray does at Stores: a need where the bin is empty and nothing is against it. @returns what became of it, in words. */
export function openNeed(ctx: Context, job: Job, positionId: string): string {
  const { db } = ctx;
  const { partTypeId } = wantedPart(db, job, positionId);
  const { consent } = getQuote(db, job);
  if (consent !== "within-limit" && consent !== "agreed") return "Foreseen in the quote; the sum is above what was agreed: ask at Quote.";
  if (needOf(db, job.id, positionId)) return "Wanted at Stores already.";
  const line = findStock(db, partTypeId);
  const free = line ? line.count - line.keptAside : 0;
  if (line && free > 0) return `Foreseen in the quote; ${free} in bin ${line.bin}: take it at Parts.`;
  if (!listOffers(db, partTypeId).length)
    return "Foreseen in the quote; nobody in the book sells it: look for a donor or a substitute at Parts.";
  insertNeed(ctx, job, positionId, partTypeId);
  return "Foreseen in the quote and on the list of needs at Stores.";
}

export function withdrawNeed(ctx: Context, needId: number): void {
  const { changes } = ctx.db.prepare("UPDATE need SET state = 'withdrawn' WHERE id = ? AND state = 'open'").run(needId);
  if (!changes) throw new Refusal("ordered", "This need is on order already. When it comes it goes to stock.");
  writeJournal(ctx, "need-withdrawn", {}, { need: needId });
}

/**
 * Puts the open needs a supplier can serve on one order, like parts on one line. It is sent to the supplier's desk after the commit.
 * @returns the order's id. @throws Refusal when the supplier sells none of them.
 */
export function placeOrder(ctx: Context, supplierId: string, needIds: readonly number[], today: string): { orderId: number } {
  const { db } = ctx;
  const supplier = db.prepare("SELECT lead_days FROM supplier WHERE id = ? AND retired_at IS NULL").get(supplierId) as
    | { lead_days: number }
    | undefined;
  if (!supplier) throw new Refusal("no-supplier", "This supplier is not used any more. Choose another.", "supplierId", { to: "suppliers" });
  const needs = db
    .prepare(
      `SELECT need.id, need.part_type_id, offer.price_minor FROM need JOIN offer ON offer.part_type_id = need.part_type_id AND offer.supplier_id = @supplier
       WHERE need.state = 'open' AND need.id IN (SELECT value FROM json_each(@needs)) ORDER BY need.id`,
    )
    .all({ supplier: supplierId, needs: JSON.stringify(needIds) }) as { id: number; part_type_id: string; price_minor: number }[];
  if (!needs.length) throw new Refusal("nothing-to-order", "None of these needs is open with this supplier any more. Reload the list.");
  const expectedOn = new Date(Date.parse(`${today}T00:00:00Z`) + supplier.lead_days * 86_400_000).toISOString().slice(0, 10);
  const orderId = Number(
    db
      .prepare("INSERT INTO purchase_order (supplier_id, placed_at, expected_on, desk_reference) VALUES (?, ?, ?, '')")
      .run(supplierId, ctx.now, expectedOn).lastInsertRowid,
  );
  const byPart = groupByPart(needs);
  for (const [partTypeId, group] of byPart) {
    const lineId = Number(
      db
        .prepare("INSERT INTO order_line (order_id, part_type_id, quantity, price_minor) VALUES (?, ?, ?, ?)")
        .run(orderId, partTypeId, group.length, group[0]!.price_minor).lastInsertRowid,
    );
    for (const need of group) db.prepare("UPDATE need SET state = 'ordered', order_line_id = ? WHERE id = ?").run(lineId, need.id);
  }
  writeJournal(ctx, "order-placed", {}, { order: orderId, supplier: supplierId, needs: needs.length });
  return { orderId };
}

function groupByPart<T extends { part_type_id: string }>(needs: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const need of needs) groups.set(need.part_type_id, [...(groups.get(need.part_type_id) ?? []), need]);
  return groups;
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

/** Takes in pieces of one order line, all or some. They go to stock, and as many as were wanted are kept aside for their jobs. */
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
  const waiting = db
    .prepare(
      "SELECT need.id, job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = ? AND need.state = 'ordered' ORDER BY job.promised_on, need.id LIMIT ?",
    )
    .all(orderLineId, quantity) as { id: number; tag: string }[];
  for (const need of waiting) db.prepare("UPDATE need SET state = 'arrived' WHERE id = ?").run(need.id);
  writeJournal(ctx, "parts-received", {}, { line: orderLineId, part: line.part_type_id, quantity });
  return { keptAsideFor: [...new Set(waiting.map((need) => need.tag))] };
}

/** Orders with something outstanding, then the newest complete ones. */
export function listOrders(db: Db, limit: number): OrderView[] {
  const orders = db
    .prepare(
      `SELECT purchase_order.id, supplier.name AS supplierName, placed_at AS placedAt, expected_on AS expectedOn, desk_reference AS reference
       FROM purchase_order JOIN supplier ON supplier.id = purchase_order.supplier_id
       ORDER BY (SELECT sum(quantity - received) > 0 FROM order_line WHERE order_id = purchase_order.id) DESC, purchase_order.id DESC LIMIT ?`,
    )
    .all(limit) as Omit<OrderView, "lines">[];
  const lines = db.prepare(
    `SELECT order_line.id, part_type.number, part_type.name, order_line.quantity, order_line.received, order_line.price_minor AS priceMinor,
            (SELECT group_concat(DISTINCT job.tag) FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = order_line.id) AS tags
     FROM order_line JOIN part_type ON part_type.id = order_line.part_type_id WHERE order_id = ? ORDER BY order_line.id`,
  );
  return orders.map((order) => ({ ...order, lines: lines.all(order.id) as OrderView["lines"] }));
}
