import type { Anatomy, Batch, PartType } from "@/core/anatomy/types";
import type { ToldAtCounter } from "@/core/intake/told-at";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import type { StepAtBuild } from "@/core/teardown/step";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import type { ShownExtra } from "@/ui/bench/extra-pieces";
import type { ShownPoint } from "./oil-points";

/** What the page of the way back is given. */
export interface BuildProps {
  readonly head: BenchHead;
  readonly steps: readonly StepAtBuild[];
  readonly batches: readonly Batch[];
  readonly points: readonly ShownPoint[];
  /** What was said at the counter and is answered at a step. */
  readonly told: ToldAtCounter;
  readonly extras: readonly ShownExtra[];
  /** A step that is done and has to be opened again, and how many stand on it: somebody was sent here for it. */
  readonly open: { readonly operationId: string; readonly words: string; readonly steps: number } | null;
  readonly conflict: string | null;
  /** Parts that go in the other way round than they came off, and whether no order has fewer. */
  readonly inversions: number;
  readonly proven: boolean;
  /** Where to look for the check that failed, likeliest first. */
  readonly traps: readonly LikelyTrap[];
  /** Oil is warmed into spool bearings here. */
  readonly warmed: boolean;
  readonly anatomy: Anatomy;
  /** Seats that were never emptied, so they are in from the start. */
  readonly neverOff: readonly string[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** Seats for which a new part was asked for. */
  readonly foreseen: readonly string[];
  /** The job's faults by id. */
  readonly faultNames: Readonly<Record<string, string>>;
  /** Seats whose parts are not cleaned yet. */
  readonly toClean: readonly string[];
  /** What was measured, repeated or used, by step. */
  readonly noted: Readonly<Record<string, string>>;
}
