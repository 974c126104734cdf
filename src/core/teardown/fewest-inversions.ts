import { peel } from "@/core/anatomy/graph";

/** Most units a block is solved exactly for: a loose one of that size has a quarter of a million down-sets (2^18). */
export const largestExactBlock = 18;

export interface Arrangement {
  /** Item numbers, first in first. */
  readonly order: readonly number[];
  /** Pairs that stand the other way round than their numbers. */
  readonly inversions: number;
  /** Whether no other order has fewer; false where a block was too large to prove it. */
  readonly proven: boolean;
  /** Groups that could not be kept together, because something else has to come in between. */
  readonly broken: readonly number[];
}

/** Some items that move as one, in their inner order. */
type Unit = readonly number[];

/** How many pairs stand the other way round when all of `first` comes before all of `then`. */
const crossings = (first: Unit, then: Unit): number => {
  let count = 0;
  for (const a of first) for (const b of then) if (a > b) count++;
  return count;
};

/**
 * The order of items that keeps every precedence and has the fewest inversions against their own numbering.
 *
 * Fewest inversions under precedence is NP-hard in general (it is one-machine scheduling with precedence). Two things make it small here. Where
 * no precedence runs backwards across a cut of the numbering, both sides are solved by themselves, which is exact: putting the lower side
 * first breaks nothing and inverts nothing across. And a block that is left is solved by dynamic programming over its down-sets (Held & Karp
 * 1962), up to `largestExactBlock` units; a larger one by moving single units until none helps, and that is said.
 *
 * @param before by item, the items that must come first; they need not be all of them, what follows from them is followed.
 * @param groups items that are to stay together, each item in one group at most.
 * @throws RangeError when the precedences have a circle.
 */
export function fewestInversions(before: readonly ReadonlySet<number>[], groups: readonly (readonly number[])[] = []): Arrangement {
  const broken: number[] = [];
  for (;;) {
    const kept = groups.filter((_, g) => !broken.includes(g));
    const grouped = new Set(kept.flat());
    const units: Unit[] = [
      ...kept.filter((group) => group.length > 0).map((group) => innerOrder(before, group)),
      ...before.flatMap((_, item) => (grouped.has(item) ? [] : [[item]])),
    ].sort((a, b) => Math.min(...a) - Math.min(...b));
    const unitOf = new Map(units.flatMap((unit, u) => unit.map((item) => [item, u] as const)));
    const needs = units.map((unit, u) => {
      const set = new Set(unit.flatMap((item) => [...before[item]!].map((other) => unitOf.get(other)!)));
      set.delete(u);
      return set;
    });
    const waiting = inCircle(needs);
    if (!waiting) {
      const { order, proven } = arrange(units, needs);
      const items = order.flatMap((u) => units[u]!);
      return { order: items, inversions: inversionsOf(items), proven, broken };
    }
    // Something has to go in between: one of the groups in the circle is taken apart, and the rest tried again.
    const group = groups.findIndex((items, g) => !broken.includes(g) && items.length > 1 && waiting.has(unitOf.get(items[0]!)!));
    if (group < 0) throw new RangeError("fewestInversions: the precedences have a circle");
    broken.push(group);
  }
}

export function inversionsOf(order: readonly number[]): number {
  let count = 0;
  for (let i = 0; i < order.length; i++) for (let j = i + 1; j < order.length; j++) if (order[i]! > order[j]!) count++;
  return count;
}

/** The best order of a group's own items, as if nothing else were there. */
function innerOrder(before: readonly ReadonlySet<number>[], group: readonly number[]): Unit {
  const items = [...group].sort((a, b) => a - b);
  const place = new Map(items.map((item, i) => [item, i]));
  const within = items.map((item) => new Set([...before[item]!].flatMap((other) => place.get(other) ?? [])));
  return fewestInversions(within).order.map((i) => items[i]!);
}

/** The units that never become free, or null when all do. */
function inCircle(needs: readonly ReadonlySet<number>[]): ReadonlySet<number> | null {
  const { stuck } = peel(
    needs.map((_, u) => u),
    needs.flatMap((set, u) => [...set].map((other) => ({ before: other, after: u }))),
  );
  return stuck.size ? stuck : null;
}

/** Everything that must come before each unit, also by way of others. */
function closed(needs: readonly ReadonlySet<number>[]): Set<number>[] {
  const all = needs.map((set) => new Set(set));
  for (let changed = true; changed; ) {
    changed = false;
    for (const set of all)
      for (const other of [...set])
        for (const further of all[other]!)
          if (!set.has(further)) {
            set.add(further);
            changed = true;
          }
  }
  return all;
}

