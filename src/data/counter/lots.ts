import {
  checkLotRows,
  isBlank,
  type LotFault,
  type LotRow,
  largestLot,
  readComplaint,
  readDepth,
  readDragWish,
} from "@/core/lots/lot-rows";
import { waitsForAnswer } from "@/core/quote/consent";
import type { DragWish } from "@/core/vocabulary/counter-lists";
import type { DepthId } from "@/core/vocabulary/job-kinds";
import type { UseFactor, Water } from "@/core/vocabulary/use";
import { customerByName, findCustomer } from "@/data/customers/customers";
import { findReelBySerial } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { insertLot } from "@/data/jobs/job-row";
import { type Job, listJobsOfLot } from "@/data/jobs/jobs";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { openJob } from "./open-job";

export interface NewLot {
  readonly name: string;
  /** A customer of the book, or the name of a new one: added with the lot, and not while a row is wrong. */
  readonly customer: { readonly id: number } | { readonly name: string };
  readonly modelId: string;
  readonly water: Water;
  readonly tripsPerYear: number;
  readonly life: readonly UseFactor[];
  readonly dragWish: DragWish;
  /** How deep all of it is opened, where a row says nothing else; empty as usual. */
  readonly depth?: DepthId | "";
  readonly limitMinor: number | null;
  readonly promisedOn: string;
  readonly rows: readonly LotRow[];
}

/** What keeps a lot from being taken in, by row and column: the grid's own faults, then reels that hang here already. */
export function lotFaults(db: Db, lot: Pick<NewLot, "modelId" | "rows">): LotFault[] {
  const faults = checkLotRows(lot.rows);
  lot.rows.forEach((row, i) => {
    const reel = row.serial.trim() ? findReelBySerial(db, row.serial, lot.modelId) : null;
    if (!reel) return;
    const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").get(reel.id) as { tag: string } | undefined;
    if (hanging) faults.push({ row: i + 1, column: "serial", message: `Already in the shop as ${hanging.tag}.` });
  });
  return faults.sort((a, b) => a.row - b.row);
}

/** Takes a whole lot in, all of it or, with the faults that keep it out, none. @throws Refusal for no customer, no rows, or too many. */
export function openLot(ctx: Context, lot: NewLot): { faults: LotFault[] } | { id: number; tags: string[] } {
  const { db } = ctx;
  if ("id" in lot.customer && !findCustomer(db, lot.customer.id))
    throw new Refusal("no-customer", "This customer is not on record. Choose again.", "customerId");
  const rows = lot.rows.filter((row) => !isBlank(row));
  if (!rows.length) throw new Refusal("empty", "There is no reel in the grid yet.", "rows");
  if (rows.length > largestLot)
    throw new Refusal("too-many", `A lot has at most ${largestLot} reels. Check the rest in as another lot.`, "rows");
  const faults = lotFaults(db, lot);
  if (faults.length) return { faults };
  const customerId = "id" in lot.customer ? lot.customer.id : customerByName(ctx, { name: lot.customer.name, phone: "", email: "" });
  const id = insertLot(db, { name: lot.name, customerId, modelId: lot.modelId, at: ctx.now });
  const tags = rows.map((row) => {
    const { ticked, words } = readComplaint(row.complaint);
    const depth = readDepth(row.depth) || lot.depth;
    return openJob(ctx, {
      customer: { id: customerId },
      modelId: lot.modelId,
      serial: row.serial.trim(),
      hand: "right",
      complaint: words,
      intake: {
        complaints: ticked,
        water: lot.water,
        tripsPerYear: lot.tripsPerYear,
        conditions: [],
        life: [...lot.life],
        conditionNote: row.condition.trim(),
        dragWish: readDragWish(row.drag) || lot.dragWish,
        handleHole: "as-found",
      },
      ...(depth ? { depth } : {}),
      brought: [],
      limitMinor: lot.limitMinor,
      wantedOn: null,
      promisedOn: lot.promisedOn,
      lot: { id, mark: row.mark.trim() },
    }).tag;
  });
  writeJournal(ctx, "lot-opened", { customerId }, { lot: id, reels: tags.length });
  return { id, tags };
}

export interface Lot {
  readonly id: number;
  readonly name: string;
  readonly customerName: string;
  readonly modelId: string;
  readonly at: string;
  readonly reels: number;
}

const select = `
  SELECT lot.id, lot.name, customer.name AS customerName, lot.model_id AS modelId, lot.at, (SELECT count(*) FROM job WHERE job.lot_id = lot.id) AS reels
  FROM lot JOIN customer ON customer.id = lot.customer_id`;

export const findLot = (db: Db, id: number): Lot | null => (db.prepare(`${select} WHERE lot.id = ?`).get(id) as Lot | undefined) ?? null;

/** Lots with something of them still here, the newest first. */
export const listOpenLots = (db: Db): Lot[] =>
  db
    .prepare(`${select} WHERE EXISTS (SELECT 1 FROM job WHERE job.lot_id = lot.id AND job.closed_at IS NULL) ORDER BY lot.id DESC`)
    .all() as Lot[];

/** One answer of the customer for every reel of a lot that waits for one. @returns how many it was for. */
export function answerLot(ctx: Context, lotId: number, answer: { accepted: boolean; words: string }): { reels: number } {
  const waiting = listJobsOfLot(ctx.db, lotId).filter((job: Job) => {
    if (job.closedAt) return false;
    // Of a reel nobody has looked into there is nothing to say yes to.
    return waitsForAnswer(getQuote(ctx.db, job));
  });
  if (!waiting.length) throw new Refusal("none", "No reel in this lot is waiting for an answer.");
  for (const job of waiting) recordAnswer(ctx, job.id, answer);
  return { reels: waiting.length };
}
