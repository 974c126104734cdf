import { z } from "zod";
import { addDays } from "@/core/day/day";
import { groupBy } from "@/core/group-by";
import type { Need, Offer } from "@/core/ordering/book";
import { type OrderPaper, orderText } from "@/core/ordering/order-paper";
import { priceOfPacks } from "@/core/ordering/plan/sources";
import type { OrderLine, SupplierDesk } from "@/core/ordering/supplier-desk";
import { mayGoOn } from "@/core/quote/consent";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { count, row } from "@/data/database/rows";
import { listOpenJobs } from "@/data/jobs/jobs";
import { writeMail } from "@/data/messages/outbox";
import { markOrdered } from "@/data/parts/arrivals";
import { listNeeds, listOpenNeedsById } from "@/data/parts/needs";
import { wantInstead } from "@/data/parts/quote-parts";
import { offersOf } from "@/data/parts/suppliers";
import { quotesOf } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";
import { type BadPiece, badPiecesOf } from "./bad-pieces";
import { leadTimesOf } from "./experience";
import { getOrderRules } from "./order-rules";

export interface OrderView {
  readonly id: number;
  readonly supplierName: string;
  readonly placedAt: string;
  readonly expectedOn: string;
  readonly reference: string;
  /** What the supplier's desk said beside. */
  readonly note: string;
  readonly lines: readonly {
    readonly id: number;
    readonly number: string;
    readonly name: string;
    readonly quantity: number;
    readonly received: number;
    /** Of a pack, as ordered. */
    readonly priceMinor: number;
    readonly pack: number;
    readonly partTypeId: string;
    /** Came beyond what was ordered, or will not come. */
    readonly extra: number;
    readonly givenUp: number;
    readonly tags: string | null;
    readonly bad: readonly BadPiece[];
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
    const quote = quotes.get(need.jobId);
    return { ...need, offers: offers.get(need.partTypeId) ?? [], waitsForYes: quote !== undefined && !mayGoOn(quote.consent) };
  });
}

/** How orders leave: to a desk that answers, by mail; what goes neither way somebody sends by hand. */
export interface GoesBy {
  readonly desk: boolean;
  readonly mail: boolean;
}
const everyWay: GoesBy = { desk: true, mail: true };
/** The reference of an order that no desk took. */
const byHand = "by hand";

/** What one supplier is asked for. */
export interface Basket {
  readonly supplierId: string;
  readonly lines: readonly {
    readonly partTypeId: string;
    readonly packs: number;
    /** What these packs cost together when the order was made up. */
    readonly priceMinor: number;
  }[];
  /** Which needs get a piece of which part; the rest goes to the bins. */
  readonly gets: readonly { readonly needId: number; readonly partTypeId: string }[];
}

/**
 * Places one supplier's order. A need that gets a substitute wants that from now on, at Quote too. It is sent to the supplier's desk after the
 * commit.
 * @returns the order's id. @throws Refusal when something is not sold there or costs another sum by now, a need is not open any more, or a
 * customer has not said yes.
 */
