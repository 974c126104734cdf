import { type PartType, placeOperationId } from "@/core/anatomy/types";
import { freeInBin } from "@/core/ordering/free-in-bin";
import type { PieceSource } from "@/core/vocabulary/piece-sources";
import { getModelVersion } from "@/data/catalogue/models";
import { addUnlistedPiece, findPartCard, findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { advanceStation, type Job } from "@/data/jobs/jobs";
import { layBackInDrawer, takeOutOfDrawer } from "@/data/parts/donors";
import { endNeed, needOf } from "@/data/parts/needs";
import { planAgain, planInWords, plannedFromElsewhere, planPrice, setForeseen, wantedPart, wantOwnPart } from "@/data/parts/quote-parts";
import { meetNeed, unmeetNeed } from "@/data/parts/seat-needs";
import { findStock, moveStock } from "@/data/parts/stock";
import { forgetOldPiece } from "./seat-outcome";

/**
 * The pieces in the seats of a reel: what was found there, what was fitted instead, and where that came from. This file alone writes
 * `instance`, what a seat of a reel remembers (`reel_override`), and whether a donor's piece is taken. Like wanted.ts it asks no consent.
 */

/** The piece that sits in a seat now; written down as found when nobody had looked at it yet. @returns its id. */
export function pieceInSeat(ctx: Context, reelId: number, positionId: string, partTypeId: string): number {
  const seated = ctx.db
    .prepare("SELECT id FROM instance WHERE reel_id = ? AND position_id = ? AND removed_job_id IS NULL")
    .pluck()
    .get(reelId, positionId) as number | undefined;
  return (
    seated ??
    Number(
      ctx.db
        .prepare("INSERT INTO instance (reel_id, position_id, part_type_id, origin) VALUES (?, ?, ?, 'found')")
        .run(reelId, positionId, partTypeId).lastInsertRowid,
    )
  );
}

/** Says what sits in a seat of a reel; where that is the model's own part there is nothing to remember. */
function rememberSeat(ctx: Context, job: Job, positionId: string, partTypeId: string): void {
  const own = getModelVersion(ctx.db, job.modelVersionId).anatomy.positions.find((position) => position.id === positionId)?.partTypeId;
  if (partTypeId === own) ctx.db.prepare("DELETE FROM reel_override WHERE reel_id = ? AND position_id = ?").run(job.reel.id, positionId);
  else
    ctx.db
      .prepare(
        "INSERT INTO reel_override (reel_id, position_id, part_type_id, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id, at = excluded.at",
      )
      .run(job.reel.id, positionId, partTypeId, ctx.now);
}

/** The piece found in a seat is another part than its model says; null gives the seat back to the model. @throws Refusal once a new piece lies there. */
export function foundPieceIs(ctx: Context, job: Job, positionId: string, partTypeId: string | null): void {
  const { db } = ctx;
  if (partTypeId === null) {
    db.prepare("DELETE FROM reel_override WHERE reel_id = ? AND position_id = ?").run(job.reel.id, positionId);
    return;
  }
  const used = db
    .prepare("SELECT 1 FROM instance WHERE reel_id = ? AND position_id = ? AND fitted_job_id = ?")
    .get(job.reel.id, positionId, job.id);
  if (used) throw new Refusal("used", "A new part has already been taken for this seat. Undo that first.", "number");
  rememberSeat(ctx, job, positionId, partTypeId);
  db.prepare(
    "UPDATE instance SET part_type_id = ? WHERE reel_id = ? AND position_id = ? AND removed_job_id IS NULL AND origin = 'found'",
  ).run(partTypeId, job.reel.id, positionId);
}

/** Seats whose part came off on this job. */
export const seatsOff = (db: Db, jobId: number): ReadonlySet<string> =>
  new Set(db.prepare("SELECT position_id FROM tray_well WHERE job_id = ?").pluck().all(jobId) as string[]);

const isBuilt = (db: Db, jobId: number, positionId: string): boolean =>
  db
    .prepare("SELECT 1 FROM build_step WHERE job_id = ? AND operation_id = ? AND state = 'done'")
    .get(jobId, placeOperationId(positionId)) !== undefined;

const refuseBuilt = (db: Db, { id, tag }: Job, positionId: string, name: string): void => {
  if (isBuilt(db, id, positionId))
    throw new Refusal("built", `${name} is already fitted. Open the step again at Build first.`, null, {
      to: "open-again",
      tag,
      operationId: placeOperationId(positionId),
    });
};

/** The piece in the well that a new one takes the place of. @throws Refusal when it is still in the reel, built in again, or new already. */
function openWell(db: Db, job: Job, positionId: string, name: string): { instanceId: number } {
  const well = db
    .prepare(
      `SELECT instance.id, instance.fitted_job_id FROM tray_well JOIN instance ON instance.id = tray_well.instance_id
       WHERE tray_well.job_id = ? AND tray_well.position_id = ?`,
    )
    .get(job.id, positionId) as { id: number; fitted_job_id: number | null } | undefined;
  if (!well)
    throw new Refusal("not-in-tray", `${name} is still in the reel. Take it off at Strip first.`, null, {
      to: "station",
      tag: job.tag,
      station: "strip",
    });
  refuseBuilt(db, job, positionId, name);
  if (well.fitted_job_id === job.id) throw new Refusal("used", `A new ${name} is already in the tray. Nothing was taken.`);
  return { instanceId: well.id };
}

/** Lays a piece into the well of the old one, which goes to the old parts. Where it is another part than before, the reel remembers it. */
function layInWell(
  ctx: Context,
  job: Job,
  positionId: string,
  oldInstanceId: number,
  piece: { partTypeId: string; donorPieceId: number | null; source?: PieceSource; planBefore?: string | null },
): void {
  const { db } = ctx;
  db.prepare("UPDATE instance SET removed_job_id = ? WHERE id = ?").run(job.id, oldInstanceId);
  const fresh = Number(
    db
      .prepare(
        "INSERT INTO instance (reel_id, position_id, part_type_id, origin, fitted_job_id, donor_piece_id, source, plan_before) VALUES (?, ?, ?, 'stock', ?, ?, ?, ?)",
      )
      .run(job.reel.id, positionId, piece.partTypeId, job.id, piece.donorPieceId, piece.source ?? null, piece.planBefore ?? null)
      .lastInsertRowid,
  );
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(fresh, job.id, positionId);
  forgetOldPiece(db, job.id, positionId);
  meetNeed(ctx, job, positionId, {
    instanceId: fresh,
    partTypeId: piece.partTypeId,
    setAside: piece.donorPieceId === null && !piece.source,
  });
  rememberSeat(ctx, job, positionId, piece.partTypeId);
  advanceStation(ctx, job, "parts");
}

/** Takes a new piece from stock for a seat. One put aside for this very seat is taken first; those put aside for others are not touched. */
export function fitFromStock(ctx: Context, job: Job, positionId: string): void {
  const { db } = ctx;
  const { name, partTypeId } = wantedPart(db, job, positionId);
  const well = openWell(db, job, positionId, name);
  const setAside = needOf(db, job.id, positionId)?.state === "arrived";
  const line = findStock(db, partTypeId);
  const free = freeInBin(line) + (setAside ? 1 : 0);
  if (free < 1)
    throw new Refusal(
      "short",
      line?.keptAside
        ? "Those in the bin are set aside for other reels. Order one for this reel."
        : "None in the bin. Order it for this job.",
    );
  moveStock(ctx, { partTypeId, delta: -1, reason: "used", jobId: job.id });
  layInWell(ctx, job, positionId, well.instanceId, { partTypeId, donorPieceId: null });
  writeJournal(ctx, "part-used", { jobId: job.id, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

/** Takes a piece off a donor's drawer for a seat; it is billed at the piece's own price. What was put aside or is on order for the seat is free. */
export function fitFromDonor(ctx: Context, job: Job, positionId: string, donorPieceId: number): void {
  const { db } = ctx;
  const { name } = wantedPart(db, job, positionId);
  const well = openWell(db, job, positionId, name);
  const partTypeId = takeOutOfDrawer(db, donorPieceId, job.id);
  layInWell(ctx, job, positionId, well.instanceId, { partTypeId, donorPieceId });
  writeJournal(ctx, "donor-piece-used", { jobId: job.id, reelId: job.reel.id }, { position: positionId, piece: donorPieceId });
}

/** A piece from anywhere, for a seat: size, material and closure as typed, its price, nothing of it in the catalogue. */
export interface PieceFromElsewhere {
  readonly source: PieceSource;
  readonly shape: PartType["shape"];
  /** A size of a part that has no measures of its own kind, as typed. */
  readonly said: string;
  /** What it is called and does, where it is of another kind than the seat's own. */
  readonly called?: string;
  readonly role?: string;
  readonly material: string;
  readonly priceMinor: number;
}

/** Takes a piece that no bin and no donor had. The seat is its from now on: what it is made of and how it is closed rules what it gets. */
export function fitFromElsewhere(ctx: Context, job: Job, positionId: string, piece: PieceFromElsewhere): void {
  const { db } = ctx;
  const { name, partTypeId } = wantedPart(db, job, positionId);
  const well = openWell(db, job, positionId, name);
  const planBefore = planInWords(db, job.id, positionId);
  const own = pieceLike(ctx, partTypeId, piece);
  wantOwnPart(ctx, job.id, positionId, own);
  layInWell(ctx, job, positionId, well.instanceId, { partTypeId: own, donorPieceId: null, source: piece.source, planBefore });
  writeJournal(ctx, "piece-used", { jobId: job.id, reelId: job.reel.id }, { position: positionId, source: piece.source });
}

/** Lists a piece like a seat's part, with its own size, stuff and price. @returns its id. */
function pieceLike(ctx: Context, partTypeId: string, { shape, said, called, role, material, priceMinor }: PieceFromElsewhere): string {
  const model = findPartType(ctx.db, partTypeId)!;
  const { number: _number, id: _id, supersededBy: _old, ...like } = model;
  // A friction washer of another stuff is no old lining any more, and a magnet none if it is not one.
  const hazard = material === model.material ? like.hazard : undefined;
  const name = called ?? like.name;
  return addUnlistedPiece(ctx, {
    ...like,
    ...(role === undefined ? {} : { role }),
    name: said ? `${name}, ${said}` : name,
    hazard,
    shape,
    material,
    priceMinor,
  });
}

/** A piece that is here before its seat is open: it stands in the quote at its own price and goes in by one press once the old one is off. */
export function planFromElsewhere(ctx: Context, job: Job, positionId: string, piece: PieceFromElsewhere): void {
  const { name, partTypeId } = wantedPart(ctx.db, job, positionId);
  refuseBuilt(ctx.db, job, positionId, name);
  setForeseen(ctx, job.id, positionId, true);
  // It is here: nothing more is to be ordered for it.
  if (needOf(ctx.db, job.id, positionId)?.state === "open") endNeed(ctx, job.id, positionId, "let-go");
  wantOwnPart(ctx, job.id, positionId, pieceLike(ctx, partTypeId, piece));
  planPrice(ctx.db, job.id, positionId, piece);
}

/** The new piece a seat waits for: the one planned from elsewhere, else one out of the bin. */
export function fitWanted(ctx: Context, job: Job, positionId: string): void {
  const { db } = ctx;
  const planned = plannedFromElsewhere(db, job.id, positionId);
  if (!planned) {
    fitFromStock(ctx, job, positionId);
    return;
  }
  const { name, partTypeId } = wantedPart(db, job, positionId);
  const { shape, material } = findPartType(db, partTypeId)!;
  const { instanceId } = openWell(db, job, positionId, name);
  const planBefore = planInWords(db, job.id, positionId);
  if (!findPartCard(db, partTypeId)?.unlisted)
    wantOwnPart(ctx, job.id, positionId, pieceLike(ctx, partTypeId, { ...planned, shape, material, said: "" }));
  const own = wantedPart(db, job, positionId).partTypeId;
  layInWell(ctx, job, positionId, instanceId, { partTypeId: own, donorPieceId: null, source: planned.source, planBefore });
  writeJournal(ctx, "piece-used", { jobId: job.id, reelId: job.reel.id }, { position: positionId, source: planned.source });
}

/** Puts the new piece back where it came from and the old one back into its well; what the seat's need had is given back to it. */
export function takeBack(ctx: Context, job: Job, positionId: string): void {
  const { db } = ctx;
  const row = db
    .prepare(
      `SELECT instance.id, instance.part_type_id, instance.donor_piece_id, instance.source, instance.plan_before FROM tray_well JOIN instance ON instance.id = tray_well.instance_id
       WHERE tray_well.job_id = @job AND tray_well.position_id = @seat AND instance.fitted_job_id = @job`,
    )
    .get({ job: job.id, seat: positionId }) as
    | { id: number; part_type_id: string; donor_piece_id: number | null; source: PieceSource | null; plan_before: string | null }
    | undefined;
  const old = db
    .prepare("SELECT id, part_type_id FROM instance WHERE reel_id = ? AND position_id = ? AND removed_job_id = ? ORDER BY id DESC LIMIT 1")
    .get(job.reel.id, positionId, job.id) as { id: number; part_type_id: string } | undefined;
  if (!row || !old) throw new Refusal("not-used", "There is no new part in this well.");
  refuseBuilt(db, job, positionId, wantedPart(db, job, positionId).name);
  db.prepare("UPDATE tray_well SET instance_id = ? WHERE job_id = ? AND position_id = ?").run(old.id, job.id, positionId);
  if (row.donor_piece_id === null && row.source === null)
    moveStock(ctx, { partTypeId: row.part_type_id, delta: 1, reason: "used-undone", jobId: job.id });
  unmeetNeed(ctx, job.id, positionId, row.id);
  db.prepare("DELETE FROM instance WHERE id = ?").run(row.id);
  db.prepare("UPDATE instance SET removed_job_id = NULL WHERE id = ?").run(old.id);
  if (row.donor_piece_id !== null) layBackInDrawer(db, row.donor_piece_id);
  if (row.plan_before !== null) planAgain(ctx, job.id, positionId, row.plan_before);
  else if (row.source !== null) wantOwnPart(ctx, job.id, positionId, old.part_type_id);
  rememberSeat(ctx, job, positionId, old.part_type_id);
  writeJournal(ctx, "part-used-undone", { jobId: job.id, reelId: job.reel.id }, { position: positionId });
}
