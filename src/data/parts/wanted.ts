import { fitFaults } from "@/core/anatomy/check-fit";
import type { Grade } from "@/core/interchange/interchange";
import { withKit } from "@/core/interchange/kit";
import type { Need, NeedState } from "@/core/ordering/book";
import type { PieceSource } from "@/core/vocabulary/piece-sources";
import { listKits } from "@/data/catalogue/interchange";
import { findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

/**
 * What a job wants: the parts foreseen in its quote, the needs at Stores, and the prices they are billed at. This file alone writes `need`,
 * `quote_part` and `job_price`. It asks nobody's consent: whoever orders or fits does, once the change is in (quote/consent).
 */

type JobOfMachine = Pick<Job, "id" | "modelVersionId" | "editionId" | "reel">;

// Prices

/** Pins what every part of a model version costs now, for a job that opens on it. */
export function pinPrices(ctx: Context, jobId: number, modelVersionId: number): void {
  ctx.db
    .prepare(
      `INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor)
       SELECT DISTINCT ?, part_type.id, part_type.price_minor
       FROM position JOIN part_type ON part_type.id = position.part_type_id WHERE position.model_version_id = ?`,
    )
    .run(jobId, modelVersionId);
}

const pinPrice = (db: Db, jobId: number, partTypeId: string): void => {
  db.prepare(
    "INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor) SELECT ?, id, price_minor FROM part_type WHERE id = ?",
  ).run(jobId, partTypeId);
};

/** What a part costs in this job: the price when it was opened; a part that came later at today's price. */
export function pricesInJob(db: Db, jobId: number, partTypeIds: readonly string[]): ReadonlyMap<string, number> {
  const rows = db
    .prepare(
      `SELECT part_type.id, coalesce(job_price.price_minor, part_type.price_minor) AS price
       FROM part_type LEFT JOIN job_price ON job_price.job_id = ? AND job_price.part_type_id = part_type.id
       WHERE part_type.id IN (SELECT value FROM json_each(?))`,
    )
    .all(jobId, JSON.stringify(partTypeIds)) as { id: string; price: number }[];
  return new Map(rows.map(({ id, price }) => [id, price]));
}

// Foreseen in the quote

/** The part a job wants in a seat: what was foreseen for it, else what its machine has there. @throws Refusal for no such seat. */
export function wantedPart(db: Db, job: JobOfMachine, positionId: string): { name: string; partTypeId: string } {
  const position = machineOf(db, job).anatomy.positions.find((seat) => seat.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  const foreseen = db.prepare("SELECT part_type_id FROM quote_part WHERE job_id = ? AND position_id = ?").pluck().get(job.id, positionId) as
    | string
    | undefined;
  return { name: position.name, partTypeId: foreseen ?? position.partTypeId };
}

/** Why a part stands in the quote when nobody chose it: it was fitted, or a fault's remedy asks for it (the fault's id). */
const byFitting = "fitted";

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
  db.prepare("UPDATE need SET part_type_id = ? WHERE job_id = ? AND position_id = ? AND state = 'open'").run(partTypeId, jobId, positionId);
}

/** What sits in a seat is another part than its model says: whatever was foreseen or wanted there for the model's part is for that one now. */
export function wantOwnPart(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  // What was planned at a price of its own was another piece.
  ctx.db
    .prepare("UPDATE quote_part SET part_type_id = ?, price_minor = NULL, source = NULL WHERE job_id = ? AND position_id = ?")
    .run(partTypeId, jobId, positionId);
  ctx.db
    .prepare("UPDATE need SET part_type_id = ? WHERE job_id = ? AND position_id = ? AND state = 'open'")
    .run(partTypeId, jobId, positionId);
  pinPrice(ctx.db, jobId, partTypeId);
}

/** Strikes the part of a seat from the quote; what was wanted or put aside for it at Stores is free again. */
export function strike(ctx: Context, jobId: number, positionId: string): void {
  ctx.db.prepare("DELETE FROM quote_part WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
  endNeed(ctx, jobId, positionId, "let-go");
}

/** Strikes what a fault's remedy had foreseen. @returns the seats. */
export function strikeOfFault(ctx: Context, jobId: number, faultId: string): string[] {
  const seats = ctx.db
    .prepare("SELECT position_id FROM quote_part WHERE job_id = ? AND foreseen_by = ?")
    .pluck()
    .all(jobId, faultId) as string[];
  for (const seat of seats) strike(ctx, jobId, seat);
  return seats;
}

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
    if (piece)
      ctx.db
        .prepare("UPDATE quote_part SET price_minor = ?, source = ? WHERE job_id = ? AND position_id = ?")
        .run(piece.priceMinor, piece.source, jobId, positionId);
  } else {
    if (liesNew(ctx.db, jobId, positionId))
      throw new Refusal(
        "fitted",
        `A new ${name} lies in the tray or in the reel. Undo that at Parts first, or take its price off by a line.`,
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
        ? `${name} is on order already. Remove it at Quote first: when it comes it goes to stock.`
        : `${name} has come and is put aside. Remove it at Quote first: it goes to stock.`,
      null,
      { to: "station", tag, station: "quote" },
    );
  if (liesNew(db, jobId, positionId)) throw new Refusal("used", `A new ${name} already lies in the tray. Undo that first.`);
}

/** Foresees another part for a seat than the machine has there: one that interchanges with it. */
export function wantInstead(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!findPartType(ctx.db, partTypeId)) throw new Refusal("no-part", "This part is not in the catalogue any more.");
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
  if (!kit) throw new Refusal("no-kit", "This kit is not for this model any more.");
  const types = new Map(machine.partTypes);
  for (const { positionId, partTypeId } of kit.seats) {
    const part = findPartType(db, partTypeId);
    if (!part) throw new Refusal("no-part", `Part ${partTypeId} of the kit is not in the catalogue any more.`);
    types.set(part.id, part);
    refuseUnderWay(db, job, positionId, wantedPart(db, job, positionId).name);
  }
  const faults = fitFaults(withKit(machine.anatomy, kit), types);
  if (faults.length) throw new Refusal("kit", `It does not fit this reel as it is:\n${faults.join("\n")}`);
  for (const { positionId, partTypeId } of kit.seats) foreseeThis(ctx, jobId, positionId, partTypeId);
  writeJournal(ctx, "kit-foreseen", { jobId, reelId: job.reel.id }, { kit: kit.id });
  return { parts: kit.seats.length };
}

