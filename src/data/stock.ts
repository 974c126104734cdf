import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { advanceStation, getOpenJob } from "./jobs";
import { writeJournal } from "./journal";
import { machineOf } from "./machine";
import { findPartType } from "./models";
import { requireConsent } from "./quotes";

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

/** Puts a part into a bin for the first time, for a new shop or a new part. */
export function setBin(ctx: Context, partTypeId: string, bin: string, count: number, minimum: number): void {
  ctx.db
    .prepare(
      `INSERT INTO stock (part_type_id, bin, count, minimum) VALUES (?, ?, 0, ?)
       ON CONFLICT (part_type_id) DO UPDATE SET bin = excluded.bin, minimum = excluded.minimum`,
    )
    .run(partTypeId, bin, minimum);
  countBin(ctx, partTypeId, count);
}

/**
 * Takes a new piece from stock for a seat of this reel: it lies in the well of the old one, which goes to the old parts.
 * A piece kept aside for this very seat is taken first; pieces kept aside for others are not touched.
 */
export function fitFromStock(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const position = machineOf(db, job).anatomy.positions.find((p) => p.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat.");
  const well = db.prepare("SELECT instance_id FROM tray_well WHERE job_id = ? AND position_id = ?").get(jobId, positionId) as
    | { instance_id: number }
    | undefined;
  if (!well) throw new Refusal("not-in-tray", `${position.name} is still in the reel. Take it off at Strip first.`);
  const old = db.prepare("SELECT fitted_job_id FROM instance WHERE id = ?").get(well.instance_id) as { fitted_job_id: number | null };
  if (old.fitted_job_id === jobId) throw new Refusal("used", `A new ${position.name} already lies in the tray. Nothing was taken.`);
  const mine = db.prepare("SELECT id FROM need WHERE job_id = ? AND position_id = ? AND state = 'arrived'").get(jobId, positionId) as
    | { id: number }
    | undefined;
  const line = findStock(db, position.partTypeId);
  const free = (line?.count ?? 0) - (line?.keptAside ?? 0) + (mine ? 1 : 0);
  if (free < 1)
    throw new Refusal(
      "short",
      line?.keptAside
        ? "What is in the bin is kept aside for other reels. Order one for this one."
        : "None in the bin. Order it, it becomes a need of this job.",
    );
  moveStock(ctx, { partTypeId: position.partTypeId, delta: -1, reason: "used", jobId });
  db.prepare(
    "UPDATE need SET state = CASE WHEN id = @mine THEN 'used' ELSE 'withdrawn' END WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'arrived')",
  ).run({ mine: mine?.id ?? -1, job: jobId, seat: positionId });
  db.prepare("UPDATE instance SET removed_job_id = ? WHERE id = ?").run(jobId, well.instance_id);
  const fresh = Number(
    db
      .prepare("INSERT INTO instance (reel_id, position_id, part_type_id, origin, fitted_job_id) VALUES (?, ?, ?, 'stock', ?)")
      .run(job.reel.id, positionId, position.partTypeId, jobId).lastInsertRowid,
  );
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(fresh, jobId, positionId);
  db.prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?)").run(
    jobId,
    positionId,
    position.partTypeId,
  );
  writeJournal(ctx, "part-used", { jobId, reelId: job.reel.id }, { position: positionId, part: position.partTypeId });
  advanceStation(ctx, job, "parts");
}

/** Puts the new piece back into its bin and the old one back into its well. */
export function returnToStock(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const row = db
    .prepare(
      `SELECT instance.id, instance.part_type_id FROM tray_well JOIN instance ON instance.id = tray_well.instance_id
       WHERE tray_well.job_id = @job AND tray_well.position_id = @seat AND instance.fitted_job_id = @job`,
    )
    .get({ job: jobId, seat: positionId }) as { id: number; part_type_id: string } | undefined;
  const old = db
    .prepare("SELECT id FROM instance WHERE reel_id = ? AND position_id = ? AND removed_job_id = ? ORDER BY id DESC LIMIT 1")
    .get(job.reel.id, positionId, jobId) as { id: number } | undefined;
  if (!row || !old) throw new Refusal("not-used", "No new piece lies in this well.");
  const fitted = db
    .prepare("SELECT 1 FROM build_step WHERE job_id = ? AND operation_id = 'place-' || ? AND state = 'done'")
    .get(jobId, positionId);
  if (fitted) throw new Refusal("fitted", "It is fitted already. Undo the step at Build first.");
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(old.id, jobId, positionId);
  db.prepare("DELETE FROM instance WHERE id = ?").run(row.id);
  db.prepare("UPDATE instance SET removed_job_id = NULL WHERE id = ?").run(old.id);
  moveStock(ctx, { partTypeId: row.part_type_id, delta: 1, reason: "used-undone", jobId });
  writeJournal(ctx, "part-used-undone", { jobId, reelId: job.reel.id }, { position: positionId });
}
