import type { Bench, Foretold } from "@/core/promise/bench-simulation";
import { foretell, foretellOne } from "@/core/promise/bench-simulation";
import { type Change, effectsOf, type PromisedJob } from "@/core/promise/what-if";

/** What is asked of the worker: one job's days, all jobs' days, or what a change does to them. */
export type BenchQuestion = { readonly bench: Bench; readonly seed: number; readonly chance: number } & (
  | { readonly kind: "one"; readonly place: number }
  | { readonly kind: "all" }
  | { readonly kind: "change"; readonly change: Change; readonly promised: readonly PromisedJob[] }
);
export type BenchReply =
  | { readonly kind: "told"; readonly told: readonly Foretold[]; readonly runs: number }
  | ({ readonly kind: "effects"; readonly runs: number } & ReturnType<typeof effectsOf>);

/** Few runs say at once what more of them say better. */
const passes = [80, 500];

/** Simulates the bench off the page's thread. */
self.onmessage = ({ data }: MessageEvent<BenchQuestion>) => {
  const tell = (reply: BenchReply) => self.postMessage(reply);
  const { bench, seed, chance } = data;
  for (const runs of passes)
    if (data.kind === "change") tell({ kind: "effects", runs, ...effectsOf(bench, data.promised, data.change, { seed, runs, chance }) });
    else
      tell({ kind: "told", runs, told: data.kind === "one" ? [foretellOne(bench, data.place, seed, runs)] : foretell(bench, seed, runs) });
};
