import { describe, expect, it } from "vitest";
import type { GreyPage } from "./flatten/grey";
import { inkBelow, loneGlyphs } from "./lone-glyphs";

/** A white page with black strokes drawn on it. */
function page(width: number, height: number, draw: (put: (x: number, y: number) => void) => void): GreyPage {
  const data = new Uint8Array(width * height).fill(240);
  draw((x, y) => {
    data[y * width + x] = 20;
  });
  return { data, width, height };
}
const bar = (put: (x: number, y: number) => void, x: number, y: number, w: number, h: number) => {
  for (let i = 0; i < w; i++) for (let j = 0; j < h; j++) put(x + i, y + j);
};
const ring = (put: (x: number, y: number) => void, cx: number, cy: number, r: number) => {
  for (let a = 0; a < 720; a++) put(Math.round(cx + r * Math.cos((a * Math.PI) / 360)), Math.round(cy + r * Math.sin((a * Math.PI) / 360)));
};

describe("signs that stand alone", () => {
  it("are found in a circle and free, two figures as one, and neither the circle nor a stroke of the drawing", () => {
    const of = page(200, 120, (put) => {
      ring(put, 40, 40, 16);
      bar(put, 35, 35, 3, 10);
      bar(put, 41, 35, 3, 10);
      bar(put, 150, 80, 3, 10);
      bar(put, 10, 100, 120, 2);
    });
    expect(loneGlyphs(of, [], 10)).toEqual([
      { x: 35, y: 35, w: 9, h: 10 },
      { x: 150, y: 80, w: 3, h: 10 },
    ]);
  });

  it("are none where a word was read", () => {
    const of = page(100, 60, (put) => bar(put, 20, 20, 3, 10));
    expect(loneGlyphs(of, [{ x: 15, y: 18, w: 20, h: 14 }], 10)).toEqual([]);
  });

  it("are parted from paper that is grey and unevenly so", () => {
    const of = page(60, 60, (put) => bar(put, 20, 20, 3, 10));
    const dim = { ...of, data: of.data.map((grey, i) => Math.min(255, Math.max(0, grey * 0.6 + (i % 60) / 3))) };
    expect(inkBelow(dim)).toBeGreaterThanOrEqual(19);
    expect(inkBelow(dim)).toBeLessThan(140);
    expect(loneGlyphs(dim, [], 10)).toHaveLength(1);
  });
});
