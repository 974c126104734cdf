import { z } from "zod";
import { dueFromLives, dueShare } from "@/core/survival/component-lives";
import { kaplanMeier, timeOf } from "@/core/survival/kaplan-meier";
import { fitLives, lifeWithInterval } from "@/core/survival/weibull";
import { type Call, call } from "./call-of";

const name = z.string().max(60).default("");
/** Lives, some of them cut off: the share that lives on, a Weibull law, and when one in four has ended. */
export const intervalCalls: Record<string, Call> = {
  intervals: call(
    z.object({
      lives: z
        .array(
          z.strictObject({
            time: z.number().positive().max(1e6).describe("In trips, or any unit."),
            ended: z.boolean().describe("False where it was still good when last looked at."),
            model: name,
            family: name,
            water: name,
          }),
        )
        .min(1)
        .max(5000),
      share: z.number().min(0.01).max(0.99).default(dueShare),
      rule: z
        .strictObject({ trips: z.number().positive().max(1e5), model: name, family: name, water: name })
        .nullable()
        .default(null)
        .describe("A rule of thumb for a reel, which the lives of its model, its family and all in the same water correct."),
    }),
    ({ lives, share, rule }) => {
      const steps = kaplanMeier(lives);
      const ends = lives.filter(({ ended }) => ended).length;
      const fit = ends >= 2 ? fitLives(lives, null) : null;
      return {
        lives: lives.length,
        ended: ends,
        steps,
        timeOfShare: timeOf(steps, share),
        weibull: fit && { median: fit.median, shape: fit.shape, ofShare: lifeWithInterval(fit, share) },
        due:
          rule &&
          dueFromLives(
            lives.map(({ model, ...life }, i) => ({ ...life, modelId: model, reelId: i, jobId: i })),
            { modelId: rule.model, family: rule.family, water: rule.water },
            rule.trips,
          ),
      };
    },
  ),
};
