/** A new piece of a quote, and the kit it came in with. */
export interface KitPart {
  readonly positionId: string;
  readonly words: string;
  readonly priceMinor: number;
  readonly kit: { readonly id: string; readonly name: string } | null;
  readonly ours?: boolean;
}

/** A line of the quote: a piece of its own, or all of a kit. */
export interface PieceLine {
  readonly positionIds: readonly string[];
  readonly words: string;
  readonly priceMinor: number;
  /** Its id, where the line is a kit. */
  readonly kitId: string | null;
  readonly ours: boolean;
}

/** The new pieces as lines: a kit is one, where its first piece stands. A kit of which one piece is left is that piece. */
export function pieceLines(parts: readonly KitPart[]): PieceLine[] {
  const done = new Set<string>();
  return parts.flatMap(({ positionId, words, priceMinor, kit, ours }): PieceLine[] => {
    const own = kit ? parts.filter((other) => other.kit?.id === kit.id) : [];
    if (kit && own.length > 1) {
      if (done.has(kit.id)) return [];
      done.add(kit.id);
      return [
        {
          positionIds: own.map((one) => one.positionId),
          words: `${kit.name}, ${own.length} parts`,
          priceMinor: own.reduce((sum, one) => sum + one.priceMinor, 0),
          kitId: kit.id,
          ours: own.every((one) => one.ours === true),
        },
      ];
    }
    return [{ positionIds: [positionId], words, priceMinor, kitId: null, ours: ours === true }];
  });
}
