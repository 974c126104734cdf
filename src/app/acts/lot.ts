import { reportDates } from "@/app/server/report-dates";
import type { lotActs } from "@/core/acts/lot/acts";
import { answerLot } from "@/data/counter/lots";
import { keepReport } from "@/data/hand-back/kept-report";
import { closeLot } from "@/data/hand-back/returns";
import { listJobsOfLot } from "@/data/jobs/jobs";
import type { RunsOf } from "./runs";

export const lotRuns: RunsOf<typeof lotActs> = {
  "answer-lot": (ctx, { lotId, ...said }) => answerLot(ctx, lotId, said),

  "close-lot": (ctx, { lotId, signedBy, ...noted }) => {
    const closed = closeLot(ctx, lotId, signedBy, noted);
    for (const job of listJobsOfLot(ctx.db, lotId)) if (job.closedAt === ctx.now) keepReport(ctx, job, reportDates(job));
    return closed;
  },
};
