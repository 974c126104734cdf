/** Why a part is left off when the reel goes together. One press each; other words can be typed. */
export const leftOffReasons = [
  "missing when it arrived",
  "the customer wants it off",
  "no longer available",
  "not needed on this reel",
  "later, when the part arrives",
] as const;

/** Why an old piece goes back though its fault was proved. */
export const oldPieceReasons = [
  "looked at: still good",
  "fine once it was clean",
  "repaired by hand",
  "the customer keeps the old one",
  "no longer available",
] as const;

/** Why something is covered though the last look finds it wrong. */
export const closeOverReasons = [
  "right for this reel",
  "as it was found, and it works",
  "the customer wants it so",
  "nothing better available",
] as const;
