/** How a part came out of its cleaning, where it did not simply come clean. */
export const cleanOutcomes = {
  stained: { name: "A stain stays", said: "a stain stays" },
  pitted: { name: "Pitted underneath", said: "pitted under the dirt" },
  "not-clean": { name: "Did not come clean", said: "did not come clean" },
} as const;
export type CleanOutcome = keyof typeof cleanOutcomes;
export const cleanOutcomeIds = Object.keys(cleanOutcomes) as [CleanOutcome, ...CleanOutcome[]];
