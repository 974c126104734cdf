import { z } from "zod";
import { type AsItIsReason, asItIsReasonIds } from "@/core/vocabulary/as-it-is";
import { type TestId, testIds } from "@/core/vocabulary/tests";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { rows } from "@/data/database/rows";
import { listObservations } from "@/data/diagnosis/observations";
import { getOpenJob } from "@/data/jobs/jobs";

const asItIs = z.object({ testId: z.enum(testIds), reason: z.enum(asItIsReasonIds) });

/** Tests whose last answer is bad: after the work, or before it where it was not made again. */
function badTests(db: Db, jobId: number): ReadonlySet<TestId> {
  const answers = listObservations(db, jobId);
  const after = new Set(answers.flatMap((one) => (one.phase === "after" ? [one.testId] : [])));
  const last = answers.filter((one) => one.phase === "after" || !after.has(one.testId));
  return new Set(last.flatMap((one) => (one.verdict === "bad" ? [one.testId] : [])));
}

/** Tests of a job that are bad after the work and with which it goes, each with the reason; one that was made anew and is good is none. */
export const listAsItIs = (db: Db, jobId: number): z.output<typeof asItIs>[] => {
  const bad = badTests(db, jobId);
  return rows(
    asItIs,
    db.prepare("SELECT test_id AS testId, reason FROM goes_as_it_is WHERE job_id = ? ORDER BY at, test_id").all(jobId),
  ).filter(({ testId }) => bad.has(testId));
};

/** The reel goes with this test bad, by somebody's word; null takes the word back. @throws Refusal where that test is not bad after the work. */
export function goAsItIs(ctx: Context, jobId: number, testId: TestId, reason: AsItIsReason | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (reason === null) db.prepare("DELETE FROM goes_as_it_is WHERE job_id = ? AND test_id = ?").run(jobId, testId);
  else {
    if (!badTests(db, jobId).has(testId)) throw new Refusal("not-bad", "This test is no longer bad. Reload the page.");
    db.prepare(
      `INSERT INTO goes_as_it_is (job_id, test_id, reason, at, person_id) VALUES (?, ?, ?, ?, ?)
       ON CONFLICT DO UPDATE SET reason = excluded.reason, at = excluded.at, person_id = excluded.person_id`,
    ).run(jobId, testId, reason, ctx.now, ctx.person.id);
  }
  writeJournal(ctx, "goes-as-it-is", { jobId, reelId: job.reel.id }, { test: testId, reason });
}
