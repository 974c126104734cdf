import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { promiseJobFor } from "@/data/jobs/job-row";

/**
 * Promises jobs for another day; what hangs on as one (a lot) moves as one. @returns the day they were promised for before, the earliest of them.
 * @throws Refusal for a past day, and where none of them hangs here any more.
 */
export function movePromise(ctx: Context, jobIds: readonly number[], to: string, today: string): { readonly from: string } {
  if (to < today) throw new Refusal("past", "That day is past. Choose today or later.", "to");
  const jobs = ctx.db
    .prepare(
      "SELECT id, promised_on AS promised FROM job WHERE closed_at IS NULL AND id IN (SELECT value FROM json_each(?)) ORDER BY promised_on",
    )
    .all(JSON.stringify(jobIds)) as { id: number; promised: string }[];
  if (!jobs.length) throw new Refusal("gone", "It is no longer on the rack. Reload the page.");
  for (const { id, promised } of jobs) {
    if (promised === to) continue;
    promiseJobFor(ctx.db, id, to);
    writeJournal(ctx, "promise-moved", { jobId: id }, { from: promised, to });
  }
  return { from: jobs[0]!.promised };
}
