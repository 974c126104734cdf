import { addMonths, daysBetween } from "@/core/day/day";
import type { ShopSettings } from "./settings";

/** Reminders before a reel that nobody fetches begins to cost (common practice: three). */
export const remindersBeforeStorage = 3;

export interface Storage {
  /** The day of the reminder it counts from. */
  readonly since: string;
  /** Whole weeks since then. */
  readonly weeks: number;
  readonly minor: number;
}

/**
 * What storing a reel costs that hangs ready: whole weeks from the third reminder on. @param toldOn ISO days of the reminders, in their order.
 * @returns null before that, and where storage costs nothing.
 */
export function storageOwed(toldOn: readonly string[], today: string, perWeekMinor: number): Storage | null {
  const since = toldOn[remindersBeforeStorage - 1];
  if (since === undefined || perWeekMinor === 0) return null;
  const weeks = Math.max(0, Math.floor(daysBetween(since, today) / 7));
  return { since, weeks, minor: weeks * perWeekMinor };
}

/** The last day on which our work is warranted; null where it is not. */
export const warrantyEnds = (returnedOn: string, months: number): string | null => (months > 0 ? addMonths(returnedOn, months) : null);

/** All that a customer agrees to when a reel is left, in one paragraph; empty where the shop has written nothing. @param storage a week's price in words. */
export const termsWords = (
  { counterTerms, storagePerWeekMinor, neverFetched }: Pick<ShopSettings, "counterTerms" | "storagePerWeekMinor" | "neverFetched">,
  storage: string,
): string =>
  [counterTerms, storagePerWeekMinor > 0 && `After the third reminder storage costs ${storage} a week.`, neverFetched]
    .filter(Boolean)
    .join(" ");
