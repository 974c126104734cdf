import { describe, expect, it } from "vitest";
import { skerry30Parts } from "#tests/skerry";
import type { PartShape } from "@/core/anatomy/shapes";
import { drawGlyph, type Glyph } from "./draw-glyph";
import { foreshortening } from "./solid";

/** All numbers of a path as points: enough to measure the paths drawn here, which are absolute lines and arcs. */
function points(d: string): [number, number][] {
  const found: [number, number][] = [];
  for (const [, command, rest] of d.matchAll(/([MLAHV])([^MLAHVZmhvlz]*)/g)) {
    const numbers = (rest!.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
    if (command === "M" || command === "L") for (let i = 0; i + 1 < numbers.length; i += 2) found.push([numbers[i]!, numbers[i + 1]!]);
    if (command === "A") for (let i = 0; i + 6 < numbers.length; i += 7) found.push([numbers[i + 5]!, numbers[i + 6]!]);
  }
  return found;
}
const heightOf = (d: string) => Math.max(...points(d).map(([, y]) => y)) - Math.min(...points(d).map(([, y]) => y));
const features = (glyph: Glyph, name: string) => glyph.paths.filter((path) => path.feature === name);
const only = (glyph: Glyph, name: string) => {
  const found = features(glyph, name);
  expect(found, name).toHaveLength(1);
  return found[0]!.d;
};
const draw = (shape: PartShape, options = {}) => drawGlyph(shape, options);

describe("glyphs are drawn from sizes", () => {
  it("keeps diameters true across the axis and foreshortens only into the depth", () => {
    const glyph = draw({ kind: "washer", outsideMm: 18, insideMm: 8.2, thicknessMm: 0.8 });
    expect(heightOf(only(glyph, "rim"))).toBeCloseTo(18, 3);
    expect(heightOf(only(glyph, "hole"))).toBeCloseTo(8.2, 3);
    expect(glyph.right - glyph.left).toBeCloseTo(18 * foreshortening + 0.8, 6);
  });

  it("draws thickness true, but never thinner than the drawn minimum", () => {
    const thin = { kind: "washer", outsideMm: 18, insideMm: 8, thicknessMm: 0.2 } as const;
    expect(draw(thin).length).toBeCloseTo(0.2, 6);
    expect(draw(thin, { leastThicknessMm: 1.3 }).length).toBeCloseTo(1.3, 6);
  });

  it("shows the flats of a keyed washer: its hole is as wide as across the flats and as high as its bore", () => {
    const d = only(draw({ kind: "keyed-washer", outsideMm: 30, insideMm: 8.2, thicknessMm: 1.2, acrossFlatsMm: 6.5 }), "key");
    const xs = points(d).map(([x]) => x);
    expect((Math.max(...xs) - Math.min(...xs)) / foreshortening).toBeCloseTo(6.5, 1);
    expect(heightOf(d)).toBeCloseTo(8.2, 1);
  });

  it("shows every ear, reaching beyond the round", () => {
    const glyph = draw({ kind: "eared-washer", outsideMm: 29, insideMm: 8.6, thicknessMm: 1.2, ears: 4, earMm: 3.2 });
    expect(features(glyph, "ear")).toHaveLength(4);
    expect(heightOf(only(glyph, "rim"))).toBeGreaterThan(29);
  });

  it("shows which way a cup looks: its hole stands before the rim closed, behind it open", () => {
    const cup = { kind: "cupped-washer", outsideMm: 16, insideMm: 8.2, thicknessMm: 0.8, coneHeightMm: 0.6 } as const;
    const middle = (d: string) => points(d).reduce((sum, [x], _, all) => sum + x / all.length, 0);
    const closed = draw(cup);
    const open = draw(cup, { turned: true });
    expect(middle(only(closed, "hole"))).toBeGreaterThan(middle(only(closed, "rim")));
    expect(middle(only(open, "hole"))).toBeLessThan(middle(only(open, "rim")));
  });

  it.each([51, 17, 33])("draws every tooth of a gear of %i", (teeth) => {
    const d = only(draw({ kind: "gear", teeth, moduleMm: 0.8, boreMm: 8, faceMm: 6 }), "teeth");
    // Four corners a tooth; and the tip circle of a spur gear is module × (teeth + 2), ISO 53 proportions.
    expect(points(d)).toHaveLength(teeth * 4);
    expect(heightOf(d)).toBeGreaterThan(0.8 * (teeth + 1));
    expect(heightOf(d)).toBeLessThanOrEqual(0.8 * (teeth + 2) + 1e-6);
  });

  it("draws a screw to its length and threads only as far as it is threaded", () => {
    const screw = (threadedMm: number) =>
      draw({ kind: "screw", threadMm: 2.5, lengthMm: 12, threadedMm, headMm: 5, headHeightMm: 1.5, drive: "slot" });
    expect(screw(12).length).toBeCloseTo(13.5, 6);
    const reach = (glyph: Glyph) => Math.max(...points(only(glyph, "thread")).map(([x]) => x));
    expect(reach(screw(5))).toBeLessThanOrEqual(5);
    expect(reach(screw(12))).toBeGreaterThan(10);
  });

  it("tells closures of a bearing and materials of a friction washer apart", () => {
    const bearing = (closure: "open" | "shielded" | "sealed") => draw({ kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 5, closure });
    expect(features(bearing("open"), "ball")).toHaveLength(8);
    expect(features(bearing("shielded"), "shield")).toHaveLength(1);
    expect(features(bearing("sealed"), "seal")).toHaveLength(1);
    const friction = { kind: "friction-washer", outsideMm: 31, insideMm: 8.6, thicknessMm: 0.9 } as const;
    expect(features(draw(friction, { material: "carbon" }), "hatch-carbon")).toHaveLength(2);
    expect(features(draw(friction, { material: "leather" }), "hatch-leather")).toHaveLength(1);
  });

  it("counts the coils of a spring and the arms of a star", () => {
    expect(features(draw({ kind: "coil-spring", wireMm: 0.4, outsideMm: 4, lengthMm: 10, coils: 7 }), "coil")).toHaveLength(7);
    const star = (arms: number) => points(only(draw({ kind: "star", outsideMm: 44, boreMm: 8, arms, hubMm: 14 }), "arms")).length;
    expect(star(5)).toBe(25);
    expect(star(4)).toBe(20);
  });

  it("stays within the room it says it takes, for every part of the demo", () => {
    for (const part of skerry30Parts) {
      const glyph = drawGlyph(part.shape, { material: part.material });
      for (const path of glyph.paths)
        for (const [x, y] of points(path.d)) {
          expect(x, `${part.name} left`).toBeGreaterThanOrEqual(glyph.left - 0.6);
          expect(x, `${part.name} right`).toBeLessThanOrEqual(glyph.right + 0.6);
          expect(-y, `${part.name} up`).toBeLessThanOrEqual(glyph.up + 0.6);
          expect(y, `${part.name} down`).toBeLessThanOrEqual(glyph.down + 0.6);
        }
    }
  });
});
