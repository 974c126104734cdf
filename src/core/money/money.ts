/**
 * Money is an integer number of minor units (cents). Tax is worked out once on the net total and rounded half away from zero,
 * so that the printed lines, tax and total always add up (common practice for an invoice-level tax).
 */

/** Basis points: 2000 is 20 %. */
export type BasisPoints = number;

/** Divides integers and rounds half away from zero without passing through a binary fraction. @throws RangeError for non-integers. */
export function roundHalfAwayFromZero(numerator: number, denominator: number): number {
  if (!Number.isSafeInteger(numerator) || !Number.isSafeInteger(denominator) || denominator <= 0)
    throw new RangeError("roundHalfAwayFromZero: needs whole numbers and a positive divisor");
  const sign = numerator < 0 ? -1 : 1;
  const magnitude = Math.abs(numerator);
  const whole = Math.floor(magnitude / denominator);
  const rest = magnitude - whole * denominator;
  const rounded = rest * 2 >= denominator ? whole + 1 : whole;
  return rounded === 0 ? 0 : sign * rounded;
}

/** Tax on a net amount, both in minor units. @example taxOnNet(1250, 2000) // 250 */
export const taxOnNet = (netMinor: number, rate: BasisPoints): number => shareOf(netMinor, rate);

/** A share of an amount, both in minor units: what a discount takes off. @example shareOf(1250, 1000) // 125 */
export function shareOf(amountMinor: number, share: BasisPoints): number {
  if (!Number.isSafeInteger(amountMinor)) throw new RangeError("shareOf: the amount must be whole minor units");
  return roundHalfAwayFromZero(amountMinor * share, 10_000);
}

/** Labour at an hourly rate for whole minutes, in minor units. @example labourPrice(50, 4800) // 4000 */
export const labourPrice = (minutes: number, ratePerHourMinor: number): number => roundHalfAwayFromZero(minutes * ratePerHourMinor, 60);

/** "12.50": the sign, the whole units and two digits; no currency, so that it lines up in a column. */
export function formatMinor(minor: number): string {
  const sign = minor < 0 ? "−" : "";
  const magnitude = Math.abs(minor);
  return `${sign}${Math.floor(magnitude / 100)}.${String(magnitude % 100).padStart(2, "0")}`;
}

/** Reads "12", "12.5", "12,50" as minor units; null when it is not an amount with at most two decimals. */
export function parseMinor(text: string): number | null {
  const match = /^\s*(\d{1,7})(?:[.,](\d{1,2}))?\s*$/.exec(text);
  if (!match) return null;
  return Number(match[1]) * 100 + Number((match[2] ?? "").padEnd(2, "0"));
}