// Needs at Stores

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

/** How poor a substitute may be for each open need. */
export const listOpenGrades = (db: Db): ReadonlyMap<number, Grade> =>
  new Map(db.prepare("SELECT id, lowest_grade FROM need WHERE state = 'open'").raw().all() as [number, Grade][]);

/** Says how poor a substitute may be that goes to a need. @throws Refusal when it is not open any more. */
export function setLowestGrade(ctx: Context, needId: number, grade: Grade): void {
  const { changes } = ctx.db.prepare("UPDATE need SET lowest_grade = ? WHERE id = ? AND state = 'open'").run(grade, needId);
  if (!changes) throw new Refusal("ordered", "This need is on order already, or withdrawn. Reload the page.");
  writeJournal(ctx, "need-grade-set", {}, { need: needId, grade });
}

/** How many pieces are on order for each of some jobs; none where a job is not in it. */
export const countOnOrder = (db: Db, jobIds: readonly number[]): ReadonlyMap<number, number> =>
  new Map(
    db
      .prepare("SELECT job_id, count(*) FROM need WHERE state = 'ordered' AND job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id")
      .raw()
      .all(JSON.stringify(jobIds)) as [number, number][],
  );

/** The need of a seat that is not ended yet. */
export const needOf = (db: Db, jobId: number, positionId: string): { id: number; state: "open" | "ordered" | "arrived" } | undefined =>
  db
    .prepare("SELECT id, state FROM need WHERE job_id = ? AND position_id = ? AND state IN ('open', 'ordered', 'arrived')")
    .get(jobId, positionId) as { id: number; state: "open" | "ordered" | "arrived" } | undefined;

