import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { markArrived, reopenNeeds } from "@/data/parts/arrivals";
import { moveStock } from "@/data/parts/stock";

/** Takes in what a supplier sends: all, some, more than ordered, the wrong piece, a broken one, at another price; and sends back. */

interface Line {
  readonly id: number;
  readonly partTypeId: string;
  readonly quantity: number;
  readonly received: number;
  readonly givenUp: number;
  readonly priceMinor: number;
  readonly pack: number;
}

function getLine(db: Db, orderLineId: number): Line {
  const line = db
    .prepare(
      "SELECT id, part_type_id AS partTypeId, quantity, received, given_up AS givenUp, price_minor AS priceMinor, pack FROM order_line WHERE id = ?",
    )
    .get(orderLineId) as Line | undefined;
  if (!line) throw new Refusal("no-line", "This order line no longer exists. Reload the page.");
  return line;
}
const outstandingOf = ({ quantity, received, givenUp }: Line) => quantity - received - givenUp;

/**
 * Pieces of one order line came, all or some. They go to stock, and as many as are waited for are set aside for their jobs, the earliest
 * promised first.
 * @param more there were more in it than ordered: those go to the bin. @param paidMinor what the line costs by the bill, where it differs.
 */
export function receive(
  ctx: Context,
  orderLineId: number,
  quantity: number,
  { more = false, paidMinor = null }: { more?: boolean; paidMinor?: number | null } = {},
): { keptAsideFor: string[] } {
  const { db } = ctx;
  const line = getLine(db, orderLineId);
  const outstanding = outstandingOf(line);
  if (!Number.isInteger(quantity) || quantity < 1) throw new Refusal("quantity", "Type how many came: a whole number from 1.", "quantity");
  if (quantity > outstanding && !more)
    throw new Refusal(
      "quantity",
      `Only ${outstanding} of this line are outstanding. If there were more than ordered, press More than ordered.`,
      "quantity",
      { to: "bins", partTypeId: line.partTypeId },
    );
  const asked = Math.min(quantity, outstanding);
  db.prepare("UPDATE order_line SET received = received + ?, extra = extra + ?, paid_minor = coalesce(?, paid_minor) WHERE id = ?").run(
    asked,
    quantity - asked,
    paidMinor,
    orderLineId,
  );
  moveStock(ctx, { partTypeId: line.partTypeId, delta: quantity, reason: "received", orderLineId });
  const keptAsideFor = markArrived(ctx, orderLineId, quantity);
  writeJournal(ctx, "parts-received", {}, { line: orderLineId, part: line.partTypeId, quantity });
  return { keptAsideFor };
}

/** Everything of an order that is still out came, as ordered. @returns the tags of the jobs that have their pieces now. */
export function receiveOrder(ctx: Context, orderId: number): { keptAsideFor: string[] } {
  const lines = ctx.db
    .prepare(
      "SELECT id, quantity - received - given_up AS out FROM order_line WHERE order_id = ? AND received + given_up < quantity ORDER BY id",
    )
    .all(orderId) as { id: number; out: number }[];
  if (!lines.length) throw new Refusal("nothing-out", "Nothing on this order is outstanding. Reload the page.");
  return { keptAsideFor: [...new Set(lines.flatMap(({ id, out }) => receive(ctx, id, out).keptAsideFor))] };
}

/** The bill asks another price for a line than was agreed. */
export function paidOtherwise(ctx: Context, orderLineId: number, paidMinor: number): void {
  const line = getLine(ctx.db, orderLineId);
  ctx.db.prepare("UPDATE order_line SET paid_minor = ? WHERE id = ?").run(paidMinor, orderLineId);
  writeJournal(ctx, "line-paid-otherwise", {}, { line: orderLineId, part: line.partTypeId, paid: paidMinor });
}

