import { keptChances } from "@/core/promise/backtest";
import { dayFor, foretell } from "@/core/promise/bench-simulation";
import { middleStay } from "@/core/promise/past";
import type { Context } from "@/data/store/context";
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
  for (const told of foretell(bench, promiseSeed, keptRuns)) {
    if (!jobIds.includes(told.key)) continue;
    const days = keptChances.map((chance) => dayFor(told, chance));
    writeSaid(ctx.db, {
      jobId: told.key,
      onDay: today,
      days,
      named: days[keptChances.indexOf(ask)]!,
      mean,
      afterwards: false,
    });
  }
}
