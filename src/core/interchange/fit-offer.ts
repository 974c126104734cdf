import type { PartType } from "@/core/anatomy/types";
import type { Grade } from "./interchange";

/** A part that interchanges with the one in a seat, as it is offered there. */
export interface FitOffer {
  readonly part: PartType;
  readonly grade: Grade;
  readonly note: string;
  readonly mark: string;
  readonly because: string;
  readonly inBin: number;
  /** What the fit check says against it, in millimetres. */
  readonly but: readonly string[];
}
