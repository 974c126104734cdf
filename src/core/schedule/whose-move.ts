/** Who must act next. The cut of a claim tag's corner shows it on the rack. */
export const moves = ["ours", "customer", "supplier", "shelf"] as const;
export type WhoseMove = (typeof moves)[number];

export const moveWords: Record<WhoseMove, string> = {
  ours: "ours",
  customer: "the customer's",
  supplier: "a supplier's",
  shelf: "on the shelf",
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

/**
 * The next reel to take down and why: of those whose move is ours the earliest promised, and among equals the shortest, because it frees
 * the rack soonest (earliest due date, Jackson 1955; ties by shortest work).
 */
export function nextToTakeDown<J extends RackJob>(jobs: readonly J[], today: string): { job: J; because: string } | null {
  const ours = jobs.filter((job) => job.move === "ours");
  const next = [...ours].sort((a, b) =>
    a.promisedOn < b.promisedOn ? -1 : a.promisedOn > b.promisedOn ? 1 : a.minutesLeft - b.minutesLeft,
  )[0];
  if (!next) return null;
  const sameDay = ours.filter((job) => job.promisedOn === next.promisedOn).length;
  const when =
    next.promisedOn < today ? "it is overdue" : next.promisedOn === today ? "it is due today" : "it is due first of the jobs waiting on us";
  return { job: next, because: sameDay > 1 ? `${when}, and it is the shortest of ${sameDay} due then` : when };
}
