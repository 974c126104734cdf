import type { ReactNode } from "react";
import type { StationTime } from "@/core/bench-time/station-time";
import type { ReturnKey } from "@/core/hand-back/return-now";
import type { TestId } from "@/core/vocabulary/tests";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import type { StationId } from "@/ui/bench/stations-words";
import type { ShownCorrection } from "./corrections";
import type { ReportAsks } from "./report-words";

/** What was left off at Build, with the word that let it go. */
export interface LeftOff {
  readonly id: string;
  readonly name: string;
  readonly why: string;
}

/** What still keeps it here, with what it is about, so that it can be said on the spot. */
export interface Block {
  readonly code: string;
  readonly message: string;
  readonly positionId?: string;
  /** A test that is bad still, or a fault that is open, with its name. */
  readonly test?: { readonly id: TestId; readonly name: string };
  readonly fault?: { readonly id: string; readonly name: string };
  /** Where it is put right; null where that is this page. */
  readonly station: StationId | null;
}

/** What the last page is given. */
export interface ReturnProps {
  readonly head: BenchHead;
  readonly customer: string;
  readonly reelId: number;
  readonly totalMinor: number;
  readonly currency: string;
  /** Paid at the counter already. */
  readonly depositMinor: number;
  readonly declinedReason: string | null;
  /** For a purchase check: what it would cost to put right. */
  readonly putRightMinor: number | null;
  readonly above?: ReactNode;
  /** What is told to the owner, as the report prints it. */
  readonly account: {
    readonly found: readonly string[];
    readonly done: readonly string[];
    readonly oilAndChecks: readonly string[];
    readonly watch: readonly string[];
  };
  readonly asks: ReportAsks;
  readonly blocks: readonly Block[];
  /** What the main key does. */
  readonly next: ReturnKey;
  /** Tests that are bad and with which it goes, in words. */
  readonly asItIs: readonly { readonly testId: TestId; readonly words: string }[];
  readonly brought: readonly { id: string; words: string; given: boolean }[];
  readonly nextOn: string;
  /** What is due when, by component, in words. */
  readonly due: readonly { readonly id: string; readonly words: string }[];
  /** What was said at the counter, for a last look. */
  readonly told: readonly string[];
  readonly times: readonly StationTime[];
  /** How a closed one was returned, in words; empty while it is here. */
  readonly handedBack: string;
  /** Its invoice; null where there is none. */
  readonly invoice: number | null;
  readonly today: string;
  /** What storing it costs by now, where nobody fetched it. */
  readonly storage: { readonly words: string; readonly minor: number } | null;
  /** How its invoice stands, minor units: what is open, below nothing to pay back, and what was credited of it; null where there is none. */
  readonly balance: { readonly openMinor: number; readonly creditedMinor: number } | null;
  /** Pieces that came off and are settled, and checks that passed, tests after the work: what may be said of a reel with nothing open. */
  readonly together: {
    /** That came off and are back. */
    readonly pieces: number;
    readonly checks: number;
    /** Since the last piece went in. */
    readonly tested: number;
    /** Tests that are bad still. */
    readonly bad: readonly string[];
    /** What came off and stays out, with the word it was left off by. */
    readonly out: readonly LeftOff[];
    /** What was to be done with the pieces and was left undone by a word. */
    readonly undone: readonly LeftOff[];
  };
  readonly corrections: readonly ShownCorrection[];
  readonly hasDrag: boolean;
  /** It was returned today: that can be taken back. */
  readonly returnedToday: boolean;
}
