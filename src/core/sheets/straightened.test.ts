import { describe, expect, it } from "vitest";
import { groupBy } from "@/core/group-by";
import type { WordBox } from "./sheet";
import { straightened } from "./straightened";

/** Forty lines of eight words each, 15 apart, bent and turned by a law. */
const page = (down: (x: number, y: number) => number): (WordBox & { line: number })[] =>
  Array.from({ length: 320 }, (_, i) => {
    const [line, at] = [Math.floor(i / 8), i % 8];
    const [x, y] = [40 + at * 90, 60 + line * 15];
    return { text: "washer", x, y: y + down(x + 35, y + 5), w: 70, h: 10, line };
  });
/** How far words of a line stand apart in height, at most. */
const spread = (words: readonly WordBox[]) => {
  const lines = groupBy(words as (WordBox & { line: number })[], ({ line }) => line);
  return Math.max(...[...lines.values()].map((of) => Math.max(...of.map(({ y }) => y)) - Math.min(...of.map(({ y }) => y))));
};

describe("a page", () => {
  it("that lies straight stays as it is", () => {
    const words = page(() => 0);
    expect(straightened(words)).toEqual(words);
  });

  it("that lies askew by two degrees is set straight", () => {
    expect(spread(straightened(page((x) => x * Math.tan(Math.PI / 90))))).toBeLessThan(2.5);
  });

  it("that is bent across its width has its lines straight again, and each word knows where it was", () => {
    const bent = page((x, y) => 14 * Math.cos(((x - 400) / 720) * Math.PI) * (0.6 + y / 1500));
    expect(spread(bent)).toBeGreaterThan(12);
    const flat = straightened(bent);
    expect(spread(flat)).toBeLessThan(4);
    expect(flat.every((word, i) => (word.own ?? word).y === bent[i]!.y)).toBe(true);
  });
});
