import { z } from "zod";
import { newPartsFor, renewsOf } from "@/core/diagnosis/renews";
import { wantsNew, wellVerdicts } from "@/core/teardown/verdicts";
import { type FaultOutcome, faultOutcomeIds } from "@/core/vocabulary/fault-outcomes";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { flag, rows } from "@/data/database/rows";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { foresee, listDeclined, strikeOfFault } from "@/data/parts/quote-parts";
import { faultOf } from "./knowledge";

/** A fault taken into a job. */
export interface JobFault {
  readonly faultId: string;
  readonly note: string;
  /** Why it is not put right here; null where it is. */
  readonly outcome: FaultOutcome | null;
  /** Somebody said that it is put right, though no part came off for it. */
  readonly putRight: boolean;
}

const jobFault = z.object({ faultId: z.string(), note: z.string(), outcome: z.enum(faultOutcomeIds).nullable(), putRight: flag });

export const listFaults = (db: Db, jobId: number): JobFault[] =>
  rows(
    jobFault,
    db
      .prepare("SELECT fault_id AS faultId, note, outcome, put_right AS putRight FROM job_fault WHERE job_id = ? ORDER BY at, fault_id")
      .all(jobId),
  );

/** The places of a reel that a fault's remedy renews, and those that may come on top of them. */
export function newPartsOf(db: Db, job: Job, faultId: string): ReturnType<typeof newPartsFor> {
  const roles = faultOf(db, faultId)?.remedy.partRoles ?? [];
  const version = machineOf(db, job);
  const wanted = new Set(
    rows(
      z.object({ id: z.string(), verdict: z.enum(wellVerdicts) }),
      db.prepare("SELECT position_id AS id, verdict FROM tray_well WHERE job_id = ?").all(job.id),
    ).flatMap(({ id, verdict }) => (wantsNew(verdict) ? [id] : [])),
  );
  return newPartsFor(
    faultId,
    version.anatomy.positions.flatMap(({ id, partTypeId }) =>
      roles.includes(version.partTypes.get(partTypeId)!.role) ? [{ positionId: id, wantsNew: wanted.has(id) }] : [],
    ),
  );
}

/** Puts the parts a fault's remedy needs into the quote, seat by seat, or only at some seats. */
function foreseeParts(ctx: Context, job: Job, faultId: string, only?: ReadonlySet<string>): void {
  const seats = new Map(machineOf(ctx.db, job).anatomy.positions.map(({ id, partTypeId }) => [id, partTypeId]));
  const declined = new Set(listDeclined(ctx.db, job.id));
  for (const id of newPartsOf(ctx.db, job, faultId).foreseen)
    if ((only?.has(id) ?? true) && !declined.has(id)) foresee(ctx, job.id, id, seats.get(id)!, faultId);
}

/**
 * A part was seen to want a new one, or not to after all: of several like parts, what was foreseen for another in its stead leaves the quote, and
 * comes back.
 */
export function narrowFaults(ctx: Context, job: Job, positionId: string): void {
  for (const { faultId, outcome } of listFaults(ctx.db, job.id)) {
    if (outcome !== null || renewsOf(faultId) === "all") continue;
    const { foreseen, may } = newPartsOf(ctx.db, job, faultId);
    if (![...foreseen, ...may].includes(positionId)) continue;
    if (foreseen.length) strikeOfFault(ctx, job.id, faultId, new Set(foreseen));
    foreseeParts(ctx, job, faultId);
  }
}

/** Takes a fault into the job; the parts its remedy may need are foreseen in the quote, seat by seat, and can be struck there. */
export function addFault(ctx: Context, jobId: number, faultId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!faultOf(ctx.db, faultId)) throw new Refusal("no-fault", "This fault is not in the catalogue. Choose one from the list.");
  ctx.db
    .prepare(
      "INSERT INTO job_fault (job_id, fault_id, note, at) VALUES (?, ?, ?, ?) ON CONFLICT (job_id, fault_id) DO UPDATE SET note = excluded.note",
    )
    .run(jobId, faultId, note, ctx.now);
  foreseeParts(ctx, job, faultId);
  writeJournal(ctx, "fault-found", { jobId, reelId: job.reel.id }, { fault: faultId });
  advanceStation(ctx, job, "find");
}

export function withdrawFault(ctx: Context, jobId: number, faultId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM job_fault WHERE job_id = ? AND fault_id = ?").run(jobId, faultId);
  if (!changes) return;
  const gone = new Set(strikeOfFault(ctx, jobId, faultId));
  // What another fault of this job wants as well is foreseen by that one now; what somebody struck stays struck.
  for (const other of listFaults(ctx.db, jobId)) foreseeParts(ctx, job, other.faultId, gone);
  writeJournal(ctx, "fault-withdrawn", { jobId, reelId: job.reel.id }, { fault: faultId });
}

/** Says that a fault is not put right here, and how it leaves; null takes it on again. Its parts leave the quote with it, and come back. */
export function setFaultOutcome(ctx: Context, jobId: number, faultId: string, outcome: FaultOutcome | null): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("UPDATE job_fault SET outcome = ? WHERE job_id = ? AND fault_id = ?").run(outcome, jobId, faultId);
  if (!changes) throw new Refusal("no-fault", "This fault is no longer on the job. Reload the page.");
  if (outcome === null) foreseeParts(ctx, job, faultId);
  else {
    const gone = new Set(strikeOfFault(ctx, jobId, faultId));
    for (const other of listFaults(ctx.db, jobId)) if (other.outcome === null) foreseeParts(ctx, job, other.faultId, gone);
  }
  writeJournal(ctx, "fault-outcome", { jobId, reelId: job.reel.id }, { fault: faultId, outcome });
}

/** Says that a fault is put right though no part came off for it: loosened, set, cleaned where it sits. Its own word, and taken back as well. */
export function sayPutRight(ctx: Context, jobId: number, faultId: string, putRight: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE job_fault SET put_right = ? WHERE job_id = ? AND fault_id = ?")
    .run(Number(putRight), jobId, faultId);
  if (!changes) throw new Refusal("no-fault", "This fault is no longer on the job. Reload the page.");
  writeJournal(ctx, "fault-put-right", { jobId, reelId: job.reel.id }, { fault: faultId, putRight });
}
