import { type BasisPoints, labourPrice, shareOf, taxOnNet } from "@/core/money/money";

export interface LabourLine {
  readonly words: string;
  readonly minutes: number;
}

export interface PartLine {
  readonly partTypeId: string;
  readonly words: string;
  readonly quantity: number;
  readonly priceMinor: number;
}

/** What was agreed when the job was opened; a report of four years ago still prints with these. */
export interface PinnedRates {
  readonly ratePerHourMinor: number;
  readonly tax: BasisPoints;
  /** Off work and parts, before tax. */
  readonly discount?: BasisPoints;
}

export interface QuoteSum {
  readonly minutes: number;
  readonly labourMinor: number;
  readonly partsMinor: number;
  readonly discountMinor: number;
  /** Work and parts less the discount. */
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly totalMinor: number;
}

/** Labour, parts, discount and tax of a job, in minor units. Minutes are added first and priced once, so that ten short steps do not round ten times. */
export function quoteSum(labour: readonly LabourLine[], parts: readonly PartLine[], rates: PinnedRates): QuoteSum {
  const minutes = labour.reduce((sum, line) => sum + line.minutes, 0);
  const labourMinor = labourPrice(minutes, rates.ratePerHourMinor);
  const partsMinor = parts.reduce((sum, line) => sum + line.quantity * line.priceMinor, 0);
  const discountMinor = shareOf(labourMinor + partsMinor, rates.discount ?? 0);
  const netMinor = labourMinor + partsMinor - discountMinor;
  const taxMinor = taxOnNet(netMinor, rates.tax);
  return { minutes, labourMinor, partsMinor, discountMinor, netMinor, taxMinor, totalMinor: netMinor + taxMinor };
}

export type Consent = "within-limit" | "agreed" | "ask" | "refused";

/**
 * Whether the work may go on. Above the limit the customer is asked, and a yes covers no more than the sum it was given for.
 * @param limitMinor null when no limit was agreed: then every quote is asked for.
 */
export function consentFor(
  totalMinor: number,
  limitMinor: number | null,
  answers: readonly { readonly accepted: boolean; readonly totalMinor: number }[],
): Consent {
  const last = answers.at(-1);
  if (last && !last.accepted && last.totalMinor <= totalMinor) return "refused";
  if (limitMinor !== null && totalMinor <= limitMinor) return "within-limit";
  return answers.some((answer) => answer.accepted && answer.totalMinor >= totalMinor) ? "agreed" : "ask";
}
