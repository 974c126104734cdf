import { type ClosingBlock, closingBlocks } from "./build";
import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { advanceStation, getOpenJob, type Job } from "./jobs";
import { writeJournal } from "./journal";
import { getBill } from "./quotes";

/** What came with the reel and has not been ticked off. */
export const notGivenBack = (job: Job): string[] => job.brought.filter((item) => item.givenBackAt === null).map((item) => item.item);

/** What keeps the job open now, the reel first, then what came with it. */
export function handBackBlocks(db: Db, job: Job): ClosingBlock[] {
  return [
    ...closingBlocks(db, job),
    ...notGivenBack(job).map((item) => ({ code: "brought" as const, message: `Came with it and is not ticked off: ${item}` })),
  ];
}

/** The reel is proved and hangs ready. @throws Refusal with the first thing that still keeps it on the bench. */
export function markReady(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const [first, ...others] = closingBlocks(ctx.db, job);
  if (first) throw new Refusal(first.code, others.length ? `${first.message} (and ${others.length} more)` : first.message);
  advanceStation(ctx, job, "return");
}

export function tickBrought(ctx: Context, jobId: number, item: string, given: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE job_brought SET given_back_at = ? WHERE job_id = ? AND item = ?")
    .run(given ? ctx.now : null, jobId, item);
  if (!changes) throw new Refusal("no-item", "This did not come with the reel.");
  writeJournal(ctx, given ? "item-given-back" : "item-kept", { jobId: job.id }, { item });
}

/** Hands the reel back: nothing in the tray, every gate passed, everything that came with it ticked. The sum is fixed here. */
export function closeJob(ctx: Context, jobId: number, signedBy: string): { totalMinor: number } {
  const job = getOpenJob(ctx.db, jobId);
  const [first, ...others] = handBackBlocks(ctx.db, job);
  if (first) throw new Refusal(first.code, others.length ? `${first.message} (and ${others.length} more)` : first.message);
  const { totalMinor } = getBill(ctx.db, job).estimate;
  ctx.db
    .prepare(
      "UPDATE job SET station = 'closed', closed_at = ?, final_total_minor = ?, signed_by = ?, row_version = row_version + 1 WHERE id = ?",
    )
    .run(ctx.now, totalMinor, signedBy, jobId);
  writeJournal(ctx, "handed-back", { jobId, reelId: job.reel.id, customerId: job.customer.id }, { totalMinor });
  return { totalMinor };
}
