/** How a reel is used and what it has been through, as far as it makes some faults likelier. Source: common practice. */
export const useFactors = {
  salt: "used in salt",
  kayak: "kayak, or dunked: under water half the day",
  fleet: "hire or charter fleet, hard use",
  stored: "stored for years",
  "second-hand": "bought second hand",
  opened: "opened before, not by us",
  old: "decades old",
} as const;
export type UseFactor = keyof typeof useFactors;

/** A factor in words. @param ours the reel comes back to the bench that opened it. */
export const factorWords = (factor: UseFactor, ours: boolean): string =>
  factor === "opened" && ours ? "opened before, by us" : useFactors[factor];

export const waters = ["fresh", "brackish", "salt"] as const;
export type Water = (typeof waters)[number];
export const waterWords: Record<Water, string> = { fresh: "fresh water", brackish: "brackish", salt: "salt water" };

export interface UseProfile {
  readonly water: Water;
  readonly tripsPerYear: number;
  /** What it has been through, as far as somebody said. */
  readonly life?: readonly UseFactor[];
}
