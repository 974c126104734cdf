import { type PaidHow, paidHows } from "./papers";

/** Money that came in or went back on a day. */
export interface Taking {
  /** Its payment's number in the book; null of a deposit taken at the counter, which has no invoice yet. */
  readonly payment: number | null;
  /** The invoice it was for; null of a deposit. */
  readonly invoice: number | null;
  readonly name: string;
  readonly amountMinor: number;
  readonly how: PaidHow;
}

/** What a day took, by the way it was paid; only ways that occurred, in their usual order. */
export function takingsByWay(takings: readonly Pick<Taking, "amountMinor" | "how">[]): { readonly how: PaidHow; readonly minor: number }[] {
  const sums = new Map<PaidHow, number>();
  for (const { how, amountMinor } of takings) sums.set(how, (sums.get(how) ?? 0) + amountMinor);
  return (Object.keys(paidHows) as PaidHow[]).flatMap((how) => (sums.has(how) ? [{ how, minor: sums.get(how)! }] : []));
}

/** Those that came in after the day was closed: with a later number than the last that was counted. Deposits were counted with the rest. */
export const afterClosing = (takings: readonly Taking[], lastPayment: number): Taking[] =>
  takings.filter(({ payment }) => payment !== null && payment > lastPayment);
