import { kindWords } from "@/core/anatomy/shapes";
import type { ExpectedPiece } from "@/core/families/expected-pieces";
import { type LooseTake, type LooseWell, looseBack, looseTaken } from "@/core/families/loose-tray";
import type { QueuedPress } from "@/ui/act/press-queue";

export interface LoosePart extends LooseWell {
  readonly name: string;
  /** Its name, or what its family or its kind calls it. */
  readonly label: string;
  readonly photoHash: string | null;
  readonly inPlace: string | null;
}

/**
 * Takes one press on a tray without a drawing as the server will. The press says which well it began with, or ended with when it is undone: one
 * that the tray has already changes nothing.
 */
export const loosePress =
  (pieces: readonly ExpectedPiece[]) =>
  (tray: readonly LoosePart[], press: QueuedPress): readonly LoosePart[] => {
    const { well, ...take } = press.input as LooseTake & { readonly well: number };
    const last = tray.at(-1)?.well ?? 0;
    if (press.act === "loose-put-back") return last === well ? looseBack(tray) : tray;
    if (press.act !== "loose-take" || last >= well) return tray;
    const label = pieces.find(({ id }) => id === take.pieceId)?.name ?? kindWords[take.kind];
    const taken = looseTaken(tray, pieces, take) ?? [];
    return [...tray, ...taken.map((one) => ({ ...one, name: "", label, photoHash: null, inPlace: null }))];
  };
