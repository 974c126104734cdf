import type { ReactNode } from "react";
import type { StripState } from "@/core/acts/strip/board";
import type { Anatomy, Batch, PartType, Position } from "@/core/anatomy/types";
import type { OpenedFor } from "@/core/service/depth";
import type { Choice } from "@/core/ways/ways";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import type { AssemblyDepth } from "./opened-words";

/** What the page of the way apart is given. */
export interface StripProps {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  /** Every test is answered. */
  readonly tested: boolean;
  readonly anatomy: Anatomy;
  /** The machine as it comes apart: what rides on a part is one with it. */
  readonly machine: Position[];
  readonly batches: readonly Batch[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** Seats expected off, in order; those that are off among them. */
  readonly expected: readonly string[];
  readonly depth: readonly AssemblyDepth[];
  /** Which part each seat stays on when that comes off. */
  readonly ridesOn: Readonly<Record<string, string>>;
  readonly laying: Choice<"layingOut">;
  readonly bearings: Choice<"bearings">;
  readonly lastAssemblyId: string | null;
  readonly state: StripState;
  /** What is wanted off for a fault or a new part and stays, because of a part that was left in. */
  readonly wantedHeld: readonly { readonly seat: string; readonly why: OpenedFor; readonly by: string }[];
  /** What the job is done with, said before the first part is off. */
  readonly tools: readonly string[];
  /** What the counter saw was missing: in words, the seats that are empty by it, and those of which one may be. */
  readonly missing: { readonly words: string | null; readonly sure: readonly string[]; readonly perhaps: readonly string[] };
  /** Pieces that are not on the drawing. */
  readonly below?: ReactNode;
}
