import { minutesPerDay } from "@/core/day/day";

/** When somebody works, in minutes: days follow each other, each with the minutes worked on it. */
export interface WorkDays {
  /** Minute of the day at which work begins. */
  readonly from: number;
  /** Minutes worked on a day, by its number from today; days beyond the last are like those a week before. */
  readonly minutes: readonly number[];
}

/** More days than any promise looks ahead. */
const farDays = 4000;

/** Minutes worked on a day. */
export function minutesOn({ minutes }: WorkDays, day: number): number {
  if (day < minutes.length) return minutes[day]!;
  // The weeks go on as the last one that is known.
  const week = Math.min(7, minutes.length);
  return week === 0 ? 0 : minutes[minutes.length - week + ((day - minutes.length) % week)]!;
}

/** The next minute from an instant on at which somebody works; infinite where nobody ever does. @param at minutes from today's midnight. */
export function worksFrom(days: WorkDays, at: number): number {
  for (let day = Math.floor(at / minutesPerDay); day < farDays; day++) {
    const begins = day * minutesPerDay + days.from;
    const ends = begins + minutesOn(days, day);
    if (ends > at && ends > begins) return Math.max(at, begins);
  }
  return Number.POSITIVE_INFINITY;
}

/** When some minutes of work are done that begin at an instant: what is not done in the evening goes on the next day. */
export function workedUntil(days: WorkDays, at: number, work: number): number {
  let left = work;
  let now = worksFrom(days, at);
  for (let guard = 0; guard < farDays && Number.isFinite(now); guard++) {
    const day = Math.floor(now / minutesPerDay);
    const ends = day * minutesPerDay + days.from + minutesOn(days, day);
    if (now + left <= ends) return now + left;
    left -= ends - now;
    now = worksFrom(days, ends);
  }
  return Number.POSITIVE_INFINITY;
}

/** Days without those of some spells, first and last included. */
export const withoutSpells = (days: WorkDays, spells: readonly { readonly from: number; readonly to: number }[]): WorkDays => ({
  from: days.from,
  minutes: days.minutes.map((minutes, day) => (spells.some(({ from, to }) => from <= day && day <= to) ? 0 : minutes)),
});
