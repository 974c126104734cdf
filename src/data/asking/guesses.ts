import { minutesPassed } from "@/core/day/day";
import { waitLeft } from "@/core/sign-in/slow-down";
import type { Db } from "@/data/database/database";
import { failedTries, writeFailedTries } from "@/data/sign-in/failed-tries";

/** Links that lead nowhere and cost no wait: an old letter, a link cut in two by a mail program. */
const freeGuesses = 20;

/**
 * Counts a guess at a quote's link by where it came from. @returns the seconds whoever guesses has to wait now: none for the first twenty, then 2, 4, 8 and
 * so on to a quarter of an hour; while they wait nothing more is counted.
 */
export function guessAtLink(db: Db, address: string, now: string): number {
  const of = `link from ${address}`.slice(0, 80);
  const row = failedTries(db, of);
  // Half a day without one, and it begins anew.
  const failures = row && minutesPassed(row.lastAt, now) < 12 * 60 ? row.failures : 0;
  const beyond = Math.max(0, failures - freeGuesses + 4);
  const left = row && failures >= freeGuesses ? waitLeft(beyond, row.lastAt, now) : 0;
  if (left > 0) return left;
  writeFailedTries(db, of, failures + 1, now);
  return failures + 1 >= freeGuesses ? waitLeft(Math.max(0, failures + 1 - freeGuesses + 4), now, now) : 0;
}
