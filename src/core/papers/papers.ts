import { daysBetween } from "@/core/day/day";
import { type BasisPoints, roundHalfAwayFromZero } from "@/core/money/money";

export const paidHows = { cash: "cash", card: "card", transfer: "transfer", deposit: "deposit" } as const;
export type PaidHow = keyof typeof paidHows;

/** A line of a paper, before tax. */
export interface PaperLine {
  readonly words: string;
  readonly amountMinor: number;
}

/** An amount with its tax, split so that both add up to it. */
export interface Split {
  readonly netMinor: number;
  readonly taxMinor: number;
}

/** Splits an amount that has its tax in it. @example splitGross(1200, 2000) // { netMinor: 1000, taxMinor: 200 } */
export function splitGross(totalMinor: number, tax: BasisPoints): Split {
  const netMinor = roundHalfAwayFromZero(totalMinor * 10_000, 10_000 + tax);
  return { netMinor, taxMinor: totalMinor - netMinor };
}

/**
 * What is taken back of an invoice: a part of it with its tax, or all that is left, to the last hundredth of net and tax.
 * @param left net and tax of the invoice less what was taken back before. @param amountMinor with tax; null for all of it.
 * @throws RangeError for nothing, and for more than is left.
 */
export function creditOf(left: Split, amountMinor: number | null, tax: BasisPoints): Split {
  const all = left.netMinor + left.taxMinor;
  if (all <= 0) throw new RangeError("creditOf: nothing of it is left to take back");
  if (amountMinor === null || amountMinor === all) return left;
  if (amountMinor <= 0 || amountMinor > all) throw new RangeError(`creditOf: ${amountMinor} of ${all}`);
  const split = splitGross(amountMinor, tax);
  // Rounding may not leave a net or a tax below nothing.
  const netMinor = Math.min(left.netMinor, Math.max(amountMinor - left.taxMinor, split.netMinor));
  return { netMinor, taxMinor: amountMinor - netMinor };
}

export interface Balance {
  readonly totalMinor: number;
  readonly creditedMinor: number;
  readonly paidMinor: number;
  /** Still to come; below nothing where it is to be paid back. */
  readonly openMinor: number;
}

export const balanceOf = (totalMinor: number, creditedMinor: number, paidMinor: number): Balance => ({
  totalMinor,
  creditedMinor,
  paidMinor,
  openMinor: totalMinor - creditedMinor - paidMinor,
});

/** How old what is open is. */
export const ages = ["not due yet", "up to 30 days", "31 to 60 days", "61 to 90 days", "older"] as const;
export type Age = (typeof ages)[number];

/** @param due and today ISO days. */
export function ageOf(due: string, today: string): Age {
  const days = daysBetween(due, today);
  return days <= 0 ? ages[0] : days <= 30 ? ages[1] : days <= 60 ? ages[2] : days <= 90 ? ages[3] : ages[4];
}

/** Days within which an invoice is to be paid (common practice). */
export const payWithinDays = 14;

export interface TaxRow {
  /** "2026-03" */
  readonly month: string;
  readonly tax: BasisPoints;
  readonly currency: string;
  readonly papers: number;
  readonly netMinor: number;
  readonly taxMinor: number;
}

/** Tax by month and rate, the last month first; what credit notes take back is off. */
export function taxRows(
  papers: readonly (Split & { readonly onDay: string; readonly tax: BasisPoints; readonly currency: string })[],
): TaxRow[] {
  const rows = new Map<string, TaxRow>();
  for (const { onDay, tax, currency, netMinor, taxMinor } of papers) {
    const month = onDay.slice(0, 7);
    const key = `${month} ${currency} ${tax}`;
    const row = rows.get(key) ?? { month, tax, currency, papers: 0, netMinor: 0, taxMinor: 0 };
    rows.set(key, { ...row, papers: row.papers + 1, netMinor: row.netMinor + netMinor, taxMinor: row.taxMinor + taxMinor });
  }
  return [...rows.values()].sort((a, b) => (a.month < b.month ? 1 : a.month > b.month ? -1 : b.tax - a.tax));
}

/** "R 000123": an invoice or a credit note by its number. */
export const paperName = (kind: "invoice" | "credit", number: number): string =>
  `${kind === "invoice" ? "R" : "C"} ${String(number).padStart(6, "0")}`;
