import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { writeReopened } from "@/data/jobs/job-row";
import { findJob } from "@/data/jobs/jobs";
import { creditInvoice } from "@/data/papers/make-paper";
import { balanceOfPaper, findPaper, invoiceOfJob } from "@/data/papers/papers";
import { reviveNeedsOfClosed } from "@/data/parts/needs";
import { uncountConsumables } from "@/data/stores/consumables";
import { forgetReport } from "./kept-report";

const dayOf = (at: string): string => new Date(at).toLocaleDateString("sv-SE");

/**
 * A return made today is taken back: the reel hangs ready again, what was charged is credited in whole, and its report is not the last word.
 * @throws Refusal on another day, and where its invoice stands for several reels.
 */
export function reopenReturn(ctx: Context, jobId: number): void {
  const { db } = ctx;
  const job = findJob(db, jobId);
  if (!job?.closedAt) throw new Refusal("gone", "This return was already undone. Reload the page.");
  if (dayOf(job.closedAt) !== dayOf(ctx.now))
    throw new Refusal("another-day", "It was returned on another day: check it in again, or add a correction below.", null, {
      to: "counter",
    });
  const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").pluck().get(job.reel.id) as string | undefined;
  if (hanging)
    throw new Refusal("already-here", `This reel is in the shop again, as ${hanging}.`, null, {
      to: "station",
      tag: hanging,
      station: "test",
    });
  const invoice = invoiceOfJob(db, jobId);
  if (invoice !== null) {
    const paper = findPaper(db, invoice)!;
    if (paper.tags.length > 1)
      throw new Refusal(
        "several-reels",
        `Its invoice stands for ${paper.tags.length} reels. Credit this reel's part of it under Invoices, and check it in again.`,
      );
    if (paper.netMinor + paper.taxMinor + balanceOfPaper(db, paper).creditedMinor > 0)
      creditInvoice(ctx, invoice, { amountMinor: null, words: "Return undone" });
  }
  writeReopened(db, jobId);
  forgetReport(ctx, jobId);
  uncountConsumables(db, jobId);
  reviveNeedsOfClosed(ctx, jobId);
  writeJournal(ctx, "return-reopened", { jobId, reelId: job.reel.id, customerId: job.customer.id });
}
