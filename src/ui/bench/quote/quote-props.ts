import type { ReactNode } from "react";
import type { Consent } from "@/core/quote/consent";
import type { KitPart } from "@/core/quote/kit-lines";
import type { ExtraLine, LabourLine, PartLine } from "@/core/quote/lines";
import type { PinnedRates, QuoteSum } from "@/core/quote/quote-sum";
import type { FaultOutcome } from "@/core/vocabulary/fault-outcomes";
import type { PieceSource } from "@/core/vocabulary/piece-sources";
import type { WhoPays as Payer } from "@/core/vocabulary/who-pays";
import type { BenchHead } from "@/ui/bench/bench-sheet";

/** What the page of the quote is given. */
export interface QuoteProps {
  readonly head: BenchHead;
  /** What the customer reported, in words. */
  readonly reported: string;
  readonly quote: {
    readonly labour: readonly LabourLine[];
    readonly parts: readonly (PartLine & Pick<KitPart, "positionId" | "kit">)[];
    readonly extras: readonly (ExtraLine & { readonly id: number })[];
    readonly sum: QuoteSum;
    readonly answers: readonly { accepted: boolean; totalMinor: number; words: string; at: string; person: string }[];
    readonly consent: Consent;
    readonly callFor: readonly string[];
    readonly partsOver: boolean;
  };
  readonly seatNames: Readonly<Record<string, string>>;
  /** Seats whose new part the customer said no to; and those that may want one once they lie open. */
  readonly declined: readonly string[];
  readonly may: readonly { readonly positionId: string; readonly priceMinor: number }[];
  readonly limitMinor: number | null;
  readonly partsLimitMinor: number | null;
  readonly rates: PinnedRates;
  readonly currency: string;
  readonly customer: { readonly name: string; readonly phone: string };
  readonly shop: string;
  readonly declinedReason: string | null;
  readonly ways: ReactNode;
  /** Parts a way of working foresees though nothing was found; those in the quote already are left out. */
  readonly foreseen: readonly { readonly positionId: string; readonly words: string }[];
  /** What was found, and the way out of it where it is not repaired here. */
  readonly faults: readonly { readonly faultId: string; readonly name: string; readonly outcome: FaultOutcome | null }[];
  /** Asks the customer by letter. */
  readonly asking: ReactNode;
  readonly valueMinor: number | null;
  /** What else could be done, each with its sum, tax included. */
  readonly options: readonly { readonly words: string; readonly totalMinor: number }[];
  /** A part that was refused for the sum: it is not in the quote yet. */
  readonly add: {
    readonly positionId: string;
    readonly words: string;
    /** A piece with a price of its own that is to go in. */
    readonly piece: { readonly source: PieceSource | "donor"; readonly priceMinor: number } | null;
  } | null;
  /** Of a comeback: who pays; null for every other job. */
  readonly pays: Payer | null;
}
