import { type Duration, drawAt, durationOf } from "./draws";

/** A job for hands that are free now: what its work takes, when it is late, and what a day late weighs. */
export interface JobInOrder {
  readonly key: number;
  /** Its pieces of work, one after the other. */
  readonly work: readonly Duration[];
  /** Day number after which it is late. */
  readonly due: number;
  readonly weight: number;
}

/** Up to so many jobs every order is weighed (by sets: Held and Karp 1962). */
export const weighedUpTo = 12;

/** Draws each job's work so many times, by its own key: orders meet the same luck. */
const drawn = (jobs: readonly JobInOrder[], seed: number, draws: number): Float64Array[] =>
  jobs.map(({ key, work }) =>
    Float64Array.from({ length: draws }, (_, run) =>
      work.reduce((sum, piece, i) => sum + durationOf(piece, drawAt(seed, run, key, 2 * i), drawAt(seed, run, key, 2 * i + 1)), 0),
    ),
  );

/**
 * The order of jobs for one pair of hands in which the least weighted lateness is expected (1 || sum of w T, over draws of the work). Exact: the
 * lateness of a job depends only on which jobs went before it, so sets are weighed, not orders.
 * @param dayOf the day on which work is done that ends after so many minutes of work from now; rises with them.
 * @throws RangeError above twelve jobs.
 */
export function orderExactly(
  jobs: readonly JobInOrder[],
  dayOf: (workMinutes: number) => number,
  { seed, draws }: { readonly seed: number; readonly draws: number },
): { readonly order: number[]; readonly late: number } {
  if (jobs.length > weighedUpTo) throw new RangeError(`orderExactly: ${jobs.length} jobs, at most ${weighedUpTo} are weighed`);
  const n = jobs.length;
  const works = drawn(jobs, seed, draws);
  const sets = 1 << n;
  const least = new Float64Array(sets).fill(Number.POSITIVE_INFINITY);
  const last = new Int8Array(sets).fill(-1);
  least[0] = 0;
  for (let set = 1; set < sets; set++) {
    let late = new Float64Array(0);
    // When the set is done, run by run: the same whichever of it is last.
    const done = new Float64Array(draws);
    for (let j = 0; j < n; j++) if (set & (1 << j)) for (let run = 0; run < draws; run++) done[run]! += works[j]![run]!;
    late = done.map(dayOf);
    for (let j = 0; j < n; j++) {
      if (!(set & (1 << j))) continue;
      let own = 0;
      for (let run = 0; run < draws; run++) own += Math.max(0, late[run]! - jobs[j]!.due);
      const cost = least[set ^ (1 << j)]! + (jobs[j]!.weight * own) / draws;
      if (cost < least[set]! - 1e-12) {
        least[set] = cost;
        last[set] = j;
      }
    }
  }
  const order: number[] = [];
  for (let set = sets - 1; set; set ^= 1 << order[0]!) order.unshift(last[set]!);
  return { order, late: least[sets - 1]! };
}

/** Lateness expected of an order, for as many pairs of hands: whoever is free takes the next. */
export function latenessOf(
  order: readonly number[],
  jobs: readonly JobInOrder[],
  works: readonly Float64Array[],
  hands: number,
  dayOf: (workMinutes: number) => number,
): number {
  const draws = works[0]?.length ?? 0;
  let late = 0;
  const free = new Float64Array(hands);
  for (let run = 0; run < draws; run++) {
    free.fill(0);
    for (const j of order) {
      let who = 0;
      for (let hand = 1; hand < hands; hand++) if (free[hand]! < free[who]!) who = hand;
      free[who]! += works[j]![run]!;
      const days = dayOf(free[who]!) - jobs[j]!.due;
      if (days > 0) late += jobs[j]!.weight * days;
    }
  }
  return draws ? late / draws : 0;
}

/**
 * Improves an order by moves: one job taken out and put in elsewhere, or two changed over, whatever costs less; stuck, the best order is shaken
 * and the walk begins again. Repeatable by its seed.
 * @param cost of an order, in any unit. @returns the best order met; nothing says that none is better.
 */
export function improveOrder(
  start: readonly number[],
  cost: (order: readonly number[]) => number,
  { seed, moves }: { readonly seed: number; readonly moves: number },
): { order: number[]; cost: number } {
  const n = start.length;
  let now = [...start];
  let costNow = cost(now);
  let best = { order: now, cost: costNow };
  let sinceBetter = 0;
  const draw = (step: number, what: number, below: number) => Math.min(below - 1, Math.floor(drawAt(seed, step, what) * below));
  for (let step = 0; n > 1 && step < moves && best.cost > 0; step++) {
    const next = [...now];
    const from = draw(step, 1, n);
    const to = draw(step, 2, n);
    if (drawAt(seed, step, 3) < 0.5) next.splice(to, 0, ...next.splice(from, 1));
    else [next[from], next[to]] = [next[to]!, next[from]!];
    const costNext = cost(next);
    if (costNext <= costNow) {
      if (costNext < costNow) sinceBetter = 0;
      [now, costNow] = [next, costNext];
      if (costNow < best.cost) best = { order: now, cost: costNow };
    }
    if (++sinceBetter > 30 * n) {
      sinceBetter = 0;
      now = [...best.order];
      for (let shake = 0; shake < 3; shake++) {
        const a = draw(step, 10 + shake, n);
        const b = draw(step, 20 + shake, n);
        now.splice(b, 0, ...now.splice(a, 1));
      }
      costNow = cost(now);
    }
  }
  return best;
}

export interface OrderOfWork {
  /** Places of the jobs, the first one first. */
  readonly order: readonly number[];
  /** Weighted days late that are expected, in this order and by the promised days alone. */
  readonly late: number;
  readonly lateByPromise: number;
  /** Every order was weighed; else it was improved by moves and nothing says that none is better. */
  readonly exact: boolean;
}

const draws = 48;
/** Moves tried, fewer where each costs more. */
const movesFor = (jobs: number) => Math.min(3000, Math.ceil(120_000 / jobs));

/** The order in which the least weighted lateness is expected: weighed exactly where one pair of hands has up to twelve jobs, else improved by moves. */
export function orderOfWork(
  jobs: readonly JobInOrder[],
  { hands, dayOf, seed }: { readonly hands: number; readonly dayOf: (workMinutes: number) => number; readonly seed: number },
): OrderOfWork {
  const works = drawn(jobs, seed, draws);
  const mean = works.map((each) => each.reduce((sum, one) => sum + one, 0) / draws);
  // By promised day (Jackson 1955), the shorter first among equals: what a bench does that reckons with nothing else.
  const byPromise = jobs.map((_, j) => j).sort((a, b) => jobs[a]!.due - jobs[b]!.due || mean[a]! - mean[b]!);
  const cost = (order: readonly number[]) => latenessOf(order, jobs, works, Math.max(1, hands), dayOf);
  const lateByPromise = cost(byPromise);
  // Where nothing is late there is nothing to gain by another order.
  if (lateByPromise === 0 || jobs.length < 2) return { order: byPromise, late: lateByPromise, lateByPromise, exact: true };
  if (hands <= 1 && jobs.length <= weighedUpTo) {
    const { order, late } = orderExactly(jobs, dayOf, { seed, draws });
    return late < lateByPromise - 1e-9
      ? { order, late, lateByPromise, exact: true }
      : { order: byPromise, late: lateByPromise, lateByPromise, exact: true };
  }
  const { order, cost: late } = improveOrder(byPromise, cost, { seed, moves: movesFor(jobs.length) });
  return { order, late, lateByPromise, exact: false };
}
