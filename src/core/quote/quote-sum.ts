import { type BasisPoints, labourPrice, shareOf, taxOnNet } from "@/core/money/money";
import type { ExtraLine, LabourLine, PartLine } from "./lines";
import type { JobPrices } from "./price-list";

/** What was agreed when the job was opened; a report of four years ago still prints with these. */
export interface PinnedRates {
  readonly ratePerHourMinor: number;
  readonly tax: BasisPoints;
  /** Off work and parts, before tax. */
  readonly discount?: BasisPoints;
  /** The price list as it stood; null for a job from before there was one. */
  readonly prices?: JobPrices | null;
}

export interface QuoteSum {
  readonly minutes: number;
  readonly labourMinor: number;
  readonly partsMinor: number;
  /** Consumables, postage and lines of the shop's own; no discount is taken off them. */
  readonly extrasMinor: number;
  /** What of the work only makes it up to the smallest charge. */
  readonly madeUpMinor: number;
  readonly discountMinor: number;
  /** Work and parts less the discount, and the extras. */
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly totalMinor: number;
}

/** Labour, parts, discount and tax of a job, in minor units. Minutes are added first and priced once, so that ten short steps do not round ten times. */
export function quoteSum(
  labour: readonly LabourLine[],
  parts: readonly PartLine[],
  rates: PinnedRates,
  extras: readonly ExtraLine[] = [],
): QuoteSum {
  const minutes = labour.reduce((sum, line) => sum + line.minutes, 0);
  const timed = labour.reduce((sum, line) => sum + (line.priceMinor === undefined ? line.minutes : 0), 0);
  const worked = labourPrice(timed, rates.ratePerHourMinor) + labour.reduce((sum, line) => sum + (line.priceMinor ?? 0), 0);
  // Work that costs nothing, such as our own come back, is not made up to anything.
  const labourMinor = worked > 0 ? Math.max(worked, rates.prices?.smallestMinor ?? 0) : 0;
  const extrasMinor = extras.reduce((sum, line) => sum + line.priceMinor, 0);
  const partsMinor = parts.reduce((sum, line) => sum + line.quantity * line.priceMinor, 0);
  const discountMinor = shareOf(labourMinor + partsMinor, rates.discount ?? 0);
  // What is taken off makes a job free; it never pays its owner.
  const netMinor = Math.max(0, labourMinor + partsMinor + extrasMinor - discountMinor);
  const taxMinor = taxOnNet(netMinor, rates.tax);
  const madeUpMinor = labourMinor - worked;
  return { minutes, labourMinor, partsMinor, extrasMinor, madeUpMinor, discountMinor, netMinor, taxMinor, totalMinor: netMinor + taxMinor };
}
