import type { Position } from "@/core/anatomy/types";

/** How a part lay when it came off, against how its model draws it; null where nobody said. */
export const lieIds = ["as-model", "turned"] as const;
export type Lies = (typeof lieIds)[number];

/** What was seen of a part as it came off. */
export interface Found {
  /** In somebody's words; empty when nobody said. */
  readonly orientation: string;
  readonly lies: Lies | null;
}

/** Nobody said how it lay. */
export const nothingFound: Found = { orientation: "", lies: null };

export interface WayRound {
  /** How the part goes back. */
  readonly goesBack: string;
  /** What was written of how it lay when that is another way than it goes back: evidence of an earlier hand or of wear, never an instruction. */
  readonly lay: string;
  /** It lay turned over, and goes back the model's way: caught, by a value and not by words. */
  readonly turnedOver: boolean;
}

const turnedWords = "upside down, left that way";

/**
 * How a part goes back. The model is the rule; how it was found decides only where the model says nothing, or leaves it to the reel.
 */
export function wayRound(position: Pick<Position, "orientation" | "asFound">, { orientation, lies }: Found): WayRound {
  const model = position.orientation ?? "";
  const written = orientation.trim();
  if (position.asFound) {
    const found = [lies === "turned" ? turnedWords : "", written === model ? "" : written].filter(Boolean).join(", ");
    return { goesBack: found && model ? `${model}: ${found}` : found || model, lay: "", turnedOver: false };
  }
  const turnedOver = lies === "turned";
  if (!written || written === model) return { goesBack: model, lay: "", turnedOver };
  if (!model) return { goesBack: written, lay: "", turnedOver };
  return { goesBack: model, lay: written, turnedOver };
}
