import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";
import { faultOf } from "./knowledge";

export interface Finding {
  readonly faultId: string;
  readonly note: string;
}

export const listFindings = (db: Db, jobId: number): Finding[] =>
  db.prepare("SELECT fault_id AS faultId, note FROM finding WHERE job_id = ? ORDER BY at, fault_id").all(jobId) as Finding[];

/** Puts the parts a fault's remedy may need into the estimate, seat by seat, or only at some seats. */
function foreseeParts(db: Db, job: Job, faultId: string, only?: ReadonlySet<string>): void {
  const roles = faultOf(db, faultId)?.remedy.partRoles ?? [];
  const version = machineOf(db, job);
  const foresee = db.prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id, foreseen_by) VALUES (?, ?, ?, ?)");
  for (const position of version.anatomy.positions)
    if (roles.includes(version.partTypes.get(position.partTypeId)!.role) && (only?.has(position.id) ?? true))
      foresee.run(job.id, position.id, position.partTypeId, faultId);
}

/** Takes a fault into the job; the parts its remedy may need are foreseen in the quote, seat by seat, and can be struck there. */
export function addFinding(ctx: Context, jobId: number, faultId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!faultOf(ctx.db, faultId)) throw new Refusal("no-fault", "This fault is not in the catalogue. Choose one from the list.");
  ctx.db
    .prepare(
      "INSERT INTO finding (job_id, fault_id, note, at) VALUES (?, ?, ?, ?) ON CONFLICT (job_id, fault_id) DO UPDATE SET note = excluded.note",
    )
    .run(jobId, faultId, note, ctx.now);
  foreseeParts(ctx.db, job, faultId);
  writeJournal(ctx, "fault-found", { jobId, reelId: job.reel.id }, { fault: faultId });
  advanceStation(ctx, job, "find");
}

export function removeFinding(ctx: Context, jobId: number, faultId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM finding WHERE job_id = ? AND fault_id = ?").run(jobId, faultId);
  if (!changes) return;
  const gone = new Set(
    ctx.db
      .prepare("DELETE FROM quote_part WHERE job_id = ? AND foreseen_by = ? RETURNING position_id")
      .pluck()
      .all(jobId, faultId) as string[],
  );
  // What another fault of this job wants as well is foreseen by that one now; what somebody struck stays struck.
  for (const other of listFindings(ctx.db, jobId)) foreseeParts(ctx.db, job, other.faultId, gone);
  writeJournal(ctx, "fault-withdrawn", { jobId, reelId: job.reel.id }, { fault: faultId });
}
