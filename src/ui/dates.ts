import { DateTime } from "luxon";
import { addMonths, daysPassed } from "@/core/day/day";
import type { Locale } from "@/core/vocabulary/locales";

let spoken: Locale = "en-GB";
/** One process serves one shop: the page, its papers and what the browser draws are written its way. */
export const speak = (locale: Locale): void => {
  spoken = locale;
};
export const spokenLocale = (): Locale => spoken;

const said = (iso: string, as: Intl.DateTimeFormatOptions): string => DateTime.fromISO(iso).setLocale(spoken).toLocaleString(as);
const day = { day: "numeric", month: "short" } as const;

/** "Fri 4 Dec": a shop day as people say it. */
export const dayWords = (isoDay: string): string => said(isoDay, { weekday: "short", ...day });

/** "4 Dec 2026, 14:05" in the shop's own time. */
export const instantWords = (iso: string): string => said(iso, { ...day, year: "numeric", hour: "2-digit", minute: "2-digit" });

/** "4 Dec 2026" */
export const dateWords = (iso: string): string => said(iso, { ...day, year: "numeric" });

/** The ISO day a number of months after a day or instant; a share of a month is days. */
export const monthsAfter = (fromIso: string, months: number): string => addMonths(DateTime.fromISO(fromIso).toISODate()!, months);

/** "3 days": how long ago; empty under a day. */
export function sinceWords(since: string, now: string): string {
  const days = Math.floor(daysPassed(since, now));
  return days < 1 ? "" : days === 1 ? "1 day" : `${days} days`;
}
