import { boardOf, shows } from "@/core/acts/act/board";
import { kindWords } from "@/core/anatomy/shapes";
import type { ExpectedPiece } from "@/core/families/expected-pieces";
import { type LooseWell, looseBack, looseTaken } from "@/core/families/loose-tray";
import { loosePutBack } from "./loose-put-back";
import { looseTake } from "./loose-take";

export interface LoosePart extends LooseWell {
  readonly name: string;
  /** Its name, or what its family or its kind calls it. */
  readonly label: string;
  readonly photoHash: string | null;
  readonly inPlace: string | null;
  /** It has its seat in the schematic by now. */
  readonly seated: boolean;
}

/**
 * A tray without a drawing. A press says which well it began with, or ended with when it is undone: one that the tray has already changes nothing.
 */
export const looseBoard = (pieces: readonly ExpectedPiece[]) =>
  boardOf<readonly LoosePart[]>([
    shows(loosePutBack, (tray, { well }) => ((tray.at(-1)?.well ?? 0) === well ? looseBack(tray) : tray)),
    shows(looseTake, (tray, { well = 0, ...take }) => {
      if ((tray.at(-1)?.well ?? 0) >= well) return tray;
      const label = pieces.find(({ id }) => id === take.pieceId)?.name ?? kindWords[take.kind];
      const taken = looseTaken(tray, pieces, take) ?? [];
      return [...tray, ...taken.map((one) => ({ ...one, name: "", label, photoHash: null, inPlace: null, seated: false }))];
    }),
  ]);
