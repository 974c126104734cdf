import { z } from "zod";

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/);

/**
 * The history of one reel as its owner takes it along: format "zorbek-reel-history", version 1; published as docs/history.schema.json. It
 * names the owner of today and nobody's words, so it can go on to the next owner with the reel.
 */
export const historySchema = z.object({
  format: z.literal("zorbek-reel-history"),
  version: z.literal(1),
  exportedOn: day,
  shop: z.string(),
  reel: z.object({ maker: z.string(), model: z.string(), serial: z.string(), hand: z.enum(["right", "left"]) }),
  /** Visits from before this book, from paper or another program, as they were written down. */
  before: z.array(z.object({ on: day.nullable(), words: z.string() })).default([]),
  visits: z.array(
    z.object({
      tag: z.string(),
      takenInOn: day,
      handedBackOn: day.nullable(),
      cameFor: z.string(),
      found: z.array(z.string()),
      /** What was opened, cleaned, oiled, dressed and checked, in lines. */
      done: z.array(z.string()).default([]),
      unrepaired: z.string().nullable(),
      partsFitted: z.array(z.object({ number: z.string(), name: z.string(), seat: z.string(), used: z.boolean() })),
      leftOut: z.array(z.object({ seat: z.string(), reason: z.string() })),
      servedInPlace: z.array(z.object({ seat: z.string(), reason: z.string() })),
      /** By scale, caliper, ruler and gauges, with their 95 % interval. */
      measured: z
        .array(
          z.object({
            name: z.string(),
            phase: z.enum(["before", "after"]),
            value: z.number(),
            low: z.number(),
            high: z.number(),
            unit: z.string(),
            says: z.string(),
          }),
        )
        .default([]),
      measurements: z.array(
        z.object({
          test: z.string(),
          phase: z.enum(["before", "after"]),
          verdict: z.enum(["good", "doubtful", "bad"]),
          value: z.number().nullable(),
          unit: z.string().nullable(),
          /** Pulls count with the radius the line left the spool at. */
          lineRadiusMm: z.number().nullable(),
          instrument: z.string(),
          simulated: z.boolean(),
        }),
      ),
    }),
  ),
  next: z.array(z.object({ component: z.string(), what: z.string(), on: day, because: z.string() })),
});
export type ReelHistory = z.infer<typeof historySchema>;
