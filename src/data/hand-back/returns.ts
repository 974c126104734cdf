import { type KeepsHere, keepsHereWords } from "@/core/hand-back/going-home";
import type { HandBackNote, OldParts, PaidWay } from "@/core/hand-back/hand-back";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { writeClosed, writeGivenBack } from "@/data/jobs/job-row";
import { advanceStation, getOpenJob, listJobsOfLot } from "@/data/jobs/jobs";
import { type BilledJob, invoiceFor } from "@/data/papers/bill-paper";
import { endNeedsOfJob } from "@/data/parts/needs";
import { getBill } from "@/data/quote/quotes";
import { countConsumables } from "@/data/stores/consumables";
import { hereFor, notReadyFor } from "./going-home";

/** @throws Refusal with the first thing that keeps a reel here. */
function refuseKept([first, ...others]: readonly KeepsHere[]): void {
  if (!first) return;
  const words = keepsHereWords(first);
  throw new Refusal(first.code, others.length ? `${words} (and ${others.length} more)` : words);
}

/** The reel is proved and hangs ready. @throws Refusal with the first thing that still keeps it on the bench. */
export function markReady(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  refuseKept(notReadyFor(ctx.db, job));
  advanceStation(ctx, job, "return");
}

export function tickBrought(ctx: Context, jobId: number, item: string, given: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!writeGivenBack(ctx.db, jobId, item, given ? ctx.now : null)) throw new Refusal("no-item", "This did not come with the reel.");
  writeJournal(ctx, given ? "item-given-back" : "item-kept", { jobId: job.id }, { item });
}

/** Hands the reel back: nothing in the tray, every gate passed, everything that came with it ticked. The sum is fixed here. */
export function closeJob(ctx: Context, jobId: number, signedBy: string, note: HandBackNote = {}): { totalMinor: number } {
  const billed = handBack(ctx, jobId, signedBy, note);
  invoiceFor(ctx, [billed], paidNow(note));
  return { totalMinor: billed.bill.sum.totalMinor };
}

/** How it was paid there and then; null where the invoice stays open: a payment that nobody noted was not made. */
const paidNow = ({ paidBy }: HandBackNote) => (paidBy === "cash" || paidBy === "card" || paidBy === "transfer" ? paidBy : null);

function handBack(ctx: Context, jobId: number, signedBy: string, note: HandBackNote): BilledJob {
  const job = getOpenJob(ctx.db, jobId);
  refuseKept(hereFor(ctx.db, job));
  const bill = getBill(ctx.db, job);
  const { totalMinor } = bill.sum;
  endNeedsOfJob(ctx, jobId, "closed");
  countConsumables(ctx, job);
  writeClosed(ctx.db, jobId, {
    at: ctx.now,
    totalMinor,
    signedBy,
    paidBy: note.paidBy ?? null,
    paidNote: note.paidNote ?? "",
    oldParts: note.oldParts ?? null,
  });
  writeJournal(
    ctx,
    "handed-back",
    { jobId, reelId: job.reel.id, customerId: job.customer.id },
    { totalMinor, paidBy: note.paidBy ?? null, oldParts: note.oldParts ?? null },
  );
  return { job, bill };
}

/** How a closed job was returned; nulls where nobody noted it. */
export const handBackNote = (
  db: Db,
  jobId: number,
): { signedBy: string | null; paidBy: PaidWay | null; paidNote: string; oldParts: OldParts | null } =>
  db
    .prepare("SELECT signed_by AS signedBy, paid_by AS paidBy, paid_note AS paidNote, old_parts AS oldParts FROM job WHERE id = ?")
    .get(jobId) as {
    signedBy: string | null;
    paidBy: PaidWay | null;
    paidNote: string;
    oldParts: OldParts | null;
  };

/** Hands back every reel of a lot that hangs ready, to one person. @throws Refusal when none does. @returns how many, and what is left here. */
export function closeLot(ctx: Context, lotId: number, signedBy: string, note: HandBackNote): { reels: number; left: number } {
  const open = listJobsOfLot(ctx.db, lotId).filter((job) => job.closedAt === null);
  const ready = open.filter((job) => job.station === "return" && !hereFor(ctx.db, job).length);
  if (!ready.length) throw new Refusal("none-ready", "No reel in this lot is ready yet. Open each one below and finish it.");
  // What goes home together stands on one paper.
  invoiceFor(
    ctx,
    ready.map((job) => handBack(ctx, job.id, signedBy, note)),
    paidNow(note),
  );
  return { reels: ready.length, left: open.length - ready.length };
}

export interface Unclaimed {
  readonly jobId: number;
  readonly tag: string;
  readonly reel: string;
  readonly customer: string;
  readonly phone: string;
  readonly readyOn: string;
  /** When its owner was told last; null when nobody did. */
  readonly toldOn: string | null;
}

/** Reels that hang ready and are not fetched, the longest waiting first. @param before ready before this ISO day. */
export const listUnclaimed = (db: Db, before: string): Unclaimed[] =>
  db
    .prepare(
      `SELECT job.id AS jobId, job.tag, model.maker || ' ' || model.name AS reel, customer.name AS customer, customer.phone,
              (SELECT substr(max(journal.at), 1, 10) FROM journal WHERE journal.job_id = job.id AND journal.action = 'station-reached'
               AND json_extract(journal.detail, '$.station') = 'return') AS readyOn,
              (SELECT substr(max(fetch_reminder.at), 1, 10) FROM fetch_reminder WHERE fetch_reminder.job_id = job.id) AS toldOn
       FROM job JOIN customer ON customer.id = job.customer_id JOIN reel ON reel.id = job.reel_id JOIN model ON model.id = reel.model_id
       WHERE job.station = 'return' AND readyOn < ? ORDER BY readyOn, job.id`,
    )
    .all(before) as Unclaimed[];

/** The days on which the owner was told that the reel hangs ready, in their order. */
export const toldOn = (db: Db, jobId: number): string[] =>
  db.prepare("SELECT substr(at, 1, 10) FROM fetch_reminder WHERE job_id = ? ORDER BY at").pluck().all(jobId) as string[];

/** Notes that the owner was told the reel hangs ready. */
export function noteTold(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  if (job.station !== "return") throw new Refusal("not-ready", "It is not marked as ready yet.");
  ctx.db.prepare("INSERT INTO fetch_reminder (job_id, at, person_id) VALUES (?, ?, ?)").run(jobId, ctx.now, ctx.person.id);
  writeJournal(ctx, "told-to-fetch", { jobId, customerId: job.customer.id });
}
