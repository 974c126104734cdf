/** What the Ledger's address may say. */
export type Query = {
  readonly fault?: string;
  readonly part?: string;
  readonly customer?: string;
  readonly q?: string;
  readonly page?: string;
  readonly before?: string;
};
/** A whole number of an address; 0 for anything else. */
export const whole = (text: string | undefined): number => (text && /^\d{1,12}$/.test(text) ? Number(text) : 0);
/** This page with something of its address changed. */
export const address = (query: Query, change: Partial<Query>): string => {
  const next = new URLSearchParams(Object.entries({ ...query, ...change }).filter((entry): entry is [string, string] => Boolean(entry[1])));
  return next.size ? `/ledger?${next}` : "/ledger";
};
