import { type Answers, testBoard } from "@/core/acts/test/board";
import type { QueuedPress } from "@/ui/act/press-queue";

export type { Answers };
export const testPress: (answers: Answers, press: QueuedPress) => Answers = testBoard;
