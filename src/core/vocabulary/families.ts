/** The families of reels. */
export const familyIds = [
  "star-drag-bridge",
  "star-drag-clutch",
  "lever-drag",
  "baitcaster-low-profile",
  "baitcaster-round",
  "spinning",
  "spinning-fluid-sealed",
  "spinning-sealed-bail-less",
  "spincast",
  "centrepin",
  "fly",
] as const;
export type FamilyId = (typeof familyIds)[number];

/** The families in the bench's words. */
export const familyWords: Record<FamilyId, string> = {
  "star-drag-bridge": "conventional, star drag on a bridge",
  "star-drag-clutch": "conventional, star drag, full frame with clutch",
  "lever-drag": "conventional, lever drag",
  "baitcaster-low-profile": "baitcaster, low profile",
  "baitcaster-round": "baitcaster, round",
  spinning: "spinning, open with bail",
  "spinning-fluid-sealed": "spinning, fluid sealed",
  "spinning-sealed-bail-less": "spinning, sealed, bail-less",
  spincast: "spincast, closed face",
  centrepin: "centrepin",
  fly: "fly reel",
};

/** Reels that cast under a brake that somebody set. */
export const hasCastBrakes = (family: FamilyId): boolean => family === "baitcaster-low-profile" || family === "baitcaster-round";
