import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { crosswise, screwRing } from "./screw-ring";

const { anatomy, parts } = families["star-drag-bridge"];
const types = new Map(parts.map((part) => [part.id, part]));
const operation = (id: string) => anatomy.operations.find((one) => one.id === id)!;

describe("screws drawn crosswise", () => {
  // The star pattern of bolted flanges, from memory.
  it.each([
    [4, [0, 2, 1, 3]],
    [6, [0, 3, 1, 4, 2, 5]],
    [8, [0, 4, 1, 5, 2, 6, 3, 7]],
    [3, [0, 2, 1]],
    [1, [0]],
    [0, []],
  ])("%i: %j", (count, order) => expect(crosswise(count)).toEqual(order));

  it("never draws two neighbours one after the other where there is a way round it", () => {
    for (let n = 5; n <= 12; n++) {
      const order = crosswise(n);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i));
      for (let i = 1; i < n; i++) {
        const apart = Math.abs(order[i]! - order[i - 1]!);
        expect(Math.min(apart, n - apart), `${n}: ${order}`).toBeGreaterThanOrEqual(2);
      }
    }
  });

  it("finds the screws of a plate for a tightening and for each of its screws", () => {
    const ring = screwRing(anatomy, types, { operation: operation("tighten-bridge"), position: null });
    expect(ring.map(({ positionId }) => positionId).sort()).toEqual([
      "bridge-screw-low-front",
      "bridge-screw-low-rear",
      "bridge-screw-top-front",
      "bridge-screw-top-rear",
    ]);
    expect(ring.map(({ order }) => order).sort()).toEqual([1, 2, 3, 4]);
    const seat = anatomy.positions.find(({ id }) => id === "head-screw-top")!;
    const place = { ...operation("tighten-bridge"), kind: "place" as const };
    expect(screwRing(anatomy, types, { operation: place, position: seat })).toHaveLength(6);
    expect(screwRing(anatomy, types, { operation: place, position: anatomy.positions.find(({ id }) => id === "star")! })).toEqual([]);
  });
});
