import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fewestInversions, inversionsOf, largestExactBlock } from "./fewest-inversions";

/** Random precedences without a circle: each item waits for some that come before it in a hidden order. */
const precedences = (most: number) =>
  fc.integer({ min: 1, max: most }).chain((n) =>
    fc
      .tuple(
        fc.shuffledSubarray(
          Array.from({ length: n }, (_, i) => i),
          { minLength: n },
        ),
        fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: 2 * n }),
      )
      .map(([hidden, pairs]) => {
        const before = Array.from({ length: n }, () => new Set<number>());
        for (const [a, b] of pairs) if (a !== b) before[hidden[Math.max(a, b)]!]!.add(hidden[Math.min(a, b)]!);
        return before;
      }),
  );

/** Every order that keeps the precedences; the fewest inversions among them. Exhaustive, for small cases. */
function exhaustive(before: readonly ReadonlySet<number>[], together: readonly number[] = []): number {
  let best = Number.POSITIVE_INFINITY;
  const order: number[] = [];
  const used = new Set<number>();
  const go = () => {
    if (order.length === before.length) {
      const places = together.map((item) => order.indexOf(item));
      if (!places.length || Math.max(...places) - Math.min(...places) === places.length - 1) best = Math.min(best, inversionsOf(order));
      return;
    }
    for (let item = 0; item < before.length; item++) {
      if (used.has(item) || [...before[item]!].some((other) => !used.has(other))) continue;
      used.add(item);
      order.push(item);
      go();
      order.pop();
      used.delete(item);
    }
  };
  go();
  return best;
}

const keeps = (order: readonly number[], before: readonly ReadonlySet<number>[]) =>
  before.every((needs, item) => [...needs].every((other) => order.indexOf(other) < order.indexOf(item)));

describe("the order with the fewest inversions", () => {
  it("keeps every precedence and is as good as trying all of them", () => {
    fc.assert(
      fc.property(precedences(7), (before) => {
        const { order, inversions, proven } = fewestInversions(before);
        expect([...order].sort((a, b) => a - b)).toEqual(before.map((_, i) => i));
        expect(keeps(order, before)).toBe(true);
        expect(inversions).toBe(inversionsOf(order));
        expect(proven).toBe(true);
        expect(inversions).toBe(exhaustive(before));
      }),
    );
  });

  it("is the numbering itself exactly where nothing runs against it", () => {
    fc.assert(
      fc.property(precedences(40), (before) => {
        const forward = before.map((needs, item) => new Set([...needs].filter((other) => other < item)));
        expect(fewestInversions(forward)).toEqual({ order: before.map((_, i) => i), inversions: 0, proven: true, broken: [] });
      }),
    );
  });

  it("solves a cut numbering block by block: two halves apart are two answers beside each other", () => {
    fc.assert(
      fc.property(precedences(6), precedences(6), (one, two) => {
        const both = [...one, ...two.map((needs) => new Set([...needs].map((i) => i + one.length)))];
        const [a, b, whole] = [fewestInversions(one), fewestInversions(two), fewestInversions(both)];
        expect(whole.order).toEqual([...a.order, ...b.order.map((i) => i + one.length)]);
        expect(whole.inversions).toBe(a.inversions + b.inversions);
      }),
    );
  });

  it("says when a block was too large to prove, keeps every precedence there, and is no worse than the plain greedy order", () => {
    const n = largestExactBlock + 20;
    fc.assert(
      fc.property(precedences(n), (some) => {
        // The last must be first: one block, whatever else there is.
        const before = some.map((needs, i) => (i === 0 ? new Set([some.length - 1]) : needs));
        before[before.length - 1] = new Set();
        if (before.length < n) return;
        const loose = before.map((needs, i) => (i === 0 ? needs : new Set([...needs].filter((other) => other < i && other !== 0))));
        const { order, proven, inversions } = fewestInversions(loose);
        expect(keeps(order, loose)).toBe(true);
        expect(proven).toBe(false);
        // Greedy: always the lowest that is free.
        const greedy: number[] = [];
        while (greedy.length < loose.length)
          greedy.push(loose.findIndex((needs, i) => !greedy.includes(i) && [...needs].every((other) => greedy.includes(other))));
        expect(inversions).toBeLessThanOrEqual(inversionsOf(greedy));
      }),
      { numRuns: 30 },
    );
  });

  it("gets by moves where the greedy order does not: to what is reckoned by hand for the last before the first few", () => {
    const n = largestExactBlock + 12;
    for (const few of [2, 3, 5]) {
      const before = Array.from({ length: n }, (_, i) => new Set<number>(i < few ? [n - 1] : []));
      const { order, inversions, proven } = fewestInversions(before);
      // Every other item has the last before it, or all the few behind it: one inversion each at least, and one for each of the few.
      expect(inversions).toBe(n - 1);
      expect(keeps(order, before)).toBe(true);
      expect(proven).toBe(false);
    }
  });

  it("keeps a group together at the least cost, as trying all orders with it together", () => {
    fc.assert(
      fc.property(precedences(6), fc.nat(), fc.nat(), (before, from, size) => {
        const items = before.map((_, i) => i);
        const group = items.slice(from % items.length, (from % items.length) + 2 + (size % 2));
        if (group.length < 2) return;
        const { order, inversions, broken } = fewestInversions(before, [group]);
        expect(keeps(order, before)).toBe(true);
        if (broken.length) {
          expect(inversions).toBe(exhaustive(before));
          return;
        }
        const places = group.map((item) => order.indexOf(item));
        expect(Math.max(...places) - Math.min(...places)).toBe(group.length - 1);
        expect(inversions).toBe(exhaustive(before, group));
      }),
    );
  });

  it("takes a group apart where something has to come in between", () => {
    // 0 and 2 belong together, 1 needs 0 and 2 needs 1.
    const before = [new Set<number>(), new Set([0]), new Set([1])];
    expect(fewestInversions(before, [[0, 2]])).toEqual({ order: [0, 1, 2], inversions: 0, proven: true, broken: [0] });
  });

  it("refuses a circle", () => {
    expect(() => fewestInversions([new Set([1]), new Set([0])])).toThrow(RangeError);
  });
});
