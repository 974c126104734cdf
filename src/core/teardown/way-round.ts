import type { Position } from "@/core/anatomy/types";

/** A model's words for a seat whose way round is the reel's own: "thick end as found". */
const asFound = /\bas (found|it came|it sat)\b|the way it sat|the customer had/i;

export interface WayRound {
  /** How the part goes back. */
  readonly goesBack: string;
  /** How it lay when that was another way than it goes back: evidence of an earlier hand or of wear, never an instruction. */
  readonly lay: string;
}

/**
 * How a part goes back. The model is the rule; how it was found decides only where the model says nothing, or says "as found".
 * @param found what somebody noted of it as it came off; empty when nobody said.
 */
export function wayRound(position: Pick<Position, "orientation">, found: string): WayRound {
  const model = position.orientation ?? "";
  const said = found.trim();
  if (!said || said === model) return { goesBack: model, lay: "" };
  if (!model) return { goesBack: said, lay: "" };
  // The model leaves it to the reel: what was found stands beside its words.
  if (asFound.test(model)) return { goesBack: `${model}: ${said}`, lay: "" };
  return { goesBack: model, lay: said };
}
