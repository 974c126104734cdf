import { type UseProfile, waterWords } from "@/core/vocabulary/use";

export interface NextService {
  readonly months: number;
  readonly because: string;
}

/**
 * When the reel should come back. Rule of thumb (common practice): a full service once a year at season's end; twice a year when it is used
 * hard in salt; after about two years when it sees a few days of fresh water.
 */
export function nextService(use: UseProfile): NextService {
  if (use.water === "salt" && use.tripsPerYear > 30) return { months: 6, because: `salt water, ${use.tripsPerYear} trips a year` };
  if (use.water === "fresh" && use.tripsPerYear <= 10)
    return { months: 24, because: `fresh water and only ${use.tripsPerYear} trips a year` };
  return { months: 12, because: `${waterWords[use.water]}, ${use.tripsPerYear} trips a year` };
}
