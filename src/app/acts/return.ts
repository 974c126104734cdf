import { reportDates } from "@/app/server/report-dates";
import type { returnActs } from "@/core/acts/return/acts";
import { goAsItIs } from "@/data/account/as-it-is";
import { leaveOut } from "@/data/bench/tray";
import { correctJob } from "@/data/hand-back/corrections";
import { keepReport } from "@/data/hand-back/kept-report";
import { reopenReturn } from "@/data/hand-back/reopen";
import { choosePicture, sayReportWords } from "@/data/hand-back/report-words";
import { closeJob, markReady, noteTold, tickBrought } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { correctStationTime } from "@/data/jobs/station-time";
import type { RunsOf } from "./runs";

export const returnRuns: RunsOf<typeof returnActs> = {
  "leave-out": (ctx, input) => {
    for (const positionId of input.positionIds) leaveOut(ctx, input.jobId, positionId, input.reason);
  },

  "goes-as-it-is": (ctx, input) => goAsItIs(ctx, input.jobId, input.testId, input.reason),

  "report-words": (ctx, { jobId: id, ...said }) => sayReportWords(ctx, id, said),

  "report-photo": (ctx, input) => choosePicture(ctx, input.jobId, input.hash, input.on),

  ready: (ctx, input) => markReady(ctx, input.jobId),

  tick: (ctx, input) => tickBrought(ctx, input.jobId, input.item, input.given),

  close: (ctx, { jobId: id, signedBy, ...noted }) => {
    const closed = closeJob(ctx, id, signedBy, noted);
    const job = findJob(ctx.db, id)!;
    keepReport(ctx, job, reportDates(job));
    return closed;
  },

  "station-minutes": (ctx, input) => correctStationTime(ctx, input.jobId, input.station, input.minutes),

  "reopen-return": (ctx, input) => reopenReturn(ctx, input.jobId),

  "told-to-fetch": (ctx, input) => noteTold(ctx, input.jobId),

  "correct-job": (ctx, { jobId: id, ...said }) => correctJob(ctx, id, said),
};
