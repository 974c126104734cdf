import type { Report } from "./report";

/** A line of work with what it comes to: its price where it is on the price list, else its minutes. @param formatMinor an amount in words. */
export const minutesLine = (
  { words, minutes, price }: Report["price"]["workLines"][number],
  formatMinor: (minor: number) => string,
): string => `${words}${price !== null ? ` (${formatMinor(price)}, price list)` : minutes ? ` (${minutes} min)` : ""}`;
