import { findPartType } from "@/data/catalogue/part-types";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { requireConsent } from "@/data/quote/quotes";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";
import { rememberSeat, wantedPart } from "./wanted";

export interface StockLine {
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly bin: string;
  readonly count: number;
  readonly minimum: number;
  /** Pieces that came for a job and are kept aside for it. */
  readonly keptAside: number;
}

const select = `
  SELECT part_type.id AS partTypeId, part_type.number, part_type.name, stock.bin, stock.count, stock.minimum,
         (SELECT count(*) FROM need WHERE need.part_type_id = part_type.id AND need.state = 'arrived') AS keptAside
  FROM stock JOIN part_type ON part_type.id = stock.part_type_id`;

export const listStock = (db: Db): StockLine[] => db.prepare(`${select} ORDER BY part_type.number`).all() as StockLine[];

export const findStock = (db: Db, partTypeId: string): StockLine | null =>
  (db.prepare(`${select} WHERE part_type.id = ?`).get(partTypeId) as StockLine | undefined) ?? null;

/** @throws Refusal instead of a stock below nothing. */
export function moveStock(
  ctx: Context,
  move: {
    partTypeId: string;
    delta: number;
    reason: "used" | "used-undone" | "received" | "counted";
    jobId?: number;
    orderLineId?: number;
  },
): void {
  const { db } = ctx;
  db.prepare("INSERT OR IGNORE INTO stock (part_type_id, bin, count) VALUES (?, 'new', 0)").run(move.partTypeId);
  const { count } = db.prepare("SELECT count FROM stock WHERE part_type_id = ?").get(move.partTypeId) as { count: number };
  if (count + move.delta < 0)
    throw new Refusal(
      "no-stock",
      `Only ${count} in the bin: the count cannot go below nothing. Count the bin, or order the part.`,
      "count",
    );
  db.prepare("UPDATE stock SET count = count + ? WHERE part_type_id = ?").run(move.delta, move.partTypeId);
  db.prepare("INSERT INTO stock_move (part_type_id, delta, reason, job_id, order_line_id, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?)").run(
    move.partTypeId,
    move.delta,
    move.reason,
    move.jobId ?? null,
    move.orderLineId ?? null,
    ctx.now,
    ctx.person.id,
  );
}

/** Sets a bin to what was counted in it. */
export function countBin(ctx: Context, partTypeId: string, counted: number): void {
  const part = findPartType(ctx.db, partTypeId);
  if (!part) throw new Refusal("no-part", "This part is not in the catalogue.", "partTypeId");
  if (!Number.isInteger(counted) || counted < 0)
    throw new Refusal("negative", "A bin holds a whole number of pieces, nothing or more.", "count");
  const delta = counted - (findStock(ctx.db, partTypeId)?.count ?? 0);
  if (delta !== 0) moveStock(ctx, { partTypeId, delta, reason: "counted" });
  writeJournal(ctx, "bin-counted", {}, { part: partTypeId, counted });
}

/** Gives a part a bin, or changes its name and its minimum. @param count how many lie in it; null where nobody counted. */
export function setBin(ctx: Context, partTypeId: string, bin: string, count: number | null, minimum: number): void {
  if (!findPartType(ctx.db, partTypeId)) throw new Refusal("no-part", "This part is not in the catalogue.", "partTypeId");
  ctx.db
    .prepare(
      `INSERT INTO stock (part_type_id, bin, count, minimum) VALUES (?, ?, 0, ?)
       ON CONFLICT (part_type_id) DO UPDATE SET bin = excluded.bin, minimum = excluded.minimum`,
    )
    .run(partTypeId, bin, minimum);
  if (count !== null) countBin(ctx, partTypeId, count);
}

/** Gives a bin up. @throws Refusal while something is counted in it. */
export function removeBin(ctx: Context, partTypeId: string): void {
  const line = findStock(ctx.db, partTypeId);
  if (!line) return;
  if (line.count > 0)
    throw new Refusal("not-empty", `Bin ${line.bin} holds ${line.count}. Count it to 0 first if they are gone.`, "count", {
      to: "bins",
      partTypeId,
    });
  ctx.db.prepare("DELETE FROM stock WHERE part_type_id = ?").run(partTypeId);
  writeJournal(ctx, "bin-removed", {}, { part: partTypeId });
}

/** The well a new piece may go into. @throws Refusal when the old one is still in the reel, or a new one lies there already. */
function openWell(db: Db, { id: jobId, tag }: Job, positionId: string, name: string): { instanceId: number } {
  const well = db
    .prepare(
      `SELECT instance.id, instance.fitted_job_id FROM tray_well JOIN instance ON instance.id = tray_well.instance_id
       WHERE tray_well.job_id = ? AND tray_well.position_id = ?`,
    )
    .get(jobId, positionId) as { id: number; fitted_job_id: number | null } | undefined;
  if (!well)
    throw new Refusal("not-in-tray", `${name} is still in the reel. Take it off at Strip first.`, null, {
      to: "station",
      tag,
      station: "strip",
    });
  if (well.fitted_job_id === jobId) throw new Refusal("used", `A new ${name} already lies in the tray. Nothing was taken.`);
  return { instanceId: well.id };
}

