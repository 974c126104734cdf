import { type SaidOfJob, saidOf } from "@/core/promise/backtest";
import { foretell, foretellOne } from "@/core/promise/bench-simulation";
import { middleStay } from "@/core/promise/past";
import type { Context } from "@/data/database/context";
import { liveBench, promiseSeed } from "./bench";
import { shopPast } from "./past";
import { writeSaid } from "./said";

/** Runs where no page looked: its chances are right to about four in a hundred, which the looking back evens out. */
const keptRuns = 120;

/**
 * Keeps what the bench says of jobs that just came, for every chance, so that later it can be told how often such days held.
 * @param shown what the page showed of the one reel that came, on the same day: that is kept. Null where no page looked, or not of today; then the
 * bench is asked here.
 */
export function keepSaid(ctx: Context, today: string, jobIds: readonly number[], shown: SaidOfJob | null = null): void {
  const done = shopPast(ctx.db, today).jobs.filter(({ ready }) => ready !== null);
  const mean = done.length ? Math.round(middleStay(done)) : 7;
  const keep = (jobId: number, { days, named }: SaidOfJob) =>
    writeSaid(ctx.db, { jobId, onDay: today, days, named, mean, afterwards: false });
  const [only, ...others] = jobIds;
  if (shown && only !== undefined && !others.length) {
    keep(only, shown);
    return;
  }
  const { bench, ask } = liveBench(ctx.db, today, ctx.now);
  const places = bench.jobs.flatMap(({ key }, place) => (jobIds.includes(key) ? [place] : []));
  // One reel's run ends with it; a lot's are followed together.
  const forecasts = places.length === 1 ? [foretellOne(bench, places[0]!, promiseSeed, keptRuns)] : foretell(bench, promiseSeed, keptRuns);
  for (const each of forecasts) if (jobIds.includes(each.key)) keep(each.key, saidOf(each, ask));
}
