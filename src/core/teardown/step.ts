import type { Operation, Position } from "@/core/anatomy/types";
import type { LubricantAdvice } from "@/core/lubrication/lubricant-for";
import type { SeatOutcome } from "./seat-outcome";
import type { Well } from "./well";

export type StepState = "waiting" | "done" | "failed" | "skipped";

/** One act of a job's rebuild, with what was done of it. */
export interface Step {
  readonly operation: Operation;
  readonly position: Position | null;
  /** Operations that must be done first. */
  readonly needs: readonly string[];
  readonly state: StepState;
  readonly note: string;
  /** The first step of the act of the hands it was done in; null while it waits. */
  readonly act: string | null;
  /** When it was done; null while it waits. */
  readonly at: string | null;
  readonly well: Well | null;
  /** Nobody can do it, because a part stays out on purpose; it is neither asked for nor waited for. */
  readonly notDue: boolean;
}

/** A step as Build shows it. */
export interface StepAtBuild extends Step {
  readonly lubricant: LubricantAdvice | null;
  readonly outcome: SeatOutcome;
}
