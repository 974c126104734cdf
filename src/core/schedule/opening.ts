import { addDays } from "@/core/day/day";

/** When the shop works: the days of its week (1 Monday to 7 Sunday, ISO 8601) and the days it is shut all the same. */
export interface Opening {
  readonly openOn: readonly number[];
  readonly shut: readonly ShutDays[];
}

/** A holiday, a fair, an illness: ISO days, first and last included. */
export interface ShutDays {
  readonly from: string;
  readonly to: string;
  readonly words: string;
}

export const weekdays = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

/** 1 Monday to 7 Sunday. @param day an ISO day. */
export const weekdayOf = (day: string): number => ((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7) + 1;

/** Why nobody works on a day, in words; null when somebody does. */
export function whyShut({ openOn, shut }: Opening, day: string): string | null {
  const holiday = shut.find(({ from, to }) => from <= day && day <= to);
  if (holiday) return holiday.words || "shut";
  const weekday = weekdayOf(day);
  return openOn.includes(weekday) ? null : `shut on ${weekdays[weekday - 1]}s`;
}

/** The first day from this one on that the shop works; the day itself where none of the next year is. */
export function openDayFrom(opening: Opening, day: string): string {
  let at = day;
  for (let i = 0; i < 366; i++, at = addDays(at, 1)) if (whyShut(opening, at) === null) return at;
  return day;
}
