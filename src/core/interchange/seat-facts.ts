import { type WellVerdict, waitsForNew } from "@/core/teardown/verdicts";
import { type PartsKey, partsNow } from "./parts-now";

/** A seat of a reel on the bench, as far as its part is to be had. */
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
  /** The reel goes back as it came. */
  readonly unrepaired: boolean;
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

/** What Build would not take back: a new one is due without a word. */
export const isDue = (seat: Pick<SeatFacts, "inTray" | "refitted" | "toRenew">): boolean => seat.inTray && !seat.refitted && seat.toRenew;

const waits = ({ verdict, ...seat }: SeatFacts): boolean => verdict !== null && waitsForNew({ verdict, ...seat });

/** Seats that want a new piece and have none yet. */
export const wantedSeats = (seats: readonly SeatFacts[]): SeatFacts[] =>
  seats.filter((seat) => !seat.unrepaired && (waits(seat) || seat.foreseen || isDue(seat)) && !seat.renewed);

/** What the main key of Parts does now. @param mayGoOn the customer agreed to what it costs. */
export const partsKeyOf = (seats: readonly SeatFacts[], mayGoOn: boolean): PartsKey =>
  partsNow(
    wantedSeats(seats).map((one) => ({
      positionId: one.positionId,
      partTypeId: one.wantedPartTypeId,
      open: one.inTray && !one.renewed && !one.refitted,
      planned: one.planned,
      setAside: one.need === "arrived",
      need: one.need,
      sold: one.sold,
    })),
    mayGoOn,
    (partTypeId) => seats.find((one) => one.wantedPartTypeId === partTypeId)?.stock ?? null,
  );
