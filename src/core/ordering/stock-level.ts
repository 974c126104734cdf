import { z } from "zod";
import { negativeBinomialAtMost, poissonAtMost } from "@/core/statistics/quantiles";

/**
 * How low a bin may fall before its part is ordered. Use over the days until the next parcel is a count: Poisson where the rate is known,
 * wider (negative binomial) where it was learned from few pieces, comes in bursts, or the parcel's day is unsure.
 */

const perDay = z.number().finite().min(0).max(1e5);
const days = z.number().finite().min(0).max(3650);
export const stockLevelSchema = z.strictObject({
  /** What is known of its use: pieces in so many days; or the rate itself. */
  use: z.union([
    z.strictObject({
      pieces: z.number().int().min(0).max(1e7),
      days: z.number().finite().min(1).max(36_500),
      /** Variance of the pieces used in a spell over their mean: 1 where they come one by one, more where they come in bursts. */
      spread: z.number().finite().min(1).max(1e4).default(1),
    }),
    z.strictObject({ perDay }),
  ]),
  leadDays: days,
  leadSdDays: days.default(0),
  /** Days between two looks at the bin: the order waits so long at most. */
  reviewDays: days.default(0),
  /** Chance of running out before the parcel is here that the shop bears. */
  chanceOut: z.number().min(0.0001).max(0.5).default(0.05),
  pack: z.number().int().min(1).max(10_000).default(1),
  /** What a piece costs, and what it costs when one is missing; both given, a part that does not pay its place is ordered when needed. */
  priceMinor: z.number().finite().min(0).max(1e10).nullable().default(null),
  missingMinor: z.number().finite().min(0).max(1e10).nullable().default(null),
  /** Days within which a piece that lies here should be used. */
  horizonDays: z.number().finite().min(1).max(3650).default(730),
});
export type StockLevelInput = z.input<typeof stockLevelSchema>;

export interface StockLevel {
  /** Order as soon as so many, or fewer, are here or on their way; null: order when needed. */
  readonly level: number | null;
  /** Packs to order then. */
  readonly packs: number;
  /** Pieces used until the parcel is here: mean and standard deviation. */
  readonly mean: number;
  readonly sd: number;
  readonly distribution: "poisson" | "negative-binomial";
  /** Chance that more are asked for than the level, before the parcel is here. */
  readonly chanceOut: number;
  /** Chance that at least one is used within the horizon. */
  readonly usedWithin: number;
}

/** A count with this mean and variance: Poisson, or negative binomial where the variance is larger. */
export interface CountLaw {
  readonly mean: number;
  readonly variance: number;
}
const isPoisson = ({ mean, variance }: CountLaw) => variance <= mean * (1 + 1e-9);

/**
 * Chance of at most k.
 * @param k a whole number; below 0 the chance is 0.
 */
export function chanceAtMost(law: CountLaw, k: number): number {
  if (k < 0) return 0;
  if (law.mean <= 0) return 1;
  if (isPoisson(law)) return poissonAtMost(k, law.mean);
  return negativeBinomialAtMost(k, law.mean, law.variance);
}

/** The smallest count that is not exceeded with the chance. */
export function countQuantile(law: CountLaw, chance: number): number {
  let [below, at] = [-1, Math.max(1, Math.ceil(law.mean))];
  while (chanceAtMost(law, at) < chance) [below, at] = [at, at * 2];
  while (at - below > 1) {
    const middle = Math.floor((at + below) / 2);
    if (chanceAtMost(law, middle) >= chance) at = middle;
    else below = middle;
  }
  return at;
}

/** How many to have where one short costs `short` and one over costs `over`: the count at the critical ratio (newsvendor). */
export const newsvendor = (law: CountLaw, short: number, over: number): number =>
  short + over === 0 ? 0 : countQuantile(law, short / (short + over));

/**
 * The law of what is used in a spell of days.
 * The rate learned from n pieces counts as n + ½ (Jeffreys' prior), so that a part never used yet is not thought never to be.
 */
export function lawOfUse(use: z.output<typeof stockLevelSchema>["use"], spellDays: number, spellSdDays = 0): CountLaw {
  const known = "perDay" in use;
  const rate = known ? use.perDay : (use.pieces + 0.5) / use.days;
  const mean = rate * spellDays;
  const learned = known ? 0 : mean ** 2 / (use.pieces + 0.5);
  return { mean, variance: mean * (known ? 1 : use.spread) + learned + rate ** 2 * spellSdDays ** 2 };
}

/** Chance that the first, second … of some pieces left over is used within the days. */
export const usedWithin = (use: z.output<typeof stockLevelSchema>["use"], horizonDays: number, pieces: number): number[] => {
  const law = lawOfUse(use, horizonDays);
  return Array.from({ length: pieces }, (_, k) => 1 - chanceAtMost(law, k));
};

/** The level of a bin at the stated chance of running out. */
export function stockLevel(given: StockLevelInput): StockLevel {
  const input = stockLevelSchema.parse(given);
  const law = lawOfUse(input.use, input.leadDays + input.reviewDays, input.leadSdDays);
  const atHorizon = lawOfUse(input.use, input.horizonDays);
  const used = 1 - chanceAtMost(atHorizon, 0);
  const asked = countQuantile(law, 1 - input.chanceOut);
  // Whether the first piece pays its place: what it saves each time it is there, against what is lost if nobody ever asks for it.
  const pays =
    input.priceMinor === null || input.missingMinor === null
      ? used >= 0.5
      : input.missingMinor * atHorizon.mean > input.priceMinor * (1 - used) && used >= 0.25;
  return {
    level: pays ? asked : null,
    packs: pays ? Math.max(1, Math.ceil(Math.max(1, law.mean) / input.pack)) : 0,
    mean: law.mean,
    sd: Math.sqrt(law.variance),
    distribution: isPoisson(law) ? "poisson" : "negative-binomial",
    chanceOut: 1 - chanceAtMost(law, asked),
    usedWithin: used,
  };
}
