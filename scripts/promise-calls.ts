import { z } from "zod";
import { chanceBy, dayFor, foretell } from "@/core/promise/bench-simulation";
import { effectsOf, slipsAmong } from "@/core/promise/what-if";
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
    .max(200)
    .refine((jobs) => new Set(jobs.map(({ key }) => key)).size === jobs.length, "Each job has a key of its own: one stands here twice."),
  toCome: z
    .strictObject({
      perDay: z.array(z.number().min(0).max(50)).max(200),
      steps,
      promisedAfterDays: z.number().min(0).max(400).default(7),
    })
    .nullable()
    .default(null),
});

/** A bench as it is typed, as the simulation takes it. */
const benchOf = (bench: z.output<typeof benchSchema>) => ({
  ...bench,
  jobs: bench.jobs.map(({ fromDay, promisedDay: _, lot, ...job }) => ({ ...job, from: fromDay * 1440, ...(lot ? { lot } : {}) })),
});
const finite = (day: number) => (Number.isFinite(day) ? day : null);

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
      // A call answers within five seconds: a huge bench in fewer runs, and how many is said.
      const until = Date.now() + 3500;
      const foretold = foretell(benchOf(bench), seed, runs, () => Date.now() < until);
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
  "what-if": call(
    z.object({
      bench: benchSchema,
      change: z.discriminatedUnion("kind", [
        z.strictObject({ kind: z.literal("rush"), steps, fromDay: z.number().min(0).max(400).default(0) }),
        z.strictObject({
          kind: z.literal("off"),
          person: z.number().int().min(0).max(19).nullable().default(null).describe("By place in people; null for everybody."),
          from: z.number().int().min(0).max(400),
          to: z.number().int().min(0).max(400),
        }),
        z.strictObject({ kind: z.literal("moved"), keys: z.array(z.number().int()).min(1).max(200), to: z.number().int().min(0).max(400) }),
      ]),
      seed: z.number().int().min(0).max(4_294_967_295).default(1),
      runs: z.number().int().min(20).max(1000).default(300),
      chance: z.number().min(0.05).max(0.99).default(0.8),
    }),
    ({ bench, change, seed, runs, chance }) => {
      const of = benchOf(bench);
      const unknown = change.kind === "moved" ? change.keys.find((key) => !of.jobs.some((job) => job.key === key)) : undefined;
      if (unknown !== undefined) throw new RangeError(`There is no job ${unknown} on this bench.`);
      if (change.kind === "off" && change.to < change.from) throw new RangeError("The last day off lies before the first.");
      if (change.kind === "off" && change.person !== null && change.person >= of.people.length)
        throw new RangeError(`There is no person ${change.person} on this bench: they are counted from 0.`);
      // A call answers within five seconds: one run is timed, and as many are made as fit.
      const begun = performance.now();
      foretell(of, seed, 1);
      const fits = Math.max(1, Math.floor(1500 / Math.max(0.01, performance.now() - begun)));
      const made = Math.min(runs, fits);
      const promised = bench.jobs.flatMap(({ key, promisedDay }) => (promisedDay === null ? [] : [{ key, promised: promisedDay }]));
      const rush =
        change.kind === "rush"
          ? { kind: "rush" as const, job: { key: 16_000_001, from: change.fromDay * 1440, rank: 0, steps: change.steps } }
          : change;
      const answer = effectsOf(of, promised, rush, { seed, runs: made, chance });
      return {
        runs: made,
        jobs: answer.effects.map((effect) => ({ ...effect, dayBefore: finite(effect.dayBefore), dayAfter: finite(effect.dayAfter) })),
        slips: slipsAmong(answer.effects).map(({ key }) => key),
        rushDay: answer.rush && finite(dayFor(answer.rush, chance)),
      };
    },
  ),
};