/** Pieces came wrong or broken: they lie apart, no bin takes them, and the line waits for others. @returns the entry's id. */
export function putDownBad(
  ctx: Context,
  orderLineId: number,
  bad: { readonly kind: "wrong" | "broken"; readonly pieces: number; readonly words: string },
): number {
  const { db } = ctx;
  const line = getLine(db, orderLineId);
  const lying = db
    .prepare("SELECT coalesce(sum(pieces), 0) FROM bad_piece WHERE order_line_id = ? AND state IN ('here', 'sent-back')")
    .pluck()
    .get(orderLineId) as number;
  const able = outstandingOf(line) - lying;
  if (!Number.isInteger(bad.pieces) || bad.pieces < 1) throw new Refusal("quantity", "How many: a whole number from 1.", "quantity");
  if (bad.pieces > able)
    throw new Refusal(
      "quantity",
      able > 0
        ? `Only ${able} more of this line are awaited. If a part already put away turns out bad, count it out of its bin.`
        : "No more of this line are awaited. If a part already put away turns out bad, count it out of its bin.",
      "quantity",
      { to: "bins", partTypeId: line.partTypeId },
    );
  const id = Number(
    db
      .prepare("INSERT INTO bad_piece (order_line_id, kind, pieces, words, state, at, person_id) VALUES (?, ?, ?, ?, 'here', ?, ?)")
      .run(orderLineId, bad.kind, bad.pieces, bad.words, ctx.now, ctx.person.id).lastInsertRowid,
  );
  writeJournal(ctx, "bad-piece", {}, { line: orderLineId, part: line.partTypeId, kind: bad.kind, pieces: bad.pieces });
  return id;
}

/**
 * What became of bad pieces: on their way back, made good by others, or by money. With money the line waits for them no more, and the jobs that
 * waited are on the needs list again.
 */
export function settleBad(
  ctx: Context,
  badPieceId: number,
  to: { readonly state: "sent-back" | "replaced" } | { readonly state: "credited"; readonly creditMinor: number },
): void {
  const { db } = ctx;
  const bad = db.prepare("SELECT order_line_id AS lineId, pieces, state FROM bad_piece WHERE id = ?").get(badPieceId) as
    | { lineId: number; pieces: number; state: string }
    | undefined;
  const able = to.state === "sent-back" ? ["here"] : ["here", "sent-back"];
  if (!bad || !able.includes(bad.state)) throw new Refusal("settled", "This has already been settled. Reload the page.");
  const line = getLine(db, bad.lineId);
  const credit = to.state === "credited" ? to.creditMinor : null;
  db.prepare("UPDATE bad_piece SET state = ?, credit_minor = ?, settled_at = ? WHERE id = ?").run(
    to.state,
    credit,
    to.state === "sent-back" ? null : ctx.now,
    badPieceId,
  );
  writeJournal(ctx, "bad-piece-settled", {}, { part: line.partTypeId, to: to.state, ...(credit === null ? {} : { credit }) });
  if (to.state === "credited") giveUpPieces(ctx, line, Math.min(bad.pieces, outstandingOf(line)));
}

/** The rest of a line will not come. @returns the tags of jobs that are on the needs list again. */
export function giveUpLine(ctx: Context, orderLineId: number): { again: string[] } {
  const line = getLine(ctx.db, orderLineId);
  const pieces = outstandingOf(line);
  if (pieces === 0) throw new Refusal("nothing-out", "Nothing on this line is outstanding. Reload the page.");
  return giveUpPieces(ctx, line, pieces);
}

function giveUpPieces(ctx: Context, line: Line, pieces: number): { again: string[] } {
  if (pieces === 0) return { again: [] };
  ctx.db.prepare("UPDATE order_line SET given_up = given_up + ? WHERE id = ?").run(pieces, line.id);
  writeJournal(ctx, "line-given-up", {}, { line: line.id, part: line.partTypeId, pieces });
  return { again: reopenNeeds(ctx, line.id) };
}
