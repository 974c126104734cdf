import { z } from "zod";
import { chanceBy, dayFor, foretell } from "@/core/promise/bench-simulation";
import { type Call, call } from "./call-of";

const minutes = z.number().finite().min(0).max(1e6);
const duration = z.discriminatedUnion("law", [
  z.strictObject({ law: z.literal("fixed"), mean: minutes }),
  z.strictObject({ law: z.literal("exponential"), mean: minutes }),
  z.strictObject({
    law: z.literal("lognormal"),
    median: minutes,
    spread: z.number().min(0).max(3).describe("Standard deviation of the logarithm."),
  }),
]);
const steps = z
  .array(
    z.strictObject({
      kind: z
        .enum(["work", "wait"])
        .describe("Work wants hands, in minutes of the bench; a wait runs by itself, in minutes of the calendar."),
      minutes: duration,
    }),
  )
  .max(40);

export const benchSchema = z.strictObject({
  people: z
    .array(
      z.strictObject({
        from: z.number().int().min(0).max(1439).default(540).describe("Minute of the day at which work begins."),
        minutes: z
          .array(z.number().int().min(0).max(1440))
          .min(1)
          .max(400)
          .describe("Minutes worked on each day from today; later days are like those a week before."),
      }),
    )
    .min(1)
    .max(20),
  jobs: z
    .array(
      z.strictObject({
        key: z.number().int().min(1).max(16_000_000).describe("Its own number: its luck goes with it, so that choices can be compared."),
        fromDay: z.number().min(0).max(400).default(0),
        rank: z.number().finite().min(-1e6).max(1e6).describe("Jobs of a lower rank are taken up first, such as the day promised."),
        promisedDay: z.number().int().min(-400).max(4000).nullable().default(null),
        steps,
        lot: z.strictObject({ place: z.number().int().min(1).max(1000), rate: z.number().min(0.5).max(1).default(0.9) }).optional(),
      }),
    )
    .min(1)
    .max(200),
  toCome: z
    .strictObject({
      perDay: z.array(z.number().min(0).max(50)).max(200),
      steps,
      promisedAfterDays: z.number().min(0).max(400).default(7),
    })
    .nullable()
    .default(null),
});

/** When each job may be done: the chance of its promised day, and the days for 5, 8 and 95 in a hundred or ten. */
export const promiseCalls: Record<string, Call> = {
  promise: call(
    z.object({
      bench: benchSchema,
      seed: z.number().int().min(0).max(4_294_967_295).default(1),
      runs: z.number().int().min(20).max(2000).default(500),
      chance: z.number().min(0.05).max(0.99).default(0.8),
    }),
    ({ bench, seed, runs, chance }) => {
      const jobs = bench.jobs.map(({ fromDay, promisedDay: _, lot, ...job }) => ({
        ...job,
        from: fromDay * 1440,
        ...(lot ? { lot } : {}),
      }));
      const finite = (day: number) => (Number.isFinite(day) ? day : null);
      // A call answers within five seconds: a huge bench in fewer runs, and how many is said.
      const until = Date.now() + 3500;
      const foretold = foretell({ ...bench, jobs }, seed, runs, () => Date.now() < until);
      return {
        runs: foretold[0]!.days.length,
        jobs: foretold.map((told, i) => ({
          key: told.key,
          dayForChance: finite(dayFor(told, chance)),
          middleDay: finite(dayFor(told, 0.5)),
          dayFor95: finite(dayFor(told, 0.95)),
          chanceOfPromise: bench.jobs[i]!.promisedDay === null ? null : chanceBy(told, bench.jobs[i]!.promisedDay!),
        })),
      };
    },
  ),
};
