import { DateTime } from "luxon";

/** "Fri 4 Dec": a shop day as people say it. */
export const dayWords = (isoDay: string): string => DateTime.fromISO(isoDay).setLocale("en-GB").toFormat("ccc d LLL");

/** "4 Dec 2026, 14:05" in the shop's own time. */
export const instantWords = (iso: string): string => DateTime.fromISO(iso).setLocale("en-GB").toFormat("d LLL yyyy, HH:mm");

/** "4 Dec 2026" */
export const dateWords = (iso: string): string => DateTime.fromISO(iso).setLocale("en-GB").toFormat("d LLL yyyy");

/** The ISO day a number of months after a day or instant; a share of a month is days. */
export const monthsAfter = (fromIso: string, months: number): string =>
  DateTime.fromISO(fromIso)
    .plus({ months: Math.floor(months), days: Math.round((months % 1) * 30) })
    .toISODate()!;
