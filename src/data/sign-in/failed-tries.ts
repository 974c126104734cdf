import { z } from "zod";
import type { Db } from "@/data/database/database";
import { count, row } from "@/data/database/rows";

export interface FailedTries {
  readonly failures: number;
  /** ISO instant. */
  readonly lastAt: string;
}

/** What was tried in vain so far, by whatever it is counted under; null for nothing. */
export const failedTries = (db: Db, countedUnder: string): FailedTries | null =>
  row(
    z.object({ failures: count, lastAt: z.string() }),
    db.prepare("SELECT failures, last_at AS lastAt FROM failed_try WHERE of = ?").get(countedUnder),
  );

/** @param failures how many there are now. */
export const writeFailedTries = (db: Db, countedUnder: string, failures: number, now: string): void => {
  db.prepare(
    "INSERT INTO failed_try (of, failures, last_at) VALUES (@of, @failures, @now) ON CONFLICT DO UPDATE SET failures = @failures, last_at = @now",
  ).run({ of: countedUnder, now, failures });
};

/** Counts a try that failed. Written by itself: a refusal rolls everything else back. */
export function countFailure(db: Db, countedUnder: readonly string[], now: string): void {
  for (const each of countedUnder) writeFailedTries(db, each, (failedTries(db, each)?.failures ?? 0) + 1, now);
}

export function forgetFailures(db: Db, countedUnder: readonly string[]): void {
  const remove = db.prepare("DELETE FROM failed_try WHERE of = ?");
  for (const each of countedUnder) remove.run(each);
}
