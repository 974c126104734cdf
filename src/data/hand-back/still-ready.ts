import { stationOfBlock } from "@/core/hand-back/going-home";
import type { Context } from "@/data/database/context";
import { findJob, goBackTo } from "@/data/jobs/jobs";
import { notReadyFor } from "./going-home";

/**
 * A reel that hangs ready and was worked on since is ready no more: it goes back to where the work is. Called after every act, for the jobs it wrote of.
 * @param since the newest entry of the journal before the act.
 */
export function keepReadyTrue(ctx: Context, since: number): void {
  const ready = ctx.db
    .prepare(
      `SELECT DISTINCT job.id FROM journal JOIN job ON job.id = journal.job_id
       WHERE journal.id > ? AND job.station = 'return' AND job.closed_at IS NULL`,
    )
    .pluck()
    .all(since) as number[];
  for (const id of ready) {
    const job = findJob(ctx.db, id)!;
    const [block] = notReadyFor(ctx.db, job);
    if (block) goBackTo(ctx, job, (block.code === "tests" && stationOfBlock(block)) || "build");
  }
}
