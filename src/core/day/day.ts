/**
 * Days and spans of time, one definition each. A day is an ISO 8601 calendar day such as "2026-11-30", whatever the zone; an instant is ISO 8601 in
 * UTC. Which day it is now the edges say (app/server/clock.ts).
 */
export const msPerMinute = 60_000;
export const msPerHour = 60 * msPerMinute;
export const msPerDay = 24 * msPerHour;
export const minutesPerDay = 1440;

/** Means of the Gregorian calendar: 400 years have 146,097 days. */
export const daysPerYear = 146_097 / 400;
export const daysPerMonth = daysPerYear / 12;

const midnight = (day: string): number => Date.parse(`${day.slice(0, 10)}T00:00:00Z`);
const isoDay = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/** The day so many days after another; before it, where they are less than nothing. */
export const addDays = (day: string, days: number): string => isoDay(midnight(day) + days * msPerDay);

/** The instant so many minutes after another. */
export const addMinutes = (instant: string, minutes: number): string => new Date(Date.parse(instant) + minutes * msPerMinute).toISOString();

/** Whole calendar days from one day, or the day of an instant in UTC, to another; below nothing where the second is the earlier. */
export const daysBetween = (from: string, to: string): number => Math.round((midnight(to) - midnight(from)) / msPerDay);

/** Time that went by between two instants: days with their parts, and minutes. */
export const daysPassed = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / msPerDay;
export const minutesPassed = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / msPerMinute;

/** Mean months, and years, that a number of days is. */
export const monthsOf = (days: number): number => days / daysPerMonth;
export const yearsOf = (days: number): number => days / daysPerYear;

/**
 * The day a number of months after another: the same day of that month, or its last where it has no such day; a share of a month is its days.
 */
export function addMonths(day: string, months: number): string {
  const whole = Math.floor(months);
  const from = new Date(midnight(day));
  const first = new Date(Date.UTC(from.getUTCFullYear(), from.getUTCMonth() + whole, 1));
  const lastOfMonth = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  first.setUTCDate(Math.min(from.getUTCDate(), lastOfMonth));
  return addDays(isoDay(first.getTime()), Math.round((months - whole) * daysPerMonth));
}

/** Day 0 of numbered days: a Monday, so that a week is seven of them from there. */
const dayZero = "2000-01-03";
export const dayNumber = (day: string): number => daysBetween(dayZero, day);
export const dayOfNumber = (number: number): string => addDays(dayZero, number);
/** Milliseconds of day 0, for whoever counts minutes of a shop's own clock from it. */
export const dayZeroMs = midnight(dayZero);
