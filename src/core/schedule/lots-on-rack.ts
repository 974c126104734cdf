import { moves, type RackJob } from "./whose-move";

/** What hangs on the rail as one: a reel by itself, or all of a lot that is still here. */
export interface RackUnit<J> extends RackJob {
  readonly lotId: number | null;
  readonly jobs: readonly J[];
}

/**
 * Hangs the reels of a lot as one tag: its day is the earliest of theirs, its length the sum of their work, and it is ours to move while any of
 * them is. Units keep the place of their first reel.
 */
export function unitsOfRack<J extends RackJob>(jobs: readonly J[], lotOf: (job: J) => number | null): RackUnit<J>[] {
  const byLot = new Map<string, J[]>();
  for (const job of jobs) {
    const lot = lotOf(job);
    const key = lot === null ? job.tag : `lot-${lot}`;
    byLot.set(key, [...(byLot.get(key) ?? []), job]);
  }
  return [...byLot].map(([tag, of]) => ({
    tag,
    lotId: lotOf(of[0]!),
    jobs: of,
    promisedOn: of.map((job) => job.promisedOn).sort()[0]!,
    move: moves.find((move) => of.some((job) => job.move === move))!,
    minutesLeft: of.reduce((sum, job) => sum + job.minutesLeft, 0),
  }));
}
