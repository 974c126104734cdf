import { z } from "zod";
import { fitFaults } from "@/core/anatomy/check-fit";
import { withKit } from "@/core/interchange/kit";
import { type PieceSource, pieceSourceIds } from "@/core/vocabulary/piece-sources";
import { listKits } from "@/data/catalogue/interchange";
import { findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { row, rows } from "@/data/database/rows";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { pinPrice } from "./job-prices";
import { endNeed, giveOpenNeedPart, needOf } from "./needs";

/** The parts foreseen in a job's quote. Asks nobody's consent: whoever orders or fits does, once the change is in (quote/consent). */

type JobOfMachine = Pick<Job, "id" | "modelVersionId" | "editionId" | "reel">;

/** The part a job wants in a seat: what was foreseen for it, else what its machine has there. @throws Refusal for no such seat. */
export function wantedPart(db: Db, job: JobOfMachine, positionId: string): { name: string; partTypeId: string } {
  const position = machineOf(db, job).anatomy.positions.find((seat) => seat.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  const foreseen = row(
    z.string(),
    db.prepare("SELECT part_type_id FROM quote_part WHERE job_id = ? AND position_id = ?").pluck().get(job.id, positionId),
  );
  return { name: position.name, partTypeId: foreseen ?? position.partTypeId };
}

/** Foresees a part for a seat; a seat that has one already keeps it. @param by the fault whose remedy asks for it, if one does. */
export function foresee(ctx: Context, jobId: number, positionId: string, partTypeId: string, by: string | null = null): void {
  ctx.db
    .prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id, foreseen_by) VALUES (?, ?, ?, ?)")
    .run(jobId, positionId, partTypeId, by);
  pinPrice(ctx.db, jobId, partTypeId);
}

/** Foresees this part for a seat whatever stood there, and for its open need too. */
function foreseeThis(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  const { db } = ctx;
  db.prepare(
    "INSERT INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id",
  ).run(jobId, positionId, partTypeId);
  pinPrice(db, jobId, partTypeId);
  giveOpenNeedPart(db, jobId, positionId, partTypeId);
}

/** What sits in a seat is another part than its model says: whatever was foreseen or wanted there for the model's part is for that one now. */
export function wantOwnPart(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  // What was planned at a price of its own was another piece.
  ctx.db
    .prepare(
      "UPDATE quote_part SET part_type_id = ?, price_minor = NULL, source = NULL, kit_id = NULL WHERE job_id = ? AND position_id = ?",
    )
    .run(partTypeId, jobId, positionId);
  giveOpenNeedPart(ctx.db, jobId, positionId, partTypeId);
  pinPrice(ctx.db, jobId, partTypeId);
}

/** Strikes the part of a seat from the quote; what was wanted or put aside for it at Stores is free again. */
export function strike(ctx: Context, jobId: number, positionId: string): void {
  ctx.db.prepare("DELETE FROM quote_part WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
  endNeed(ctx, jobId, positionId, "let-go");
}

/** Strikes what a fault's remedy had foreseen and nobody fitted. @param but seats it keeps. @returns the seats that left. */
export function strikeOfFault(ctx: Context, jobId: number, faultId: string, but: ReadonlySet<string> = new Set()): string[] {
  const seats = rows(
    z.string(),
    ctx.db.prepare("SELECT position_id FROM quote_part WHERE job_id = ? AND foreseen_by = ?").pluck().all(jobId, faultId),
  ).filter((seat) => !but.has(seat) && !(but.size > 0 && liesNew(ctx.db, jobId, seat)));
  for (const seat of seats) strike(ctx, jobId, seat);
  return seats;
}

/** Seats whose new part the customer said no to. */
export const listDeclined = (db: Db, jobId: number): string[] =>
  rows(z.string(), db.prepare("SELECT position_id FROM declined_part WHERE job_id = ? ORDER BY position_id").pluck().all(jobId));

/**
 * The customer says no to one new part: it leaves the quote, the old piece may go back, and the account says why. Yes after all takes the no back
 * and foresees the part again. @throws Refusal as setForeseen does.
 */
export function declinePart(ctx: Context, jobId: number, positionId: string, declined: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  setForeseen(ctx, jobId, positionId, !declined);
  if (declined)
    ctx.db
      .prepare("INSERT INTO declined_part (job_id, position_id, at, person_id) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING")
      .run(jobId, positionId, ctx.now, ctx.person.id);
  writeJournal(ctx, "part-declined", { jobId, reelId: job.reel.id }, { position: positionId, declined });
}

/** Seats for which a new part is on the quote. */
export const listForeseen = (db: Db, jobId: number): string[] =>
  db.prepare("SELECT position_id FROM quote_part WHERE job_id = ? ORDER BY position_id").pluck().all(jobId) as string[];

/**
 * Foresees the machine's own part for a seat, or strikes what is foreseen there.
 * @param piece a piece with a price of its own that is planned for it instead: a donor's, or one from elsewhere.
 * @throws Refusal for striking what is fitted already: it would be in the reel and on no paper.
 */
export function setForeseen(
  ctx: Context,
  jobId: number,
  positionId: string,
  wanted: boolean,
  piece: { readonly source: PieceSource | "donor"; readonly priceMinor: number } | null = null,
): void {
  const job = getOpenJob(ctx.db, jobId);
  const { name, partTypeId } = wantedPart(ctx.db, job, positionId);
  if (wanted) {
    foresee(ctx, jobId, positionId, partTypeId);
    // A yes to it, whoever gives it, is no no any more.
    ctx.db.prepare("DELETE FROM declined_part WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
    if (piece) planPrice(ctx.db, jobId, positionId, piece);
  } else {
    if (liesNew(ctx.db, jobId, positionId))
      throw new Refusal(
        "fitted",
        `A new ${name} is in the tray or in the reel. Undo that at Parts first, or deduct its price with an extra line.`,
        null,
        {
          to: "station",
          tag: job.tag,
          station: "parts",
        },
      );
    strike(ctx, jobId, positionId);
  }
  writeJournal(ctx, wanted ? "part-foreseen" : "part-struck", { jobId, reelId: job.reel.id }, { position: positionId });
}

/** What a planned piece costs, and where it comes from. */
export const planPrice = (
  db: Db,
  jobId: number,
  positionId: string,
  { priceMinor, source }: { readonly source: PieceSource | "donor"; readonly priceMinor: number },
): void => {
  db.prepare("UPDATE quote_part SET price_minor = ?, source = ? WHERE job_id = ? AND position_id = ?").run(
    priceMinor,
    source,
    jobId,
    positionId,
  );
};

const planSchema = z.object({ partTypeId: z.string(), priceMinor: z.number(), source: z.enum([...pieceSourceIds, "donor"]) });

/** What is planned for a seat from elsewhere, as text that brings it back; null where nothing is, or a bin's own part. */
export function planInWords(db: Db, jobId: number, positionId: string): string | null {
  const plan = row(
    planSchema,
    db
      .prepare(
        "SELECT part_type_id AS partTypeId, price_minor AS priceMinor, source FROM quote_part WHERE job_id = ? AND position_id = ? AND source IS NOT NULL",
      )
      .get(jobId, positionId),
  );
  return plan && JSON.stringify(plan);
}

/** Plans again for a seat what was planned before another piece was taken for it. */
export function planAgain(ctx: Context, jobId: number, positionId: string, words: string): void {
  const { partTypeId, ...piece } = planSchema.parse(JSON.parse(words));
  wantOwnPart(ctx, jobId, positionId, partTypeId);
  planPrice(ctx.db, jobId, positionId, piece);
}

/** A piece from elsewhere that is planned for a seat; null where none is, or it is a bin's or a donor's. */
export function plannedFromElsewhere(
  db: Db,
  jobId: number,
  positionId: string,
): { readonly source: PieceSource; readonly priceMinor: number } | null {
  const planned = row(
    z.object({ source: z.string().nullable(), priceMinor: z.number().nullable() }),
    db.prepare("SELECT source, price_minor AS priceMinor FROM quote_part WHERE job_id = ? AND position_id = ?").get(jobId, positionId),
  );
  const source = pieceSourceIds.find((id) => id === planned?.source);
  return source ? { source, priceMinor: planned?.priceMinor ?? 0 } : null;
}

/** Whether a piece that this job fitted lies in the seat's well. */
const liesNew = (db: Db, jobId: number, positionId: string): boolean =>
  db
    .prepare(
      "SELECT 1 FROM tray_well JOIN instance ON instance.id = tray_well.instance_id WHERE tray_well.job_id = @job AND tray_well.position_id = @seat AND instance.fitted_job_id = @job",
    )
    .get({ job: jobId, seat: positionId }) !== undefined;

/** @throws Refusal where a piece for the seat is on its way, put aside, or lies in its well already. */
function refuseUnderWay(db: Db, { id: jobId, tag }: Job, positionId: string, name: string): void {
  const state = needOf(db, jobId, positionId)?.state;
  if (state === "ordered" || state === "arrived")
    throw new Refusal(
      "ordered",
      state === "ordered"
        ? `${name} is already on order. Remove it at Quote first; when it arrives it goes to stock.`
        : `${name} has arrived and is set aside. Remove it at Quote first; it goes to stock.`,
      null,
      { to: "station", tag, station: "quote" },
    );
  if (liesNew(db, jobId, positionId)) throw new Refusal("used", `A new ${name} is already in the tray. Undo that first.`);
}

/** Foresees another part for a seat than the machine has there: one that interchanges with it. */
export function wantInstead(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!findPartType(ctx.db, partTypeId)) throw new Refusal("no-part", "This part is no longer in the catalogue.");
  const { name } = wantedPart(ctx.db, job, positionId);
  refuseUnderWay(ctx.db, job, positionId, name);
  foreseeThis(ctx, jobId, positionId, partTypeId);
  writeJournal(ctx, "part-wanted-instead", { jobId, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

/**
 * Foresees a whole conversion: every part of the kit, each for its seat, in one act.
 * @throws Refusal when it would not fit this reel as it is (a hybrid's own parts count), or part of it is here already.
 */
export function wantKit(ctx: Context, jobId: number, kitId: string): { parts: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const machine = machineOf(db, job);
  const kit = listKits(db, machine.model.id).find((one) => one.id === kitId);
  if (!kit) throw new Refusal("no-kit", "This kit is no longer for this model.");
  const types = new Map(machine.partTypes);
  for (const { positionId, partTypeId } of kit.seats) {
    const part = findPartType(db, partTypeId);
    if (!part) throw new Refusal("no-part", `Part ${partTypeId} of the kit is no longer in the catalogue.`);
    types.set(part.id, part);
    refuseUnderWay(db, job, positionId, wantedPart(db, job, positionId).name);
  }
  const faults = fitFaults(withKit(machine.anatomy, kit), types);
  if (faults.length) throw new Refusal("kit", `It does not fit this reel as it is:\n${faults.join("\n")}`);
  const of = db.prepare("UPDATE quote_part SET kit_id = ? WHERE job_id = ? AND position_id = ?");
  for (const { positionId, partTypeId } of kit.seats) {
    foreseeThis(ctx, jobId, positionId, partTypeId);
    of.run(kit.id, jobId, positionId);
  }
  writeJournal(ctx, "kit-foreseen", { jobId, reelId: job.reel.id }, { kit: kit.id });
  return { parts: kit.seats.length };
}

/** All of a kit leaves the quote; as the customer's no, or because somebody thought better of it. @throws Refusal as setForeseen does; then all stays. */
export function strikeKit(ctx: Context, jobId: number, kitId: string, declined: boolean): void {
  const seats = rows(
    z.string(),
    ctx.db.prepare("SELECT position_id FROM quote_part WHERE job_id = ? AND kit_id = ? ORDER BY position_id").pluck().all(jobId, kitId),
  );
  if (!seats.length) throw new Refusal("no-kit", "This kit is no longer in the quote. Reload the page.");
  for (const seat of seats) {
    if (declined) declinePart(ctx, jobId, seat, true);
    else setForeseen(ctx, jobId, seat, false);
  }
}

/** A seat's part leaves the quote again if what brought it in was this. */
export const strikeForeseenBy = (db: Db, jobId: number, positionId: string, by: string): void => {
  db.prepare("DELETE FROM quote_part WHERE job_id = ? AND position_id = ? AND foreseen_by = ?").run(jobId, positionId, by);
};
