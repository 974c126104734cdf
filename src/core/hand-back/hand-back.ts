/** How it was paid: a note for the books, no card is handled here. */
export const paidWords = {
  cash: "cash",
  card: "card, at the terminal",
  transfer: "transfer",
  invoice: "on invoice",
  nothing: "nothing to pay",
} as const;
export type PaidWay = keyof typeof paidWords;
export const paidWays = Object.keys(paidWords) as [PaidWay, ...PaidWay[]];

/** What became of the parts that were taken out. */
export const oldPartsWords = {
  returned: "returned with the reel",
  kept: "discarded here",
  none: "none",
} as const;
export type OldParts = keyof typeof oldPartsWords;
export const oldPartsWays = Object.keys(oldPartsWords) as [OldParts, ...OldParts[]];

/** How a reel was returned. */
export interface HandBackNote {
  readonly paidBy?: PaidWay | null;
  readonly paidNote?: string;
  readonly oldParts?: OldParts | null;
}

/** Days a reel hangs ready before its owner is to be told again (common practice: two weeks). */
export const fetchAfterDays = 14;
