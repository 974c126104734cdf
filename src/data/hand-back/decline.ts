import type { Context } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { writeDeclined } from "@/data/jobs/job-row";
import { getOpenJob } from "@/data/jobs/jobs";
import { endNeedsOfJob, reviveNeedsOfJob } from "@/data/parts/needs";

/** Sends a reel back unrepaired, with the reason; null takes it on after all. What was opened still has to go together, or stay out with a reason. */
export function declineJob(ctx: Context, jobId: number, reason: string | null): void {
  const job = getOpenJob(ctx.db, jobId);
  writeDeclined(ctx.db, jobId, reason);
  if (reason === null) reviveNeedsOfJob(ctx, jobId);
  else endNeedsOfJob(ctx, jobId, "declined");
  writeJournal(ctx, reason === null ? "taken-on-again" : "declined", { jobId, reelId: job.reel.id });
}
