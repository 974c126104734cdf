import { DateTime } from "luxon";

/** "Fri 4 Dec": a shop day as people say it. */
export const dayWords = (isoDay: string): string => DateTime.fromISO(isoDay).setLocale("en-GB").toFormat("ccc d LLL");

/** "4 Dec 2026, 14:05" in the shop's own time. */
export const instantWords = (iso: string): string => DateTime.fromISO(iso).setLocale("en-GB").toFormat("d LLL yyyy, HH:mm");

/** "4 Dec 2026" */
export const dateWords = (iso: string): string => DateTime.fromISO(iso).setLocale("en-GB").toFormat("d LLL yyyy");
