/** Why a count differed from the book; nobody has to know. */
export const countWhy = {
  "used-not-written": "used and not written down",
  lost: "lost",
  broken: "broken or unfit",
  found: "found again",
  miscounted: "counted wrong before",
  other: "something else",
} as const;
export type CountWhy = keyof typeof countWhy;
export const countWhyIds = Object.keys(countWhy) as [CountWhy, ...CountWhy[]];
