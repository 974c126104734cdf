import type { Observation } from "@/core/proving/observation";

/**
 * Answers that hold of the reel as it is now: all from before the work, and of those after it what was asked since the last piece went in. A piece
 * that went in later, or a reel that was opened again, takes back what was proved before.
 * @param lastBefore number of the newest answer there was when the last piece went in; 0 where none came off.
 */
export const stillHold = <A extends Pick<Observation, "id" | "phase">>(answers: readonly A[], lastBefore: number): A[] =>
  answers.filter(({ id, phase }) => phase === "before" || id > lastBefore);
