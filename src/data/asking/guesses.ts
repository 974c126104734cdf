import { minutesPassed } from "@/core/day/day";
import { waitLeft } from "@/core/sign-in/slow-down";
import type { Db } from "@/data/database/database";

/** Links that lead nowhere and cost no wait: an old letter, a link cut in two by a mail program. */
const freeGuesses = 20;

/**
 * Counts a guess at a quote's link by where it came from. @returns the seconds whoever guesses has to wait now: none for the first twenty, then 2, 4, 8 and
 * so on to a quarter of an hour; while they wait nothing more is counted.
 */
export function guessAtLink(db: Db, address: string, now: string): number {
  const of = `link from ${address}`.slice(0, 80);
  const row = db.prepare("SELECT failures, last_at AS lastAt FROM failed_try WHERE of = ?").get(of) as
    | { failures: number; lastAt: string }
    | undefined;
  // Half a day without one, and it begins anew.
  const failures = row && minutesPassed(row.lastAt, now) < 12 * 60 ? row.failures : 0;
  const beyond = Math.max(0, failures - freeGuesses + 4);
  const left = row && failures >= freeGuesses ? waitLeft(beyond, row.lastAt, now) : 0;
  if (left > 0) return left;
  db.prepare(
    "INSERT INTO failed_try (of, failures, last_at) VALUES (@of, 1, @now) ON CONFLICT DO UPDATE SET failures = @failures, last_at = @now",
  ).run({ of, now, failures: failures + 1 });
  return failures + 1 >= freeGuesses ? waitLeft(Math.max(0, failures + 1 - freeGuesses + 4), now, now) : 0;
}
