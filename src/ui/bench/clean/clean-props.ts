import type { PartType, Position } from "@/core/anatomy/types";
import type { CleanPlan } from "@/core/cleaning/plan";
import type { Soak, TrayGroup } from "@/core/cleaning/soak";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { CleanOutcome } from "@/core/vocabulary/clean-outcomes";
import type { Choice } from "@/core/ways/ways";
import type { BenchHead } from "@/ui/bench/bench-sheet";

/** What the page of the cleaning is given. */
export interface CleanProps {
  readonly head: BenchHead;
  readonly modelId: string;
  readonly positions: readonly Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly wells: readonly Well[];
  readonly groups: readonly TrayGroup[];
  readonly plan: CleanPlan;
  readonly apart: readonly { readonly a: CleanMethod; readonly b: CleanMethod; readonly why: string }[];
  /** Baths that hold parts of this reel, and those that hold only others'. */
  readonly soaks: readonly Soak[];
  readonly othersSoaks: readonly Soak[];
  /** The server's clock when the page was made. */
  readonly nowMs: number;
  /** Where it goes on: Parts where something new is wanted, else Build. */
  readonly next: "parts" | "build";
  /** Seats whose parts still carry what a bath would spoil. */
  readonly carrying: readonly string[];
  /** How dirty the reel is, in what is done about it. */
  readonly bearings: Choice<"bearings">;
  /** How parts came out where they did not simply come clean, by seat. */
  readonly outcomes: Readonly<Record<string, CleanOutcome>>;
  readonly dirt: Choice<"cleaning">;
}
