/** What the book of Stores holds: who sells what, what is wanted, what lies here. */

export interface Supplier {
  readonly id: string;
  readonly name: string;
  readonly postageMinor: number;
  readonly leadDays: number;
  /** How many parts it is known to sell. */
  readonly offers: number;
  readonly retired: boolean;
  readonly rowVersion: number;
  /** From this value of goods no postage; null where there is always one. */
  readonly freePostFromMinor: number | null;
  /** Below this value nothing is sent. */
  readonly smallestOrderMinor: number;
  readonly tiers: readonly PostageTier[];
  /** Where it takes orders by mail; empty where it does not. */
  readonly email: string;
}

/** What a parcel costs from a value of goods upwards. */
export interface PostageTier {
  readonly fromMinor: number;
  readonly postageMinor: number;
}

export interface Offer {
  readonly supplierId: string;
  readonly supplierName: string;
  /** Of a pack. */
  readonly priceMinor: number;
  readonly pack: number;
  readonly breaks: readonly { readonly fromPacks: number; readonly priceMinor: number }[];
  readonly postageMinor: number;
  readonly leadDays: number;
}

/** open, then ordered, arrived (set aside for its job), used; or withdrawn. */
export const needStates = ["open", "ordered", "arrived", "used", "withdrawn"] as const;
export type NeedState = (typeof needStates)[number];

/** A piece that a job wants for a seat. */
export interface Need {
  readonly id: number;
  readonly jobId: number;
  readonly tag: string;
  readonly positionId: string;
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly state: NeedState;
}

/** A bin. */
export interface StockLine {
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly bin: string;
  readonly count: number;
  /** Its level, as a hand set it. */
  readonly minimum: number;
  /** Its level goes by its use instead. */
  readonly byUse: boolean;
  readonly countedAt: string | null;
  /** Pieces that came for a job and are set aside for it. */
  readonly keptAside: number;
}

/** A piece off a scrapped reel. */
export interface DonorPiece {
  readonly id: number;
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly condition: "good" | "worn";
  readonly priceMinor: number;
  readonly drawer: string;
  /** The reel it came off, as the bench says it. */
  readonly origin: string;
  readonly reelId: number;
  readonly usedTag: string | null;
}
