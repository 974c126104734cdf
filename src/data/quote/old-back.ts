import type { Db } from "@/data/database/database";

/**
 * Faults whose old pieces went back by somebody's word, and none of whose pieces was renewed: their work was not done, so it is neither charged nor
 * told as done. By job and fault, with the word.
 */
export function oldBackOf(db: Db, jobIds: readonly number[]): ReadonlyMap<number, ReadonlyMap<string, string>> {
  const rows = db
    .prepare(
      `SELECT quote_part.job_id AS jobId, quote_part.foreseen_by AS faultId, min(build_step.note) AS reason
       FROM quote_part
       JOIN build_step ON build_step.job_id = quote_part.job_id AND build_step.operation_id = 'place-' || quote_part.position_id
         AND build_step.state = 'done' AND build_step.note <> ''
       JOIN tray_well ON tray_well.job_id = quote_part.job_id AND tray_well.position_id = quote_part.position_id
         AND tray_well.verdict NOT IN ('dressed', 'watch')
       WHERE quote_part.job_id IN (SELECT value FROM json_each(?)) AND quote_part.foreseen_by IS NOT NULL AND NOT EXISTS (
         SELECT 1 FROM quote_part AS other JOIN instance ON instance.fitted_job_id = other.job_id AND instance.position_id = other.position_id
           AND instance.removed_job_id IS NULL
         WHERE other.job_id = quote_part.job_id AND other.foreseen_by = quote_part.foreseen_by)
       GROUP BY quote_part.job_id, quote_part.foreseen_by`,
    )
    .all(JSON.stringify(jobIds)) as { jobId: number; faultId: string; reason: string }[];
  const byJob = new Map<number, Map<string, string>>();
  for (const { jobId, faultId, reason } of rows) byJob.set(jobId, (byJob.get(jobId) ?? new Map<string, string>()).set(faultId, reason));
  return byJob;
}
