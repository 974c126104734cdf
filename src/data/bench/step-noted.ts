import { seenValue } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { getOpenJob } from "@/data/jobs/jobs";
import { getBuild } from "./build";

/** What was measured, repeated or used at the steps of a job, by the step's id. */
export const listStepsNoted = (db: Db, jobId: number): ReadonlyMap<string, string> =>
  new Map(
    (
      db.prepare("SELECT operation_id AS id, words FROM step_noted WHERE job_id = ? ORDER BY at, operation_id").all(jobId) as {
        id: string;
        words: string;
      }[]
    ).map(({ id, words }) => [id, words]),
  );

/** Notes a measure, a repeat or an amount at a step, done or not; empty words take it off. @throws Refusal for a step this job has not. */
export function noteStep(ctx: Context, jobId: number, operationId: string, words: string, seen: string | null = null): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!getBuild(ctx.db, job).steps.some(({ operation }) => operation.id === operationId))
    throw new Refusal("no-step", "This step is no longer part of the job. Reload the page.");
  refuseUnseen(seen, seenValue(listStepsNoted(ctx.db, jobId).get(operationId) ?? ""), "The note at this step", "words");
  if (words)
    ctx.db
      .prepare(
        "INSERT INTO step_noted (job_id, operation_id, words, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET words = excluded.words, at = excluded.at",
      )
      .run(jobId, operationId, words, ctx.now);
  else ctx.db.prepare("DELETE FROM step_noted WHERE job_id = ? AND operation_id = ?").run(jobId, operationId);
  writeJournal(ctx, "step-noted", { jobId, reelId: job.reel.id }, { operation: operationId });
}
