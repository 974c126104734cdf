import type { gaugesActs } from "@/core/acts/gauges/acts";
import { keepGauge } from "@/data/gauges/gauges";
import { keepModelNumbers } from "@/data/gauges/model-numbers";
import type { RunsOf } from "./runs";

export const gaugesRuns: RunsOf<typeof gaugesActs> = {
  "keep-gauge": (ctx, { jobId, gauge, input, words, figures }) => keepGauge(ctx, jobId, gauge, input, words, figures),

  "keep-model-numbers": (ctx, { jobId, values, cam }) => keepModelNumbers(ctx, jobId, values, cam),
};
