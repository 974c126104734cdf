import type { PartType } from "./types";

/** Which way a thread climbs; where nobody says, to the right as nearly all do. */
export type ThreadHand = "right" | "left";

/**
 * How the thread of a part turns on this reel. What was found on it is the evidence; the model is the rule where nobody looked.
 * @param found as somebody noted it when it came off; null where nobody did.
 */
export const threadOf = (type: Pick<PartType, "thread"> | null | undefined, found: ThreadHand | null = null): ThreadHand =>
  found ?? type?.thread ?? "right";

/** It loosens clockwise and goes home anticlockwise. */
export const isLeftHand = (type: Pick<PartType, "thread"> | null | undefined, found: ThreadHand | null = null): boolean =>
  threadOf(type, found) === "left";
