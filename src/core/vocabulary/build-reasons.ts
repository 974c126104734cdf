/** Why a part is left off when the reel goes together. One press each; other words can be typed. */
export const leftOffReasons = [
  "not there when it came",
  "the customer wants it off",
  "cannot be had any more",
  "not needed on this reel",
  "comes later, when the part is here",
] as const;

/** Why an old piece goes back though its fault was proved. */
export const oldPieceReasons = [
  "looked at: still good",
  "good again once it was clean",
  "put right by hand",
  "the customer keeps the old one",
  "cannot be had any more",
] as const;

/** Why something is covered though the last look finds it wrong. */
export const closeOverReasons = [
  "right for this reel",
  "as it was found, and it worked",
  "the customer wants it so",
  "nothing better to be had",
] as const;
