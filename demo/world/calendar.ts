import { DateTime } from "luxon";
import type { Seeded } from "./seeded";

/** What no forecast may assume: it happens, and nobody is told beforehand. Days are ISO. */
export interface Disturbances {
  /** Days nobody is at the bench, first and last included. */
  readonly illness: readonly { readonly from: string; readonly to: string }[];
  /** From this day on a supplier delivers later and worse. */
  readonly supplier: { readonly id: string; readonly from: string; readonly leadTimes: number; readonly mistakes: number };
  /** A summer of rain: fewer outings, more water in reels. */
  readonly wetSummer: { readonly from: string; readonly to: string };
  /** Friction washers fitted between these days wear early. */
  readonly badWashers: { readonly from: string; readonly to: string; readonly lifeTimes: number };
}

export const within = (day: string, { from, to }: { readonly from: string; readonly to: string }): boolean => from <= day && day <= to;

/** The days of a world, numbered from 0, with what happens on them. */
export interface Calendar {
  readonly days: readonly string[];
  readonly weekday: readonly number[];
  readonly upsets: Disturbances;
  /** Share of a year's outings that lies before each day; one entry more than there are days. */
  readonly tripsBefore: Float64Array;
  /** How much more than usual comes to the counter on each day. */
  readonly season: readonly number[];
  /** Whether the bench works. */
  readonly works: readonly boolean[];
}

function upsetsOf(random: Seeded, days: readonly string[]): Disturbances {
  const at = (share: number) => days[Math.min(days.length - 1, Math.floor(share * days.length))]!;
  const later = (day: string, by: number) => DateTime.fromISO(day).plus({ days: by }).toISODate()!;
  const spells = Math.max(1, Math.round((1.5 * days.length) / 365));
  const illness = Array.from({ length: spells }, (_, i) => {
    const from = at((i + random.uniform()) / spells);
    return { from, to: later(from, random.whole(3, 9)) };
  });
  const summer = at(0.55).slice(0, 4);
  return {
    illness,
    supplier: { id: "fellgate", from: at(0.6), leadTimes: 1.8, mistakes: 0.15 },
    wetSummer: { from: `${summer}-06-10`, to: `${summer}-08-31` },
    badWashers: { from: at(0.5), to: at(0.62), lifeTimes: 0.35 },
  };
}

/** Reels come before the season, few in the dark months; outings are made in the light ones. Each has mean 1 a month. */
const comingByMonth = [0.7, 0.95, 1.5, 1.6, 1.25, 1.0, 0.95, 0.9, 0.95, 1.0, 0.7, 0.5];
const outingsByMonth = [0.24, 0.36, 0.72, 1.08, 1.44, 1.56, 1.68, 1.68, 1.32, 0.96, 0.6, 0.36];

/** @param last the day before the world stands still. */
export function calendarOf(random: Seeded, last: DateTime, years: number): Calendar {
  const first = last.minus({ years }).startOf("day");
  const count = Math.round(last.startOf("day").diff(first, "days").days) + 1;
  const all = Array.from({ length: count }, (_, i) => first.plus({ days: i }));
  const days = all.map((day) => day.toISODate()!);
  const upsets = upsetsOf(random, days);
  const tripsBefore = new Float64Array(count + 1);
  all.forEach((day, i) => {
    const wet = within(days[i]!, upsets.wetSummer) ? 0.6 : 1;
    tripsBefore[i + 1] = tripsBefore[i]! + (outingsByMonth[day.month - 1]! * wet) / 365;
  });
  return {
    days,
    weekday: all.map(({ weekday }) => weekday),
    upsets,
    tripsBefore,
    season: all.map((day, i) => comingByMonth[day.month - 1]! * (within(days[i]!, upsets.wetSummer) ? 0.75 : 1)),
    works: all.map(
      ({ weekday }, i) =>
        weekday <= 5 &&
        days[i]!.slice(5) < "12-23" &&
        days[i]!.slice(5) > "01-02" &&
        !upsets.illness.some((spell) => within(days[i]!, spell)),
    ),
  };
}
