/** Lines of a quote or a bill. */
export interface LabourLine {
  readonly words: string;
  readonly minutes: number;
  /** A price of the shop's list; without it the minutes are priced. */
  readonly priceMinor?: number;
  /** The fault this line mends, where it mends one. */
  readonly faultId?: string;
  /** Our own work come back: it costs nothing. */
  readonly ours?: boolean;
}

/** What is charged beside work and parts: consumables, postage, a line of the shop's own. */
export interface ExtraLine {
  readonly words: string;
  readonly priceMinor: number;
}

export interface PartLine {
  readonly partTypeId: string;
  readonly words: string;
  readonly quantity: number;
  readonly priceMinor: number;
  readonly ours?: boolean;
}
