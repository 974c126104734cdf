import { dayOfNumber, minutesPerDay } from "@/core/day/day";
import { backtest, farthestDay, type Judged, type Said } from "@/core/promise/backtest";
import type { PastJob } from "@/core/promise/past";
import type { Db } from "@/data/database/database";
import { shopPast } from "./past";

interface Row {
  jobId: number;
  onDay: string;
  days: string;
  named: number;
  middleOfAll: number;
  afterwards: number;
}

const kept = (day: number) => Math.max(0, Math.min(farthestDay, day));

/** Keeps what was said of a job, once. @param said.days ahead, for each of the kept chances. */
export function writeSaid(
  db: Db,
  said: {
    readonly jobId: number;
    readonly onDay: string;
    readonly days: readonly number[];
    readonly named: number;
    readonly mean: number;
    readonly afterwards: boolean;
  },
): void {
  db.prepare("INSERT OR IGNORE INTO promise_said (job_id, on_day, days, named, middle_of_all, afterwards) VALUES (?, ?, ?, ?, ?, ?)").run(
    said.jobId,
    said.onDay,
    JSON.stringify(said.days.map(kept)),
    kept(said.named),
    said.mean,
    said.afterwards ? 1 : 0,
  );
}

/** What was said of jobs that are ready by now, and the days they took, in the order they came. @param past the shop's last jobs. */
export function saidAndTook(db: Db, past: readonly PastJob[]): { readonly said: Said; readonly took: number }[] {
  const ready = new Map(
    past.flatMap(({ id, came, ready }) =>
      ready === null ? [] : [[id, Math.floor(ready / minutesPerDay) - Math.floor(came / minutesPerDay)]],
    ),
  );
  return (db.prepare("SELECT job_id AS jobId, days FROM promise_said ORDER BY job_id DESC LIMIT 400").all() as Row[])
    .flatMap(({ jobId, days }) => {
      const took = ready.get(jobId);
      return took === undefined ? [] : [{ said: { days: JSON.parse(days) as number[] }, took }];
    })
    .reverse();
}

/** A day that was said, and what came of it. */
export interface SaidDay extends Pick<Judged, "day" | "took" | "mean"> {
  readonly jobId: number;
  readonly tag: string;
  readonly onDay: string;
  readonly afterwards: boolean;
}

/** The days said, of jobs that are ready, the last first. @param since ISO day they came on or later. */
export function listSaidDays(db: Db, today: string, since: string): SaidDay[] {
  const ready = new Map(
    shopPast(db, today).jobs.flatMap(({ id, came, ready }) =>
      ready === null ? [] : [[id, Math.floor(ready / minutesPerDay) - Math.floor(came / minutesPerDay)] as const],
    ),
  );
  return (
    db
      .prepare(
        `SELECT job_id AS jobId, tag, on_day AS onDay, named, middle_of_all AS middleOfAll, afterwards FROM promise_said
         JOIN job ON job.id = job_id WHERE on_day >= ? ORDER BY job_id DESC`,
      )
      .all(since) as (Row & { tag: string })[]
  ).flatMap(({ jobId, tag, onDay, named, middleOfAll, afterwards }) => {
    const took = ready.get(jobId);
    return took === undefined ? [] : [{ jobId, tag, onDay, day: named, took, mean: middleOfAll, afterwards: afterwards === 1 }];
  });
}

/** Jobs looked back on at once. */
const lookBackOn = 300;

/**
 * Reckons for the last jobs what would have been said when they came, by what was known then, where nothing was kept. A shop that brings its past
 * knows at once how far its days can be trusted. @returns how many were added.
 */
export function lookBack(db: Db, today: string, wanted: number, most = lookBackOn): number {
  const past = shopPast(db, today);
  if (past.jobs.length < 20) return 0;
  const first = Math.floor(past.jobs[0]!.came / minutesPerDay);
  const judged = backtest(past, { wanted, fromDay: first + 60, runs: 60, seed: 1, most });
  for (const { id, came, said, day, mean } of judged)
    writeSaid(db, { jobId: id, onDay: dayOfNumber(Math.floor(came / minutesPerDay)), days: said.days, named: day, mean, afterwards: true });
  return judged.length;
}

/** How many days ahead were said lately: in the season more. @returns the farthest of the last five; 0 where none was said. */
export const daysSaidLately = (db: Db): number =>
  (db.prepare("SELECT max(named) FROM (SELECT named FROM promise_said ORDER BY job_id DESC LIMIT 5)").pluck().get() as number | null) ?? 0;
