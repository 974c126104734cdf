import type { CleanOutcome } from "@/core/vocabulary/clean-outcomes";
import type { Feel } from "./feel";

/** What came of the acts at one seat, chosen by whoever did them; null: as the rule says, or nothing was told. */
export interface SeatOutcome {
  /** What went on in place of the rule's product, in its words; "nothing" where it stayed dry. */
  readonly product: string | null;
  readonly clean: CleanOutcome | null;
  readonly feel: Feel | null;
}

export const nothingTold: SeatOutcome = { product: null, clean: null, feel: null };
