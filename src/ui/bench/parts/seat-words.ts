import { type WellVerdict, wantsNew } from "@/core/teardown/verdicts";
export interface SeatFacts {
  readonly positionId: string;
  /** What the job wants here: the machine's own part, or one foreseen in its stead. */
  readonly wantedPartTypeId: string;
  readonly priceMinor: number;
  readonly stock: { readonly count: number; readonly keptAside: number; readonly bin: string } | null;
  readonly inTray: boolean;
  /** A new piece is due for what came out of it: a fault was proved, or a rule says so. */
  readonly toRenew: boolean;
  readonly well: number | null;
  readonly verdict: WellVerdict | null;
  readonly renewed: boolean;
  readonly refitted: boolean;
  readonly need: "open" | "ordered" | "arrived" | null;
  /** A supplier has what is wanted here. */
  readonly sold: boolean;
  readonly foreseen: boolean;
  /** The customer said no to a new one. */
  readonly declined: boolean;
  /** A piece from elsewhere is planned for it. */
  readonly planned: boolean;
  /** Other parts that go here. */
  readonly fits: readonly {
    readonly partTypeId: string;
    readonly number: string;
    readonly name: string;
    readonly grade: string;
    readonly note: string;
    readonly inBin: number;
  }[];
  /** Pieces off scrapped reels that go here. */
  readonly donors: readonly {
    readonly id: number;
    readonly number: string;
    readonly condition: "good" | "worn";
    readonly priceMinor: number;
    readonly drawer: string;
    readonly origin: string;
  }[];
}

export const needWords = { open: "on the needs list", ordered: "ordered", arrived: "arrived, set aside for this reel" } as const;

/** What the seat's part is doing now, in a few words. */
export function seatWords(seat: SeatFacts): string {
  if (seat.refitted) return seat.renewed ? "new piece fitted" : "refitted";
  if (seat.renewed) return `new piece in well ${seat.well}`;
  if (seat.declined) return "declined: the old one goes back";
  if (seat.planned) return seat.inTray ? "its piece is here: fit it" : "its piece is here, the old one is still in the reel";
  if (seat.need) return needWords[seat.need];
  if (seat.verdict && wantsNew(seat.verdict)) return seat.verdict === "missing" ? "missing" : "to be replaced";
  if (seat.toRenew) return "to be replaced";
  return seat.inTray ? `in well ${seat.well}` : "in the reel";
}
