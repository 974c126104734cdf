import { removalOrder } from "@/core/teardown/removal-order";
import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { advanceStation, getOpenJob, type Job } from "./jobs";
import { writeJournal } from "./journal";
import { machineOf } from "./machine";
import { requireConsent, setQuotePart } from "./quotes";

export const wellVerdicts = ["ok", "worn", "replace", "watch"] as const;
export type WellVerdict = (typeof wellVerdicts)[number];

export interface Well {
  readonly well: number;
  readonly positionId: string;
  readonly instanceId: number;
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
  readonly photoHash: string | null;
  readonly takenAt: string;
  readonly leftOutReason: string | null;
  /** A new piece lies in the well: fitted from stock in this job. */
  readonly renewed: boolean;
  readonly refitted: boolean;
}

/** The tray of a job, well by well in the order the parts came off. */
export function listWells(db: Db, jobId: number): Well[] {
  const rows = db
    .prepare(
      `SELECT tray_well.well, tray_well.position_id, tray_well.instance_id, tray_well.verdict, tray_well.orientation, tray_well.note,
              tray_well.photo_hash, tray_well.taken_at, tray_well.left_out_reason,
              instance.fitted_job_id IS tray_well.job_id AS renewed,
              EXISTS (SELECT 1 FROM build_step WHERE build_step.job_id = tray_well.job_id
                      AND build_step.operation_id = 'place-' || tray_well.position_id AND build_step.state = 'done') AS refitted
       FROM tray_well JOIN instance ON instance.id = tray_well.instance_id WHERE tray_well.job_id = ? ORDER BY tray_well.well`,
    )
    .all(jobId) as {
    well: number;
    position_id: string;
    instance_id: number;
    verdict: WellVerdict;
    orientation: string;
    note: string;
    photo_hash: string | null;
    taken_at: string;
    left_out_reason: string | null;
    renewed: 0 | 1;
    refitted: 0 | 1;
  }[];
  return rows.map((row) => ({
    well: row.well,
    positionId: row.position_id,
    instanceId: row.instance_id,
    verdict: row.verdict,
    orientation: row.orientation,
    note: row.note,
    photoHash: row.photo_hash,
    takenAt: row.taken_at,
    leftOutReason: row.left_out_reason,
    renewed: row.renewed === 1,
    refitted: row.refitted === 1,
  }));
}

/** What is expected to come off next, first first, given what lies in the tray. */
export function expectedNext(db: Db, job: Pick<Job, "id" | "modelVersionId" | "editionId" | "reel">): string[] {
  const off = new Set(listWells(db, job.id).map((well) => well.positionId));
  return removalOrder(machineOf(db, job).anatomy).filter((id) => !off.has(id));
}

/**
 * Takes one part off into the next well.
 * @throws Refusal when it lies in the tray already, has no such seat, or the customer has not said yes.
 */
export function takePart(ctx: Context, jobId: number, positionId: string): { well: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const version = machineOf(db, job);
  const position = version.anatomy.positions.find((p) => p.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  const lying = db.prepare("SELECT well FROM tray_well WHERE job_id = ? AND position_id = ?").get(jobId, positionId) as
    | { well: number }
    | undefined;
  if (lying) throw new Refusal("in-tray", `${position.name} already lies in well ${lying.well}. Nothing was added.`);
  const seated = db
    .prepare("SELECT id FROM instance WHERE reel_id = ? AND position_id = ? AND removed_job_id IS NULL")
    .get(job.reel.id, positionId) as { id: number } | undefined;
  const instanceId =
    seated?.id ??
    Number(
      db
        .prepare("INSERT INTO instance (reel_id, position_id, part_type_id, origin) VALUES (?, ?, ?, 'found')")
        .run(job.reel.id, positionId, position.partTypeId).lastInsertRowid,
    );
  const well = (db.prepare("SELECT coalesce(max(well), 0) + 1 AS next FROM tray_well WHERE job_id = ?").get(jobId) as { next: number })
    .next;
  db.prepare("INSERT INTO tray_well (job_id, position_id, well, instance_id, orientation, taken_at) VALUES (?, ?, ?, ?, ?, ?)").run(
    jobId,
    positionId,
    well,
    instanceId,
    position.orientation ?? "",
    ctx.now,
  );
  writeJournal(ctx, "part-off", { jobId, reelId: job.reel.id }, { position: positionId, well });
  advanceStation(ctx, job, "strip");
  return { well };
}

/** Puts the part of the last well back where it was: the undo of a press. Only the last, because the order in the tray is the way back. */
export function putBackLast(ctx: Context, jobId: number): { positionId: string } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const last = listWells(db, jobId).at(-1);
  if (!last) throw new Refusal("empty", "The tray is empty: there is nothing to undo.");
  if (last.renewed || last.refitted)
    throw new Refusal("in-use", "The last well holds a new or refitted part. Undo that at Parts or Build first.");
  db.prepare("DELETE FROM tray_well WHERE job_id = ? AND position_id = ?").run(jobId, last.positionId);
  writeJournal(ctx, "part-off-undone", { jobId, reelId: job.reel.id }, { position: last.positionId, well: last.well });
  return { positionId: last.positionId };
}

export interface WellNote {
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
}

/** Says how the part lay and what it looks like. "Replace" foresees a new one in the quote. */
export function noteWell(ctx: Context, jobId: number, positionId: string, note: WellNote): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const { changes } = db
    .prepare("UPDATE tray_well SET verdict = ?, orientation = ?, note = ? WHERE job_id = ? AND position_id = ?")
    .run(note.verdict, note.orientation, note.note, jobId, positionId);
  if (!changes) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  if (note.verdict === "replace") setQuotePart(ctx, jobId, positionId, true);
  writeJournal(ctx, "part-looked-at", { jobId, reelId: job.reel.id }, { position: positionId, verdict: note.verdict });
}

/** Ties the picture of the opened joint to the part that opened it. */
export function pictureWell(ctx: Context, jobId: number, positionId: string, photoHash: string): void {
  getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE tray_well SET photo_hash = ? WHERE job_id = ? AND position_id = ?")
    .run(photoHash, jobId, positionId);
  if (!changes) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  writeJournal(ctx, "picture-taken", { jobId }, { position: positionId, photo: photoHash });
}

/** Says why a part stays out for good. It then no longer blocks closing, and the reason stands in the report and the journal. */
export function leaveOut(ctx: Context, jobId: number, positionId: string, reason: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE tray_well SET left_out_reason = ? WHERE job_id = ? AND position_id = ?")
    .run(reason, jobId, positionId);
  if (!changes) throw new Refusal("not-in-tray", "This part is not in the tray.");
  writeJournal(ctx, "part-left-out", { jobId, reelId: job.reel.id }, { position: positionId, reason });
}
