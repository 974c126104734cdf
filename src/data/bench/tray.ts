import { pullGroup } from "@/core/teardown/pull-group";
import { type WellVerdict, wantsNew } from "@/core/teardown/verdicts";
import type { Well } from "@/core/teardown/well";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { pieceInSeat } from "@/data/parts/fitting";
import { setForeseen } from "@/data/parts/wanted";
import { requireConsent } from "@/data/quote/quotes";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";
import { wantForVerdict } from "./fit-part";
import { expectedOff, unopenedUnit } from "./ways";

/** The tray of a job, well by well in the order the parts came off. */
export function listWells(db: Db, jobId: number): Well[] {
  const rows = db
    .prepare(
      `SELECT tray_well.well, tray_well.position_id, tray_well.instance_id, tray_well.verdict, tray_well.orientation, tray_well.note,
              tray_well.hole, tray_well.thread, tray_well.found_count, tray_well.pulled_with, tray_well.cleaned_at,
              (SELECT soak_id FROM soak_part WHERE soak_part.job_id = tray_well.job_id
               AND soak_part.position_id = tray_well.position_id AND soak_part.back IS NULL) AS soak_id,
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
    hole: string;
    thread: "right" | "left" | null;
    found_count: number;
    pulled_with: number;
    cleaned_at: string | null;
    soak_id: number | null;
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
    hole: row.hole,
    thread: row.thread,
    foundCount: row.found_count,
    pulledWith: row.pulled_with,
    cleanedAt: row.cleaned_at,
    soakId: row.soak_id,
    photoHash: row.photo_hash,
    takenAt: row.taken_at,
    leftOutReason: row.left_out_reason,
    renewed: row.renewed === 1,
    refitted: row.refitted === 1,
  }));
}

/** What is expected to come off next, first first, given what lies in the tray. */
export function expectedNext(db: Db, job: Job): string[] {
  const off = new Set(listWells(db, job.id).map((well) => well.positionId));
  return expectedOff(db, job).filter((id) => !off.has(id));
}

/** What would come off in one pull with the next part. */
export function nextPull(db: Db, job: Job): string[] {
  const { anatomy, partTypes } = machineOf(db, job);
  return pullGroup(anatomy, partTypes, expectedNext(db, job), unopenedUnit(db, job));
}

/**
 * Takes one part off into the next well.
 * @throws Refusal when it lies in the tray already, has no such seat, or the customer has not said yes.
 */
export const takePart = (ctx: Context, jobId: number, positionId: string): { well: number } => takeParts(ctx, jobId, [positionId]);

/**
 * Takes parts off in one pull: into the next wells in their order, kept together.
 * @returns the last well filled. @throws Refusal as takePart does; then none of them moved.
 */
export function takeParts(ctx: Context, jobId: number, positionIds: readonly string[]): { well: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireConsent(db, job);
  const { anatomy } = machineOf(db, job);
  const { next } = db.prepare("SELECT coalesce(max(well), 0) + 1 AS next FROM tray_well WHERE job_id = ?").get(jobId) as { next: number };
  positionIds.forEach((positionId, i) => {
    const position = anatomy.positions.find((seat) => seat.id === positionId);
    if (!position) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
    const lying = db.prepare("SELECT well FROM tray_well WHERE job_id = ? AND position_id = ?").get(jobId, positionId) as
      | { well: number }
      | undefined;
    if (lying) throw new Refusal("in-tray", `${position.name} already lies in well ${lying.well}. Nothing was added.`);
    const instanceId = pieceInSeat(ctx, job.reel.id, positionId, position.partTypeId);
    // What was to stay came off after all.
    db.prepare("DELETE FROM seat_in_place WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
    db.prepare(
      "INSERT INTO tray_well (job_id, position_id, well, instance_id, orientation, hole, taken_at, pulled_with) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
    ).run(jobId, positionId, next + i, instanceId, position.orientation ?? "", position.hole ?? "", ctx.now, next);
    writeJournal(ctx, "part-off", { jobId, reelId: job.reel.id }, { position: positionId, well: next + i });
  });
  advanceStation(ctx, job, "strip");
  return { well: next + positionIds.length - 1 };
}

/** A part is served where it sits: it cannot be drawn, or is not worth it. It is off the expected list and stands in the report. */
export function serveInPlace(ctx: Context, jobId: number, positionId: string, reason: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (!machineOf(db, job).anatomy.positions.some((seat) => seat.id === positionId))
    throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  if (listWells(db, jobId).some((well) => well.positionId === positionId))
    throw new Refusal("in-tray", "It lies in the tray: undo that first.");
  db.prepare(
    "INSERT INTO seat_in_place (job_id, position_id, reason, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET reason = excluded.reason",
  ).run(jobId, positionId, reason, ctx.now);
  writeJournal(ctx, "served-in-place", { jobId, reelId: job.reel.id }, { position: positionId, reason });
  advanceStation(ctx, job, "strip");
}

/** Puts the part of the last well back where it was: the undo of a press. Only the last, because the order in the tray is the way back. */
export function putBackLast(ctx: Context, jobId: number): { positionId: string } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const last = listWells(db, jobId).at(-1);
  if (!last) throw new Refusal("empty", "The tray is empty: there is nothing to undo.");
  if (last.renewed || last.refitted)
    throw new Refusal("in-use", "The last well holds a new or refitted part. Undo that at Parts or Build first.", null, {
      to: "station",
      tag: job.tag,
      station: last.refitted ? "build" : "parts",
    });
  if (last.soakId !== null)
    throw new Refusal("in-bath", "The part of the last well lies in a bath. Count it back at Clean first.", null, {
      to: "station",
      tag: job.tag,
      station: "clean",
    });
  db.prepare("DELETE FROM tray_well WHERE job_id = ? AND position_id = ?").run(jobId, last.positionId);
  writeJournal(ctx, "part-off-undone", { jobId, reelId: job.reel.id }, { position: last.positionId, well: last.well });
  return { positionId: last.positionId };
}

export interface WellNote {
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
  readonly hole?: string;
  readonly thread?: "right" | "left" | null;
  readonly foundCount?: number;
  /** Where it was looked at: coming off, or cleaned. */
  readonly at?: "strip" | "clean";
}

export interface VerdictAnswer {
  /** What became of the verdict at Quote and Stores, in words; empty when it asks for nothing. */
  readonly words: string;
}

/**
 * Says how the part lay and what it looks like. A verdict that asks for another piece goes to Quote at once, and to the needs at Stores when
 * none lies in the bin and the customer's word allows it; taking the verdict back takes both back.
 */
export function noteWell(ctx: Context, jobId: number, positionId: string, note: WellNote): VerdictAnswer {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const well = listWells(db, jobId).find((one) => one.positionId === positionId);
  if (!well) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  db.prepare(
    "UPDATE tray_well SET verdict = ?, orientation = ?, note = ?, hole = ?, thread = ?, found_count = ? WHERE job_id = ? AND position_id = ?",
  ).run(
    note.verdict,
    note.orientation,
    note.note,
    note.hole ?? well.hole,
    note.thread === undefined ? well.thread : note.thread,
    note.foundCount ?? well.foundCount,
    jobId,
    positionId,
  );
  writeJournal(
    ctx,
    "part-looked-at",
    { jobId, reelId: job.reel.id },
    { position: positionId, verdict: note.verdict, at: note.at ?? "strip" },
  );
  if (wantsNew(note.verdict)) {
    if (well.renewed) return { words: "" };
    setForeseen(ctx, jobId, positionId, true);
    return { words: wantForVerdict(ctx, job, positionId) };
  }
  if (wantsNew(well.verdict) && !well.renewed) {
    setForeseen(ctx, jobId, positionId, false);
  }
  return { words: "" };
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
