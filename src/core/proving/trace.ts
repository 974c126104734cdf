import { z } from "zod";

/** One reading of an instrument over time, in the instrument's own unit. */
export interface TraceSample {
  readonly tMs: number;
  readonly value: number;
}

/** Most samples a trace keeps: two minutes of a scale. */
export const mostSamples = 5000;

/** A kept trace. Those of before there were other instruments than the scale say `forceN`. */
export const traceSchema = z
  .array(
    z.union([
      z.object({ tMs: z.number().finite(), value: z.number().finite() }),
      z.object({ tMs: z.number().finite(), forceN: z.number().finite() }).transform(({ tMs, forceN }) => ({ tMs, value: forceN })),
    ]),
  )
  .max(mostSamples);

/** Values sorted, and the one at a share of the way; the middle of nothing is not asked for. */
export const quantile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))]!;
};
