/** What can hurt somebody at a reel bench; the words are in core/safety/cautions. */
export const hazardIds = [
  "lining",
  "spring",
  "solvent",
  "warm-oil",
  "air",
  "compatibility",
  "dust",
  "drilling",
  "pull",
  "electric",
  "magnet",
] as const;
export type HazardId = (typeof hazardIds)[number];
