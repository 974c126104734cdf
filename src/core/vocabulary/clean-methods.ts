/** How parts are cleaned; the order is the one a bench works in: what soaks longest goes in first. */
export const cleanMethodIds = [
  "degreaser",
  "bearings",
  "soap",
  "friction-bath",
  "brush",
  "flush",
  "damp",
  "wipe",
  "swab",
  "polish",
  "magnet",
  "leave-dry",
] as const;
export type CleanMethod = (typeof cleanMethodIds)[number];
