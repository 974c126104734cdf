import { freeInBin } from "@/core/ordering/free-in-bin";
import { fitsNow, type Waiting } from "./fits-now";

/** A seat that waits for its new piece, and what can be done to have one. */
export interface WantedSeat extends Waiting {
  /** On the needs list, ordered, or here; null where nobody asked. */
  readonly need: "open" | "ordered" | "arrived" | null;
  /** A supplier has it. */
  readonly sold: boolean;
}

/** What the main key of Parts does now. */
export type PartsKey =
  | { readonly what: "fit"; readonly positionIds: readonly string[] }
  | { readonly what: "order"; readonly positionIds: readonly string[] }
  /** Nobody sells it: a piece is found elsewhere. */
  | { readonly what: "elsewhere"; readonly positionId: string }
  /** All that is wanted is asked for, and some of it not here yet. */
  | { readonly what: "wait"; readonly count: number }
  | { readonly what: "ask-first" }
  | { readonly what: "on" };

/**
 * What comes next for the new pieces of a job: those that are here go in, those that are not are asked for, and what nobody sells comes from elsewhere.
 * @param mayGoOn the customer agreed to what it costs. @param stock of a part, as its bin has it.
 */
export function partsNow(
  seats: readonly WantedSeat[],
  mayGoOn: boolean,
  stock: (partTypeId: string) => { readonly count: number; readonly keptAside: number } | null,
): PartsKey {
  if (seats.length && !mayGoOn) return { what: "ask-first" };
  const here = fitsNow(seats, stock);
  if (here.length) return { what: "fit", positionIds: here };
  // Seats whose old piece is still in are met by the bins too, each piece once.
  const free = new Map<string, number>();
  const short = seats.filter(({ partTypeId, planned, need }) => {
    if (planned || need !== null) return false;
    const left = free.get(partTypeId) ?? freeInBin(stock(partTypeId));
    free.set(partTypeId, left - 1);
    return left < 1;
  });
  const order = short.filter(({ sold }) => sold);
  if (order.length) return { what: "order", positionIds: order.map(({ positionId }) => positionId) };
  const nowhere = short.find(({ open }) => open);
  if (nowhere) return { what: "elsewhere", positionId: nowhere.positionId };
  const coming = seats.filter(({ open, need }) => open && (need === "open" || need === "ordered"));
  return coming.length ? { what: "wait", count: coming.length } : { what: "on" };
}