export function placeBasket(ctx: Context, basket: Basket, today: string, goesBy: GoesBy = everyWay): { orderId: number } {
  const { db } = ctx;
  const supplier = db
    .prepare("SELECT name, lead_days, smallest_order_minor, email FROM supplier WHERE id = ? AND retired_at IS NULL")
    .get(basket.supplierId) as { name: string; lead_days: number; smallest_order_minor: number; email: string } | undefined;
  if (!supplier) throw new Refusal("no-supplier", "This supplier is no longer used. Choose another.", "supplierId", { to: "suppliers" });
  const bought = basket.lines.filter(({ packs }) => packs > 0);
  const needs = listOpenNeedsById(
    db,
    basket.gets.map(({ needId }) => needId),
  );
  if (needs.size < basket.gets.length)
    throw new Refusal("nothing-to-order", "Some of these needs are no longer open: ordered elsewhere or withdrawn. Reload the list.");
  if (!bought.length) throw new Refusal("nothing-to-order", "There is nothing to order in it. Reload the list.");
  const offers = offersOf(
    db,
    bought.map(({ partTypeId }) => partTypeId),
  );
  let value = 0;
  const lines = bought.map(({ partTypeId, packs, priceMinor }) => {
    const offer = offers.get(partTypeId)?.find(({ supplierId }) => supplierId === basket.supplierId);
    if (!offer)
      throw new Refusal("not-sold", `${supplier.name} does not sell ${partTypeId} any longer. Reload the list.`, null, {
        to: "part",
        partTypeId,
        at: "offers",
      });
    const price = priceOfPacks({ breaks: [{ fromPacks: 1, priceMinor: offer.priceMinor }, ...offer.breaks] }, packs);
    if (price !== priceMinor)
      throw new Refusal("price", `${supplier.name} asks another price for ${partTypeId} now. Reload the list to see it.`);
    value += price;
    const mine = basket.gets.filter((get) => get.partTypeId === partTypeId);
    if (mine.length > packs * offer.pack) throw new Refusal("too-few", "More jobs need it than will arrive. Reload the list.");
    return { partTypeId, pack: offer.pack, packs, eachMinor: Math.round(price / packs), needs: mine.map(({ needId }) => needId) };
  });
  if (value < supplier.smallest_order_minor)
    throw new Refusal("too-small", `${supplier.name} does not deliver below its minimum order. Reload the list.`, null, {
      to: "suppliers",
    });
  for (const { needId, partTypeId } of basket.gets) {
    const need = needs.get(needId)!;
    if (need.partTypeId !== partTypeId) wantInstead(ctx, need.jobId, need.positionId, partTypeId);
  }
  refuseUnasked(db, [...new Set([...needs.values()].map(({ jobId }) => jobId))]);
  const promised = leadTimesOf(db, [{ id: basket.supplierId, leadDays: supplier.lead_days }], getOrderRules(db).leadChance / 100);
  const days = Math.max(supplier.lead_days, Math.round(promised.get(basket.supplierId)!.middle));
  const expectedOn = addDays(today, days);
  const orderId = Number(
    db
      .prepare("INSERT INTO purchase_order (supplier_id, placed_at, expected_on, desk_reference) VALUES (?, ?, ?, ?)")
      .run(basket.supplierId, ctx.now, expectedOn, goesBy.desk ? "" : byHand).lastInsertRowid,
  );
  const add = db.prepare("INSERT INTO order_line (order_id, part_type_id, quantity, price_minor, pack) VALUES (?, ?, ?, ?, ?)");
  for (const line of lines) {
    const lineId = Number(add.run(orderId, line.partTypeId, line.packs * line.pack, line.eachMinor, line.pack).lastInsertRowid);
    for (const needId of line.needs) markOrdered(ctx, needId, lineId);
  }
  writeJournal(ctx, "order-placed", {}, { order: orderId, supplier: basket.supplierId, needs: basket.gets.length, lines: lines.length });
  if (supplier.email && goesBy.mail) {
    const { shopName } = getShopSettings(db);
    writeMail(ctx, {
      kind: "order",
      ref: orderId,
      to: supplier.email,
      subject: `Order ${orderId} of ${shopName}`,
      text: orderText(shopName, paperOf(db, orderId)!),
    });
  }
  return { orderId };
}

/** @throws Refusal for the first job whose customer has not said yes to what it wants now. */
function refuseUnasked(db: Db, jobIds: readonly number[]): void {
  const jobs = listOpenJobs(db, jobIds);
  for (const [jobId, { consent }] of quotesOf(db, jobs))
    if (!mayGoOn(consent)) {
      const { tag } = jobs.find(({ id }) => id === jobId)!;
      throw new Refusal("ask-first", `${tag} is waiting for the customer's OK: ask at Quote, or leave its parts out of this order.`, null, {
        to: "station",
        tag,
        station: "quote",
      });
    }
}

/** Several suppliers' orders in one act: all are placed, or none. */
export function placeBaskets(ctx: Context, baskets: readonly Basket[], today: string, goesBy: GoesBy = everyWay): { orders: number } {
  for (const basket of baskets) placeBasket(ctx, basket, today, goesBy);
  return { orders: baskets.length };
}

/**
 * Orders the open needs that a supplier sells, each its own part, packs as many as that takes.
 * @returns the order's id. @throws Refusal when the supplier sells none of them, or one belongs to a job whose customer has not said yes.
 */
