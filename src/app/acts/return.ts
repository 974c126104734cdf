import type { returnActs } from "@/core/acts/return/acts";
import { leaveOut } from "@/data/bench/tray";
import { correctJob } from "@/data/hand-back/corrections";
import { closeJob, markReady, noteTold, tickBrought } from "@/data/hand-back/returns";
import { correctStationTime } from "@/data/jobs/station-time";
import type { RunsOf } from "./runs";

export const returnRuns: RunsOf<typeof returnActs> = {
  "leave-out": (ctx, input) => {
    for (const positionId of input.positionIds) leaveOut(ctx, input.jobId, positionId, input.reason);
  },

  ready: (ctx, input) => markReady(ctx, input.jobId),

  tick: (ctx, input) => tickBrought(ctx, input.jobId, input.item, input.given),

  close: (ctx, { jobId: id, signedBy, ...noted }) => closeJob(ctx, id, signedBy, noted),

  "station-minutes": (ctx, input) => correctStationTime(ctx, input.jobId, input.station, input.minutes),

  "told-to-fetch": (ctx, input) => noteTold(ctx, input.jobId),

  "correct-job": (ctx, { jobId: id, ...said }) => correctJob(ctx, id, said),
};
