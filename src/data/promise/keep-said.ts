import { keptChances } from "@/core/promise/backtest";
import { dayFor, foretell, foretellOne } from "@/core/promise/bench-simulation";
import { middleStay } from "@/core/promise/past";
import type { Context } from "@/data/database/context";
import { liveBench, promiseSeed } from "./bench";
import { shopPast } from "./past";
import { writeSaid } from "./said";

/** Runs for what is kept: its chances are right to about four in a hundred, which the looking back evens out. */
const keptRuns = 120;

/** Keeps what the bench says of jobs that just came, for every chance, so that later it can be told how often such days held. */
export function keepSaid(ctx: Context, today: string, jobIds: readonly number[]): void {
  const { bench, ask } = liveBench(ctx.db, today, ctx.now);
  const done = shopPast(ctx.db, today).jobs.filter(({ ready }) => ready !== null);
  const mean = done.length ? Math.round(middleStay(done)) : 7;
  const places = bench.jobs.flatMap(({ key }, place) => (jobIds.includes(key) ? [place] : []));
  // One reel's run ends with it; a lot's are followed together.
  const told = places.length === 1 ? [foretellOne(bench, places[0]!, promiseSeed, keptRuns)] : foretell(bench, promiseSeed, keptRuns);
  for (const each of told) {
    if (!jobIds.includes(each.key)) continue;
    const days = keptChances.map((chance) => dayFor(each, chance));
    writeSaid(ctx.db, {
      jobId: each.key,
      onDay: today,
      days,
      named: days[keptChances.indexOf(ask)]!,
      mean,
      afterwards: false,
    });
  }
}
