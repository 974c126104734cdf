import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { findJob } from "@/data/jobs/jobs";
import { paperOfCorrection } from "@/data/papers/make-paper";

export interface Correction {
  readonly id: number;
  /** ISO instant. */
  readonly at: string;
  readonly person: string;
  readonly words: string;
  /** Charged on top; below nothing where it was taken off. */
  readonly amountMinor: number;
}

/** What was added to a closed job, in the order it came. */
export const listCorrections = (db: Db, jobId: number): Correction[] =>
  db
    .prepare(
      `SELECT job_correction.id, job_correction.at, person.name AS person, words, amount_minor AS amountMinor
       FROM job_correction JOIN person ON person.id = job_correction.person_id WHERE job_id = ? ORDER BY job_correction.id`,
    )
    .all(jobId) as Correction[];

/** Adds to a job that was handed back what was wrong in it or came later: nothing of it is changed. @throws Refusal while it is open: then it is put right where it stands. */
export function correctJob(
  ctx: Context,
  jobId: number,
  { words, amountMinor, paidBy = null }: { words: string; amountMinor: number; paidBy?: "cash" | "card" | "transfer" | null },
): void {
  const job = findJob(ctx.db, jobId);
  if (!job) throw new Refusal("no-job", "This job no longer exists. Go back to the rack.", null, { to: "rack" });
  if (!job.closedAt)
    throw new Refusal("open", `${job.tag} is still in the shop: correct it at its own station.`, null, {
      to: "station",
      tag: job.tag,
      station: job.station,
    });
  ctx.db
    .prepare("INSERT INTO job_correction (job_id, words, amount_minor, at, person_id) VALUES (?, ?, ?, ?, ?)")
    .run(jobId, words, amountMinor, ctx.now, ctx.person.id);
  paperOfCorrection(ctx, job, { words, amountMinor, paidBy });
  writeJournal(ctx, "job-corrected", { jobId, reelId: job.reel.id }, { amount: amountMinor });
}
