import { type UseFactor, type UseProfile, useFactors, waterWords } from "@/core/vocabulary/use";

export interface NextService {
  readonly months: number;
  readonly because: string;
}

/** Months after which grease is dry or hard whatever the reel saw: nothing greased is due later. Common practice: two years. */
export const greaseLastsMonths = 24;

/** A life that takes it under water, or through many hands. */
const hardLives: readonly UseFactor[] = ["kayak", "fleet"];

/**
 * When the reel should come back. Rule of thumb (common practice): a full service once a year at season's end; twice a year when it is used
 * hard in salt, often or from a kayak or a hire boat; after about two years when it sees a few days of fresh water.
 */
export function nextService(use: UseProfile): NextService {
  const hard = hardLives.find((factor) => use.life?.includes(factor));
  if (use.water !== "fresh" && hard) return { months: 6, because: `${waterWords[use.water]}, ${useFactors[hard]}` };
  if (use.water === "salt" && use.tripsPerYear > 30) return { months: 6, because: `salt water, ${use.tripsPerYear} trips a year` };
  if (use.water === "fresh" && use.tripsPerYear <= 10)
    return { months: greaseLastsMonths, because: `fresh water and only ${use.tripsPerYear} trips a year` };
  return { months: 12, because: `${waterWords[use.water]}, ${use.tripsPerYear} trips a year` };
}
