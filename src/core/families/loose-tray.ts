import type { PartKind } from "@/core/anatomy/shapes";
import type { Assembly } from "@/core/anatomy/types";
import { type ExpectedPiece, usualCount } from "./expected-pieces";

/** A part off a reel that no drawing knows, in its well. */
export interface LooseWell {
  readonly well: number;
  readonly kind: PartKind;
  /** Which of its family's usual seats it sat in; null for a piece the family does not know. */
  readonly seat: string | null;
  readonly side: Assembly["side"] | null;
  /** Wells taken in one press share the number of the first; 0 for one alone of long ago. */
  readonly act: number;
}

export interface LooseTake {
  readonly kind: PartKind;
  /** A usual piece of the family; without it, a part of this kind. */
  readonly pieceId?: string | null;
  /** How many; where nobody says, all of a ring of screws, one of anything else. */
  readonly count?: number | null;
  readonly side?: Assembly["side"] | null;
}

type Tray = readonly Pick<LooseWell, "well" | "seat">[];

/** A piece's seats that nothing has come out of yet. */
export function seatsLeft({ seats }: ExpectedPiece, tray: Tray): string[] {
  const gone = new Set(tray.map(({ seat }) => seat));
  return seats.filter((seat) => !gone.has(seat));
}

/**
 * The wells one press fills. More of a piece than its family has are pieces of the same kind, beside it.
 * @returns null for a piece the family does not have.
 */
export function looseTaken(tray: Tray, pieces: readonly ExpectedPiece[], take: LooseTake): LooseWell[] | null {
  const { pieceId = null, count: said = null, side = null } = take;
  const piece = pieceId === null ? null : pieces.find(({ id }) => id === pieceId);
  if (piece === undefined) return null;
  const left = piece ? seatsLeft(piece, tray) : [];
  const first = Math.max(0, ...tray.map(({ well }) => well)) + 1;
  return Array.from({ length: said ?? (piece ? usualCount(piece, left.length) : 1) }, (_, n) => ({
    well: first + n,
    kind: piece?.kind ?? take.kind,
    seat: left[n] ?? null,
    side: side ?? piece?.side ?? null,
    act: first,
  }));
}

/** The tray without what the last press took, or without its last where that lay there before presses were told apart. */
export function looseBack<W extends Pick<LooseWell, "well" | "act">>(tray: readonly W[]): W[] {
  const last = tray.at(-1);
  return tray.filter((one) => one.well !== last?.well && !(one.act > 0 && one.act === last?.act));
}
