import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { drawAt } from "@/core/promise/draws";
import { cheapestPairs, consensusOf, consensusParts } from "./consensus";
import type { LoosePart } from "./guess-anatomy";

const part = (well: number, kind: LoosePart["kind"], name = "", change: Partial<LoosePart> = {}): LoosePart => ({
  well,
  kind,
  name,
  ...change,
});

describe("the cheapest pairing", () => {
  it("is that of the textbooks: 3 × 3 with optimum 5 (Kuhn's method), and equals trying all", () => {
    const cost = [
      [4, 1, 3],
      [2, 0, 5],
      [3, 2, 2],
    ];
    const pairs = cheapestPairs(cost, 100);
    expect(pairs.reduce((sum, column, row) => sum + cost[row]![column]!, 0)).toBe(5);
    const all = (rows: number, columns: number[]): number[][] =>
      rows === 0
        ? [[]]
        : [-1, ...columns].flatMap((c) =>
            all(
              rows - 1,
              columns.filter((other) => other !== c || c === -1),
            ).map((rest) => [...rest, c]),
          );
    for (let trial = 0; trial < 40; trial++) {
      const [n, m] = [2 + (trial % 3), 2 + (trial % 4)];
      const drawn = Array.from({ length: n }, (_, i) => Array.from({ length: m }, (_, j) => 10 * drawAt(5, trial, i, j)));
      const price = (found: readonly number[]) => found.reduce((sum, column, row) => sum + (column < 0 ? 4 : drawn[row]![column]!), 0);
      const best = Math.min(
        ...all(
          n,
          Array.from({ length: m }, (_, j) => j),
        ).map(price),
      );
      expect(price(cheapestPairs(drawn, 4))).toBeCloseTo(best, 9);
    }
  });
});

describe("several teardowns of one reel type", () => {
  it("agree on what all had, say how sure each seat is, and where hands differed", () => {
    const first = [part(1, "screw", "cap screw"), part(2, "cap", "cap"), part(3, "washer", "brass shim"), part(4, "gear", "main gear")];
    const second = [part(1, "screw"), part(2, "cap", "cap"), part(3, "gear", "main gear"), part(4, "friction-washer", "brass shim")];
    const third = [part(1, "cap", "Cap"), part(2, "screw", "cap screw"), part(3, "gear")];
    const { seats, turned, teardowns } = consensusOf([first, second, third]);
    expect(teardowns).toBe(3);
    expect(seats).toHaveLength(4);
    const named = Object.fromEntries(seats.map((seat) => [seat.part.name.toLowerCase(), seat]));
    expect(named["brass shim"]).toMatchObject({ seen: 2 });
    expect(named["brass shim"]!.kinds.map(({ kind }) => kind).sort()).toEqual(["friction-washer", "washer"]);
    expect(named["main gear"]!.seen).toBe(3);
    expect(named["main gear"]!.sure).toBeGreaterThan(named["brass shim"]!.sure);
    // The third hand took the cap before its screw, the second the gear before the shim.
    expect(turned.map(({ hands, of }) => [hands, of])).toEqual(
      expect.arrayContaining([
        [2, 3],
        [1, 2],
      ]),
    );
  });

  it("gets the machine back from five hands that forget, misname and take in another order", () => {
    for (const family of ["spinning", "star-drag-bridge", "baitcaster-low-profile"] as const) {
      const { anatomy, parts } = families[family];
      const types = new Map(parts.map((type) => [type.id, type]));
      const truth = anatomy.positions.map((position, i) => ({
        id: position.id,
        ...part(i + 1, types.get(position.partTypeId)!.shape.kind, position.name),
      }));
      const kinds = [...new Set(truth.map(({ kind }) => kind))];
      const hands = Array.from({ length: 5 }, (_, hand) => {
        const draw = (i: number, what: number) => drawAt(17, hand, i, what);
        const order = truth.map((one, i) => ({ one, at: i + 3 * (draw(i, 0) - 0.5) })).sort((a, b) => a.at - b.at);
        return order
          .filter((_, i) => draw(i, 1) > 0.05)
          .map(({ one }, i) => ({
            id: one.id,
            part: part(
              i + 1,
              draw(i, 2) < 0.05 ? kinds[Math.floor(draw(i, 3) * kinds.length)]! : one.kind,
              draw(i, 4) < 0.6 ? one.name : "",
            ),
          }));
      });
      const consensus = consensusOf(hands.map((hand) => hand.map((one) => one.part)));
      const kept = consensusParts(consensus);
      expect(Math.abs(kept.length - truth.length), family).toBeLessThanOrEqual(Math.ceil(0.04 * truth.length));
      // Which truth each seat mostly holds; parts that are alike in kind and without a name may stand for each other.
      let [right, all] = [0, 0];
      for (const seat of consensus.seats) {
        const held = seat.places.flatMap((at, hand) => (at === null ? [] : [truth.find(({ id }) => id === hands[hand]![at - 1]!.id)!]));
        const most = Math.max(...held.map((one) => held.filter((other) => other.kind === one.kind).length));
        right += most;
        all += held.length;
      }
      expect(right / all, family).toBeGreaterThan(0.9);
    }
  });

  it("is one teardown where there is one, and nothing where there is none", () => {
    const one = [part(1, "screw"), part(2, "cap")];
    expect(consensusParts(consensusOf([one])).map(({ kind }) => kind)).toEqual(["screw", "cap"]);
    expect(consensusOf([]).seats).toEqual([]);
  });
});
