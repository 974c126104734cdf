import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { advanceStation, getOpenJob } from "./jobs";
import { writeJournal } from "./journal";
import { faultOf } from "./knowledge";
import { machineOf } from "./machine";

export interface Finding {
  readonly faultId: string;
  readonly note: string;
}

export const listFindings = (db: Db, jobId: number): Finding[] =>
  db.prepare("SELECT fault_id AS faultId, note FROM finding WHERE job_id = ? ORDER BY at, fault_id").all(jobId) as Finding[];

/** Takes a fault into the job; the parts its remedy may need are foreseen in the quote, seat by seat, and can be struck there. */
export function addFinding(ctx: Context, jobId: number, faultId: string, note: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const fault = faultOf(ctx.db, faultId);
  if (!fault) throw new Refusal("no-fault", "This fault is not in the catalogue. Choose one from the list.");
  ctx.db
    .prepare(
      "INSERT INTO finding (job_id, fault_id, note, at) VALUES (?, ?, ?, ?) ON CONFLICT (job_id, fault_id) DO UPDATE SET note = excluded.note",
    )
    .run(jobId, faultId, note, ctx.now);
  const version = machineOf(ctx.db, job);
  const foresee = ctx.db.prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?)");
  for (const position of version.anatomy.positions)
    if (fault.remedy.partRoles.includes(version.partTypes.get(position.partTypeId)!.role))
      foresee.run(jobId, position.id, position.partTypeId);
  writeJournal(ctx, "fault-found", { jobId, reelId: job.reel.id }, { fault: faultId });
  advanceStation(ctx, job, "find");
}

export function removeFinding(ctx: Context, jobId: number, faultId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM finding WHERE job_id = ? AND fault_id = ?").run(jobId, faultId);
  if (changes) writeJournal(ctx, "fault-withdrawn", { jobId, reelId: job.reel.id }, { fault: faultId });
}
