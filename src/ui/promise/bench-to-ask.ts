import type { Bench, BenchJob } from "@/core/promise/bench-simulation";

/** What a page needs to simulate the bench by itself. Days count from today. */
export interface BenchToAsk {
  readonly today: string;
  /** The days looked ahead, as people say them. */
  readonly days: readonly { readonly day: string; readonly words: string }[];
  readonly bench: Bench;
  /** The bench's jobs in its order. */
  readonly hanging: readonly { readonly key: number; readonly tag: string; readonly promised: number; readonly minutes: number }[];
  readonly people: readonly { readonly personId: number | null; readonly name: string }[];
  /** The chance a day is promised for, and the simulation's own for which days have held so often. */
  readonly wanted: number;
  readonly ask: number;
  readonly learnedFrom: number;
  /** A reel that may be taken in. */
  readonly fresh: { readonly job: BenchJob; readonly because: string } | null;
  readonly seed: number;
}

/** "80 %" */
export const chanceWords = (chance: number): string => `${Math.round(chance * 100)} %`;
/** Chances are told in whole hundredths. */
export const of100 = (chance: number): number => Math.round(100 * chance);
