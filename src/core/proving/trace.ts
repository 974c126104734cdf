import { z } from "zod";

/** One reading of an instrument over time, in the instrument's own unit. */
export interface TraceSample {
  readonly tMs: number;
  readonly value: number;
}

/** Most samples a trace keeps: two minutes of a scale. */
export const mostSamples = 5000;

/** A kept trace. Those from before there were other instruments than the scale say `forceN`. */
export const traceSchema = z
  .array(
    z.union([
      z.object({ tMs: z.number().finite(), value: z.number().finite() }),
      z.object({ tMs: z.number().finite(), forceN: z.number().finite() }).transform(({ tMs, forceN }) => ({ tMs, value: forceN })),
    ]),
  )
  .max(mostSamples);
