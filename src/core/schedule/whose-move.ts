/** Who must act next. The cut of a claim tag's corner shows it on the rack. */
export const moves = ["ours", "customer", "supplier", "shelf"] as const;
export type WhoseMove = (typeof moves)[number];

export const moveWords: Record<WhoseMove, string> = {
  ours: "us",
  customer: "customer",
  supplier: "supplier",
  shelf: "ready to collect",
};

export interface JobState {
  readonly ready: boolean;
  readonly waitsForAnswer: boolean;
  readonly openNeeds: number;
}

/** Ready waits for nobody; an unanswered quote waits for the customer; parts on order wait for the supplier; else it is ours. */
export function whoseMove(state: JobState): WhoseMove {
  if (state.ready) return "shelf";
  if (state.waitsForAnswer) return "customer";
  if (state.openNeeds > 0) return "supplier";
  return "ours";
}

export interface RackJob {
  readonly tag: string;
  readonly promisedOn: string;
  readonly move: WhoseMove;
  readonly minutesLeft: number;
}