/** Puts a part for a seat on the needs list, and into the quote. */
export function openNeed(ctx: Context, job: Pick<Job, "id" | "reel">, positionId: string, partTypeId: string): void {
  ctx.db
    .prepare("INSERT INTO need (job_id, position_id, part_type_id, state, at) VALUES (?, ?, ?, 'open', ?)")
    .run(job.id, positionId, partTypeId, ctx.now);
  foresee(ctx, job.id, positionId, partTypeId);
  writeJournal(ctx, "need-added", { jobId: job.id, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

/** Takes an open need off the list. @throws Refusal when it is on order. */
export function withdrawNeed(ctx: Context, needId: number): void {
  const { changes } = ctx.db
    .prepare("UPDATE need SET state_before = state, state = 'withdrawn', ended_why = 'let-go' WHERE id = ? AND state = 'open'")
    .run(needId);
  if (!changes) throw new Refusal("ordered", "This need is on order already. When it comes it goes to stock.");
  writeJournal(ctx, "need-withdrawn", {}, { need: needId });
}

type Why = "fitted" | "let-go" | "declined" | "closed";

function endNeed(ctx: Context, jobId: number, positionId: string, why: Why): void {
  ctx.db
    .prepare(
      `UPDATE need SET state_before = state, state = 'withdrawn', ended_why = @why
       WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'ordered', 'arrived')`,
    )
    .run({ job: jobId, seat: positionId, why });
}

/** A need dies with its job: nothing is put aside for it any more, and what is on order comes to stock. @returns how many ended. */
export function endNeedsOfJob(ctx: Context, jobId: number, why: "declined" | "closed"): number {
  const { changes } = ctx.db
    .prepare(
      `UPDATE need SET state_before = state, state = 'withdrawn', ended_why = ?
       WHERE job_id = ? AND state IN ('open', 'ordered', 'arrived')`,
    )
    .run(why, jobId);
  if (changes) writeJournal(ctx, "needs-ended", { jobId }, { needs: changes, why });
  return changes;
}

/** Pieces of a part that lie in the bin and are nobody's: what is put aside for jobs is not among them. */
const freeInBin = (db: Db, partTypeId: string): number =>
  db
    .prepare(
      `SELECT coalesce((SELECT count FROM stock WHERE part_type_id = @part), 0)
              - (SELECT count(*) FROM need WHERE part_type_id = @part AND state = 'arrived')`,
    )
    .pluck()
    .get({ part: partTypeId }) as number;

/** Gives ended needs back what they had, as far as it is still to be had: the piece put aside, the one on order, or a place on the list. */
function revive(ctx: Context, where: "ended_by = ?" | "job_id = ? AND ended_why = 'declined'", id: number): void {
  const { db } = ctx;
  const rows = db
    .prepare(
      `SELECT need.id, need.job_id, need.position_id, need.part_type_id, need.state_before, need.order_line_id,
              (SELECT order_line.quantity - order_line.received - order_line.given_up - (SELECT count(*) FROM need AS other WHERE other.order_line_id = order_line.id AND other.state = 'ordered')
               FROM order_line WHERE order_line.id = need.order_line_id) AS coming
       FROM need WHERE ${where} ORDER BY need.id`,
    )
    .all(id) as {
    id: number;
    job_id: number;
    position_id: string;
    part_type_id: string;
    state_before: "open" | "ordered" | "arrived";
    coming: number | null;
  }[];
  for (const row of rows) {
    const there = needOf(db, row.job_id, row.position_id) !== undefined;
    const had = row.state_before;
    const state = there
      ? "withdrawn"
      : had === "ordered" && (row.coming ?? 0) > 0
        ? "ordered"
        : had !== "open" && freeInBin(db, row.part_type_id) > 0
          ? "arrived"
          : "open";
    db.prepare("UPDATE need SET state = ?, ended_by = NULL, ended_why = CASE WHEN ? THEN ended_why END WHERE id = ?").run(
      state,
      there ? 1 : 0,
      row.id,
    );
  }
}

/** A job that was declined is taken on after all. */
export const reviveNeedsOfJob = (ctx: Context, jobId: number): void => revive(ctx, "job_id = ? AND ended_why = 'declined'", jobId);

export interface FittedPiece {
  readonly instanceId: number;
  readonly partTypeId: string;
  /** Out of the bin, where the one that was put aside for this seat lies: any other piece frees that one, and one on order comes to stock. */
  readonly setAside: boolean;
}

/** A piece went into a seat: it stands in the quote, and the seat's need is met, or not needed any more. */
export function meetNeed(ctx: Context, job: Pick<Job, "id">, positionId: string, piece: FittedPiece): void {
  foresee(ctx, job.id, positionId, piece.partTypeId, byFitting);
  ctx.db
    .prepare(
      `UPDATE need SET state_before = state, state = CASE WHEN state = 'arrived' AND @aside THEN 'used' ELSE 'withdrawn' END, ended_why = 'fitted', ended_by = @by
       WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'ordered', 'arrived')`,
    )
    .run({ job: job.id, seat: positionId, by: piece.instanceId, aside: piece.setAside ? 1 : 0 });
}

/** The piece came out again, and lies where it came from: what its need had is given back, and it leaves the quote if it alone brought itself in. */
export function unmeetNeed(ctx: Context, jobId: number, positionId: string, instanceId: number): void {
  revive(ctx, "ended_by = ?", instanceId);
  ctx.db.prepare("DELETE FROM quote_part WHERE job_id = ? AND position_id = ? AND foreseen_by = ?").run(jobId, positionId, byFitting);
}

/** Those of some needs that are open. */
export const listOpenNeedsById = (
  db: Db,
  needIds: readonly number[],
): ReadonlyMap<number, { readonly jobId: number; readonly positionId: string; readonly partTypeId: string }> =>
  new Map(
    (
      db
        .prepare(
          "SELECT id, job_id AS jobId, position_id AS positionId, part_type_id AS partTypeId FROM need WHERE state = 'open' AND id IN (SELECT value FROM json_each(?)) ORDER BY id",
        )
        .all(JSON.stringify(needIds)) as { id: number; jobId: number; positionId: string; partTypeId: string }[]
    ).map(({ id, ...need }) => [id, need]),
  );

export function markOrdered(ctx: Context, needId: number, orderLineId: number): void {
  ctx.db.prepare("UPDATE need SET state = 'ordered', order_line_id = ? WHERE id = ?").run(orderLineId, needId);
}

/** Pieces of an order line came: as many as are waited for are put aside, the earliest promised first. @returns the tags of their jobs. */
export function markArrived(ctx: Context, orderLineId: number, quantity: number): string[] {
  const waiting = ctx.db
    .prepare(
      "SELECT need.id, job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = ? AND need.state = 'ordered' ORDER BY job.promised_on, need.id LIMIT ?",
    )
    .all(orderLineId, quantity) as { id: number; tag: string }[];
  for (const { id } of waiting) ctx.db.prepare("UPDATE need SET state = 'arrived' WHERE id = ?").run(id);
  return [...new Set(waiting.map(({ tag }) => tag))];
}

/**
 * Open jobs that have every piece they waited for since an instant, and none of them fitted yet: their reel can be taken up again.
 * @returns tag and how many pieces lie set aside for it, the earliest promised first.
 */
export const listPiecesHere = (db: Db, since: string): { readonly tag: string; readonly pieces: number }[] =>
  db
    .prepare(
      `SELECT job.tag, count(*) AS pieces FROM need JOIN job ON job.id = need.job_id
       WHERE need.state = 'arrived' AND job.closed_at IS NULL
         AND NOT EXISTS (SELECT 1 FROM need AS other WHERE other.job_id = need.job_id AND other.state IN ('open', 'ordered'))
         AND EXISTS (SELECT 1 FROM stock_move WHERE stock_move.order_line_id = need.order_line_id AND stock_move.at >= ?)
       GROUP BY job.id ORDER BY job.promised_on, job.id`,
    )
    .all(since) as { tag: string; pieces: number }[];

/** Needs of an order line for which no piece comes any more are open again, the latest promised first. @returns the tags of their jobs. */
export function reopenNeeds(ctx: Context, orderLineId: number): string[] {
  const { db } = ctx;
  const coming = db.prepare("SELECT quantity - received - given_up FROM order_line WHERE id = ?").pluck().get(orderLineId) as number;
  const waiting = db
    .prepare(
      "SELECT need.id, job.tag FROM need JOIN job ON job.id = need.job_id WHERE need.order_line_id = ? AND need.state = 'ordered' ORDER BY job.promised_on DESC, need.id DESC",
    )
    .all(orderLineId) as { id: number; tag: string }[];
  const without = waiting.slice(0, Math.max(0, waiting.length - coming));
  for (const { id } of without) db.prepare("UPDATE need SET state = 'open', order_line_id = NULL WHERE id = ?").run(id);
  return [...new Set(without.map(({ tag }) => tag))];
}