/** Lays a piece into the well of the old one, which goes to the old parts. Where it is another part than before, the reel remembers it. */
function layInWell(
  ctx: Context,
  job: Job,
  positionId: string,
  oldInstanceId: number,
  partTypeId: string,
  donorPieceId: number | null,
): void {
  const { db } = ctx;
  db.prepare("UPDATE instance SET removed_job_id = ? WHERE id = ?").run(job.id, oldInstanceId);
  const fresh = Number(
    db
      .prepare(
        "INSERT INTO instance (reel_id, position_id, part_type_id, origin, fitted_job_id, donor_piece_id) VALUES (?, ?, ?, 'stock', ?, ?)",
      )
      .run(job.reel.id, positionId, partTypeId, job.id, donorPieceId).lastInsertRowid,
  );
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(fresh, job.id, positionId);
  db.prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?)").run(job.id, positionId, partTypeId);
  rememberSeat(ctx, job, positionId, partTypeId);
  advanceStation(ctx, job, "parts");
}

/**
 * Takes a new piece from stock for a seat of this reel.
 * A piece kept aside for this very seat is taken first; pieces kept aside for others are not touched.
 */
export function fitFromStock(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const { name, partTypeId } = wantedPart(db, job, positionId);
  const well = openWell(db, job, positionId, name);
  const mine = db.prepare("SELECT id FROM need WHERE job_id = ? AND position_id = ? AND state = 'arrived'").get(jobId, positionId) as
    | { id: number }
    | undefined;
  const line = findStock(db, partTypeId);
  const free = (line?.count ?? 0) - (line?.keptAside ?? 0) + (mine ? 1 : 0);
  if (free < 1)
    throw new Refusal(
      "short",
      line?.keptAside
        ? "What is in the bin is kept aside for other reels. Order one for this one."
        : "None in the bin. Order it, it becomes a need of this job.",
    );
  moveStock(ctx, { partTypeId, delta: -1, reason: "used", jobId });
  db.prepare(
    "UPDATE need SET state = CASE WHEN id = @mine THEN 'used' ELSE 'withdrawn' END WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'arrived')",
  ).run({ mine: mine?.id ?? -1, job: jobId, seat: positionId });
  layInWell(ctx, job, positionId, well.instanceId, partTypeId, null);
  writeJournal(ctx, "part-used", { jobId, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

/** Takes a piece off a donor's drawer for a seat of this reel; it is billed at the piece's own price. */
export function fitFromDonor(ctx: Context, jobId: number, positionId: string, donorPieceId: number): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const { name } = wantedPart(db, job, positionId);
  const well = openWell(db, job, positionId, name);
  const piece = db.prepare("SELECT part_type_id FROM donor_piece WHERE id = ? AND state = 'lying'").get(donorPieceId) as
    | { part_type_id: string }
    | undefined;
  if (!piece) throw new Refusal("no-piece", "Another job took this piece. Choose another, or order a new one.");
  db.prepare("UPDATE donor_piece SET state = 'used', used_job_id = ? WHERE id = ?").run(jobId, donorPieceId);
  db.prepare("UPDATE need SET state = 'withdrawn' WHERE job_id = ? AND position_id = ? AND state = 'open'").run(jobId, positionId);
  layInWell(ctx, job, positionId, well.instanceId, piece.part_type_id, donorPieceId);
  writeJournal(ctx, "donor-piece-used", { jobId, reelId: job.reel.id }, { position: positionId, piece: donorPieceId });
}

/** Puts the new piece back into its bin or drawer and the old one back into its well. */
export function returnToStock(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const row = db
    .prepare(
      `SELECT instance.id, instance.part_type_id, instance.donor_piece_id FROM tray_well JOIN instance ON instance.id = tray_well.instance_id
       WHERE tray_well.job_id = @job AND tray_well.position_id = @seat AND instance.fitted_job_id = @job`,
    )
    .get({ job: jobId, seat: positionId }) as { id: number; part_type_id: string; donor_piece_id: number | null } | undefined;
  const old = db
    .prepare("SELECT id, part_type_id FROM instance WHERE reel_id = ? AND position_id = ? AND removed_job_id = ? ORDER BY id DESC LIMIT 1")
    .get(job.reel.id, positionId, jobId) as { id: number; part_type_id: string } | undefined;
  if (!row || !old) throw new Refusal("not-used", "No new piece lies in this well.");
  const fitted = db
    .prepare("SELECT 1 FROM build_step WHERE job_id = ? AND operation_id = 'place-' || ? AND state = 'done'")
    .get(jobId, positionId);
  if (fitted)
    throw new Refusal("fitted", "It is fitted already. Undo the step at Build first.", null, {
      to: "station",
      tag: job.tag,
      station: "build",
    });
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(old.id, jobId, positionId);
  db.prepare("DELETE FROM instance WHERE id = ?").run(row.id);
  db.prepare("UPDATE instance SET removed_job_id = NULL WHERE id = ?").run(old.id);
  rememberSeat(ctx, job, positionId, old.part_type_id);
  if (row.donor_piece_id === null) moveStock(ctx, { partTypeId: row.part_type_id, delta: 1, reason: "used-undone", jobId });
  else db.prepare("UPDATE donor_piece SET state = 'lying', used_job_id = NULL WHERE id = ?").run(row.donor_piece_id);
  writeJournal(ctx, "part-used-undone", { jobId, reelId: job.reel.id }, { position: positionId });
}
