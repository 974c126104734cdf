import { type LotAnswers, lotBoard } from "@/core/acts/lot/board";
import type { QueuedPress } from "@/ui/act/press-queue";

export type { LotAnswers };
export const lotPress = <R extends LotAnswers>(reels: readonly R[], press: QueuedPress): readonly R[] => lotBoard<R>()(reels, press);