function arrange(units: readonly Unit[], needs: readonly ReadonlySet<number>[]): { order: number[]; proven: boolean } {
  const all = closed(needs);
  const highest = units.map((unit) => Math.max(...unit));
  const lowest = units.map((unit) => Math.min(...unit));
  const blocks: number[][] = [];
  let block: number[] = [];
  let top = -1;
  // The lowest cut that a unit below has to wait across, by way of whom it needs.
  let reach = -1;
  for (let u = 0; u < units.length; u++) {
    if (block.length && lowest[u]! > top && u > reach) {
      blocks.push(block);
      block = [];
    }
    block.push(u);
    top = Math.max(top, highest[u]!);
    reach = Math.max(reach, ...all[u]!);
  }
  if (block.length) blocks.push(block);
  const solved = blocks.map((members) =>
    members.length <= largestExactBlock
      ? { order: bySubsets(units, all, members), proven: true }
      : { order: byMoves(units, all, members), proven: false },
  );
  return { order: solved.flatMap(({ order }) => order), proven: solved.every(({ proven }) => proven) };
}

/** Exact: the cheapest way to finish from every down-set of a block, then forward along it, the lowest number first among equals. */
function bySubsets(units: readonly Unit[], needs: readonly ReadonlySet<number>[], block: readonly number[]): number[] {
  const n = block.length;
  if (n === 1) return [block[0]!];
  const place = new Map(block.map((u, i) => [u, i]));
  const need = block.map((u) => [...needs[u]!].reduce((mask, other) => (place.has(other) ? mask | (1 << place.get(other)!) : mask), 0));
  const cost = block.map((u) => block.map((v) => (u === v ? 0 : crossings(units[u]!, units[v]!))));
  const full = 2 ** n - 1;
  /** What putting in `i` next inverts: all that is still out and has a lower number. */
  const step = (set: number, i: number) => {
    let sum = 0;
    for (let j = 0; j < n; j++) if (j !== i && !(set & (1 << j))) sum += cost[i]![j]!;
    return sum;
  };
  const free = (set: number, i: number) => !(set & (1 << i)) && (need[i]! & ~set) === 0;
  // Only what can be reached from nothing is asked: of a strict block a few down-sets, of a loose one many.
  const known = new Int32Array(full + 1).fill(-1);
  known[full] = 0;
  const toGo = (set: number): number => {
    const before = known[set]!;
    if (before >= 0) return before;
    // The lowest that is still out is best put in as soon as it is free: in front of all others it inverts nothing.
    const lowest = block.findIndex((_, i) => !(set & (1 << i)));
    if (units[block[lowest]!]!.length === 1 && free(set, lowest)) {
      known[set] = toGo(set | (1 << lowest));
      return known[set]!;
    }
    let best = Number.POSITIVE_INFINITY;
    for (let i = 0; i < n; i++) if (free(set, i)) best = Math.min(best, toGo(set | (1 << i)) + step(set, i));
    known[set] = best;
    return best;
  };
  const order: number[] = [];
  for (let set = 0; set !== full; ) {
    let next = -1;
    for (let i = 0; i < n && next < 0; i++) if (free(set, i) && toGo(set | (1 << i)) + step(set, i) === toGo(set)) next = i;
    order.push(block[next]!);
    set |= 1 << next;
  }
  return order;
}

/** Not proven: the free unit nearest to the numbering first, then single units moved until no move helps. */
function byMoves(units: readonly Unit[], needs: readonly ReadonlySet<number>[], block: readonly number[]): number[] {
  const order: number[] = [];
  const inside = new Set(block);
  const done = new Set<number>();
  while (order.length < block.length) {
    const next = block.find((u) => !done.has(u) && [...needs[u]!].every((other) => !inside.has(other) || done.has(other)))!;
    done.add(next);
    order.push(next);
  }
  const gain = (u: number, v: number) => crossings(units[u]!, units[v]!) - crossings(units[v]!, units[u]!);
  for (let better = true; better; ) {
    better = false;
    for (let at = 0; at < order.length; at++) {
      const unit = order[at]!;
      let [best, bestAt] = [0, at];
      // Past the ones before it, as far as it needs none of them.
      for (let to = at - 1, sum = 0; to >= 0 && !needs[unit]!.has(order[to]!); to--) {
        sum += gain(order[to]!, unit);
        if (sum > best) [best, bestAt] = [sum, to];
      }
      // Past the ones after it, as far as none of them needs it.
      for (let to = at + 1, sum = 0; to < order.length && !needs[order[to]!]!.has(unit); to++) {
        sum += gain(unit, order[to]!);
        if (sum > best) [best, bestAt] = [sum, to];
      }
      if (bestAt === at) continue;
      order.splice(at, 1);
      order.splice(bestAt, 0, unit);
      better = true;
    }
  }
  return order;
}
