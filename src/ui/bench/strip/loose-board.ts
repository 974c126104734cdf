import { type LoosePart, looseBoard } from "@/core/acts/strip/loose-board";
import type { QueuedPress } from "@/ui/act/press-queue";

export type { LoosePart };
export const loosePress: (
  pieces: Parameters<typeof looseBoard>[0],
) => (tray: readonly LoosePart[], press: QueuedPress) => readonly LoosePart[] = looseBoard;
