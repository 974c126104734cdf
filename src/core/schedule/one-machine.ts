export interface HeadedJob {
  /** Earliest it can start. */
  readonly head: number;
  readonly work: number;
  /** What it still takes by itself once the work is done. */
  readonly tail: number;
}

/** Up to this many jobs every order is tried. */
const triedUpTo = 10;

/**
 * The order of jobs with heads and tails on one machine that is over soonest (1 | r, q | Cmax, Carlier 1982). NP-hard in general, small here:
 * every order is tried with the best so far as a bound, the first ones by Schrage's rule (what can start; of those the longest tail).
 * @param from when the machine is free. @returns job indices in order, and when the last tail ends. @throws RangeError above ten jobs.
 */
export function oneMachine(jobs: readonly HeadedJob[], from = 0): { order: number[]; done: number } {
  if (jobs.length > triedUpTo) throw new RangeError(`oneMachine: ${jobs.length} jobs, at most ${triedUpTo} are tried`);
  let best: { order: number[]; done: number } = { order: [], done: jobs.length ? Number.POSITIVE_INFINITY : from };
  const walk = (order: number[], at: number, done: number) => {
    const left = jobs.map((_, i) => i).filter((i) => !order.includes(i));
    if (!left.length) {
      if (done < best.done) best = { order, done };
      return;
    }
    // No order of the rest ends before each of them alone, nor before all their work and the shortest tail.
    const start = Math.max(at, Math.min(...left.map((i) => jobs[i]!.head)));
    const all = start + left.reduce((sum, i) => sum + jobs[i]!.work, 0) + Math.min(...left.map((i) => jobs[i]!.tail));
    const alone = Math.max(...left.map((i) => Math.max(at, jobs[i]!.head) + jobs[i]!.work + jobs[i]!.tail));
    if (Math.max(done, all, alone) >= best.done) return;
    left.sort((a, b) => Math.max(at, jobs[a]!.head) - Math.max(at, jobs[b]!.head) || jobs[b]!.tail - jobs[a]!.tail);
    for (const i of left) {
      const end = Math.max(at, jobs[i]!.head) + jobs[i]!.work;
      walk([...order, i], end, Math.max(done, end + jobs[i]!.tail));
    }
  };
  walk([], from, from);
  return best;
}
