import { freeInBin } from "@/core/ordering/free-in-bin";
import { type Context, Refusal } from "@/data/database/context";
import { type Job, listJobsOfLot } from "@/data/jobs/jobs";
import { needOf } from "@/data/parts/needs";
import { plannedFromElsewhere } from "@/data/parts/quote-parts";
import { findStock } from "@/data/parts/stock";
import { quotesOf } from "@/data/quote/quotes";
import { askForPart } from "./fit-part";
import { listWells } from "./tray";

/**
 * What the quotes of a lot's reels want new goes on the needs list, as far as the bins do not have it: a bin's pieces are counted off once, reel by
 * reel. A part that may not be ordered yet, or that nobody sells, is said and keeps none of the others back.
 */
export function orderForLot(ctx: Context, lotId: number): { wanted: number; inBins: number; not: { jobId: number; why: string }[] } {
  const { db } = ctx;
  const open = listJobsOfLot(db, lotId).filter((job: Job) => job.closedAt === null);
  const quotes = quotesOf(db, open);
  const left = new Map<string, number>();
  const not: { jobId: number; why: string }[] = [];
  let [wanted, inBins] = [0, 0];
  for (const job of open) {
    const renewed = new Set(listWells(db, job.id).flatMap((well) => (well.renewed ? [well.positionId] : [])));
    for (const { positionId, partTypeId } of quotes.get(job.id)!.parts) {
      if (renewed.has(positionId) || needOf(db, job.id, positionId) || plannedFromElsewhere(db, job.id, positionId)) continue;
      const free = left.get(partTypeId) ?? freeInBin(findStock(db, partTypeId));
      if (free > 0) {
        left.set(partTypeId, free - 1);
        inBins++;
        continue;
      }
      try {
        db.transaction(() => askForPart(ctx, job.id, positionId))();
        wanted++;
      } catch (problem) {
        if (!(problem instanceof Refusal)) throw problem;
        not.push({ jobId: job.id, why: problem.message });
      }
    }
  }
  return { wanted, inBins, not };
}
