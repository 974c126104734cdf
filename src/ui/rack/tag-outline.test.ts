import { describe, expect, it } from "vitest";
import { moves } from "@/core/schedule/whose-move";
import { tagOutline } from "./tag-outline";

/** Corners of a closed outline of straight lines. */
const corners = (d: string): [number, number][] =>
  d
    .replace(/[MZ]/g, "")
    .split("L")
    .map((pair) => pair.split(" ").map(Number) as [number, number]);

describe("the cut of a claim tag", () => {
  it("cuts exactly one corner, another for each move, so that it tells without colour", () => {
    const square: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 60],
      [0, 60],
    ];
    const missing = moves.map((move) => {
      const kept = corners(tagOutline(move, 100, 60)).map(String);
      expect(kept).toHaveLength(5);
      return square.filter((corner) => !kept.includes(String(corner)));
    });
    expect(missing.every((cut) => cut.length === 1)).toBe(true);
    expect(new Set(missing.map(String)).size).toBe(moves.length);
  });

  it("stays within the tag", () => {
    for (const move of moves)
      for (const [x, y] of corners(tagOutline(move, 100, 60))) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(100);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(60);
      }
  });
});