export function placeOrder(ctx: Context, supplierId: string, needIds: readonly number[], today: string): { orderId: number } {
  const { db } = ctx;
  const needs = [...listOpenNeedsById(db, needIds)];
  const offers = offersOf(
    db,
    needs.map(([, { partTypeId }]) => partTypeId),
  );
  const gets = needs.flatMap(([needId, { partTypeId }]) =>
    offers.get(partTypeId)?.some((offer) => offer.supplierId === supplierId) ? [{ needId, partTypeId }] : [],
  );
  const lines = [...groupBy(gets, ({ partTypeId }) => partTypeId)].map(([partTypeId, mine]) => {
    const { priceMinor, pack, breaks } = offers.get(partTypeId)!.find((offer) => offer.supplierId === supplierId)!;
    const packs = Math.ceil(mine.length / pack);
    return { partTypeId, packs, priceMinor: priceOfPacks({ breaks: [{ fromPacks: 1, priceMinor }, ...breaks] }, packs) };
  });
  if (!gets.length && db.prepare("SELECT 1 FROM supplier WHERE id = ? AND retired_at IS NULL").get(supplierId))
    throw new Refusal("nothing-to-order", "None of these needs is still open with this supplier. Reload the list.");
  return placeBasket(ctx, { supplierId, lines, gets }, today);
}

/** An order as it leaves: by paper, file or mail. Null for no such order. */
export function paperOf(db: Db, orderId: number): OrderPaper | null {
  const order = db
    .prepare(
      `SELECT purchase_order.id, supplier.name AS supplier, substr(placed_at, 1, 10) AS placedOn, expected_on AS expectedOn
       FROM purchase_order JOIN supplier ON supplier.id = purchase_order.supplier_id WHERE purchase_order.id = ?`,
    )
    .get(orderId) as Omit<OrderPaper, "lines"> | undefined;
  if (!order) return null;
  const lines = db
    .prepare(
      `SELECT part_type.number, part_type.name, order_line.quantity / order_line.pack AS packs, order_line.pack, order_line.price_minor AS priceMinor
       FROM order_line JOIN part_type ON part_type.id = order_line.part_type_id WHERE order_id = ? ORDER BY order_line.id`,
    )
    .all(orderId) as OrderPaper["lines"];
  return { ...order, lines };
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
    const { reference, lateDays = 0, note = "" } = await desk.place({ orderId: order.id, supplierId: order.supplierId, lines });
    db.prepare("UPDATE purchase_order SET desk_reference = ?, desk_note = ?, expected_on = date(expected_on, ?) WHERE id = ?").run(
      reference,
      note.slice(0, 300),
      `+${lateDays} days`,
      order.id,
    );
  }
}

const coming = z.object({ out: count, due: count });

/** How many orders have something outstanding, and how many of those should be here by a day. @param day ISO day. */
export const countComing = (db: Db, day: string): z.output<typeof coming> =>
  row(
    coming,
    db
      .prepare(
        `SELECT count(*) AS out, count(*) FILTER (WHERE expected_on <= ?) AS due FROM purchase_order
         WHERE id IN (SELECT order_id FROM order_line WHERE received + given_up < quantity)`,
      )
      .get(day),
  )!;

/** Orders with something outstanding, then the newest complete ones. */
export function listOrders(db: Db, limit: number): OrderView[] {
  const orders = db
    .prepare(
      `WITH outstanding AS (SELECT DISTINCT order_id AS id FROM order_line WHERE received + given_up < quantity ORDER BY order_id DESC LIMIT @limit),
            newest AS (SELECT id FROM purchase_order ORDER BY id DESC LIMIT 2 * @limit)
       SELECT purchase_order.id, supplier.name AS supplierName, placed_at AS placedAt, expected_on AS expectedOn, desk_reference AS reference, desk_note AS note
       FROM purchase_order JOIN supplier ON supplier.id = purchase_order.supplier_id
       WHERE purchase_order.id IN (SELECT id FROM outstanding UNION SELECT id FROM newest)
       ORDER BY purchase_order.id IN (SELECT id FROM outstanding) DESC, purchase_order.id DESC LIMIT @limit`,
    )
    .all({ limit }) as Omit<OrderView, "lines">[];
  const lines = db.prepare(
    `SELECT order_line.id, part_type.number, part_type.name, order_line.quantity, order_line.received, order_line.price_minor AS priceMinor,
            order_line.pack, order_line.part_type_id AS partTypeId, order_line.extra, order_line.given_up AS givenUp,
            (SELECT group_concat(DISTINCT job.tag) FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = order_line.id) AS tags
     FROM order_line JOIN part_type ON part_type.id = order_line.part_type_id WHERE order_id = ? ORDER BY order_line.id`,
  );
  return orders.map((order) => {
    const own = lines.all(order.id) as Omit<OrderView["lines"][number], "bad">[];
    const bad = badPiecesOf(
      db,
      own.map(({ id }) => id),
    );
    return { ...order, lines: own.map((line) => ({ ...line, bad: bad.get(line.id) ?? [] })) };
  });
}
