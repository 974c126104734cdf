import { freeInBin } from "@/core/ordering/free-in-bin";

/** A seat that waits for its new piece. */
export interface Waiting {
  readonly positionId: string;
  readonly partTypeId: string;
  /** The old one is off, and the new one does not lie there yet. */
  readonly open: boolean;
  /** A piece from elsewhere is planned for it. */
  readonly planned: boolean;
  /** One was put aside for this very seat. */
  readonly setAside: boolean;
}

/**
 * The seats whose new pieces are here: planned from elsewhere, put aside, or free in the bin, each piece counted once and in the order of the seats.
 * @param stock of a part, as its bin has it.
 */
export function fitsNow(
  seats: readonly Waiting[],
  stock: (partTypeId: string) => { readonly count: number; readonly keptAside: number } | null,
): string[] {
  const left = new Map<string, number>();
  return seats.flatMap(({ positionId, partTypeId, open, planned, setAside }) => {
    if (!open) return [];
    if (planned || setAside) return [positionId];
    const free = left.get(partTypeId) ?? freeInBin(stock(partTypeId));
    if (free < 1) return [];
    left.set(partTypeId, free - 1);
    return [positionId];
  });
}
