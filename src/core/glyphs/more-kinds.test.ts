import { describe, expect, it } from "vitest";
import type { PartShape } from "@/core/anatomy/shapes";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { drawGlyph } from "./draw-glyph";

const features = (shape: PartShape, name: string) => drawGlyph(shape).paths.filter((path) => path.feature === name);
const count = (shape: PartShape, name: string) => features(shape, name).length;

/** Highest and lowest y a path mentions after an absolute move or line. */
const heightOf = (d: string): number => {
  const ys = [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g), ...d.matchAll(/A[\d.]+ [\d.]+ 0 [01] [01] (-?[\d.]+) (-?[\d.]+)/g)].map(
    (match) => Number(match[2]),
  );
  return Math.max(...ys) - Math.min(...ys);
};

describe("what a glyph must show so that the part is known by it", () => {
  it.each([4, 6, 8, 10])("a roller clutch of %i rollers shows them all", (rollers) => {
    expect(count({ ...typicalShapes["roller-clutch"], rollers }, "needle")).toBe(rollers);
  });

  it.each([3, 6, 9])("a worm of %i turns shows each crossed by the one that returns", (turns) => {
    const grooves = features({ ...typicalShapes.worm, turns }, "groove");
    expect(grooves).toHaveLength(turns);
    for (const groove of grooves) expect(groove.d.match(/M/g)).toHaveLength(2);
  });

  it.each([4, 6, 8])("a drum of %i arms shows them", (arms) => {
    expect(count({ ...typicalShapes.drum, arms }, "arm")).toBe(arms);
  });

  it("tells an E clip by its teeth, a C clip by its eyes, a wire clip by neither", () => {
    const clip = typicalShapes.clip;
    expect([count({ ...clip, form: "E" }, "clip-tooth"), count({ ...clip, form: "E" }, "eye")]).toEqual([3, 0]);
    expect([count({ ...clip, form: "C" }, "clip-tooth"), count({ ...clip, form: "C" }, "eye")]).toEqual([0, 2]);
    expect([count({ ...clip, form: "wire" }, "clip-tooth"), count({ ...clip, form: "wire" }, "eye")]).toEqual([0, 0]);
  });

  it("shows the two ramps of a cam, half a turn apart, and its mark", () => {
    expect(count(typicalShapes.cam, "ramp")).toBe(2);
    expect(count(typicalShapes.cam, "mark")).toBe(1);
    const [one, other] = features(typicalShapes.cam, "ramp").map((path) => Number(/M-?[\d.]+ (-?[\d.]+)/.exec(path.d)![1]));
    expect(Math.sign(one!)).toBe(-Math.sign(other!)); // one starts above the axis, the other below
  });

  it("shows both arms and pivots of a rotor, and both ends of a bail", () => {
    expect([count(typicalShapes.rotor, "arm"), count(typicalShapes.rotor, "pivot")]).toEqual([2, 2]);
    const bail = drawGlyph(typicalShapes.bail);
    expect(bail.up + bail.down).toBeGreaterThanOrEqual(typicalShapes.bail.spanMm);
    expect(count(typicalShapes.bail, "wire")).toBe(1);
  });

  it("shows the thick end of a line roller first, because which way it faces matters", () => {
    const rims = features(typicalShapes.roller, "rim").map((path) => heightOf(path.d));
    expect(rims[0]).toBeCloseTo(typicalShapes.roller.outsideMm, 3);
    for (const rim of rims.slice(1)) expect(rim).toBeLessThan(rims[0]!);
  });

  it("shows the lip of a seal, the rubber of an O-ring, the pin of a cone, the foot of a body", () => {
    expect(count(typicalShapes["lip-seal"], "lip")).toBe(1);
    expect(count(typicalShapes["o-ring"], "rubber")).toBe(1);
    expect(count(typicalShapes.cone, "pick-up-pin")).toBe(1);
    expect(count(typicalShapes.body, "foot")).toBe(1);
  });

  it("narrows a cover from its rim to its face", () => {
    const face = heightOf(features(typicalShapes.cover, "face")[0]!.d);
    const rim = heightOf(features(typicalShapes.cover, "rim")[0]!.d);
    expect(rim).toBeCloseTo(typicalShapes.cover.outsideMm, 3);
    expect(face).toBeLessThan(rim);
  });

  it("draws a flat on a shaft only where it has one", () => {
    expect(count(typicalShapes.shaft, "flat")).toBe(0);
    expect(count({ ...typicalShapes.shaft, flatMm: 10 }, "flat")).toBe(1);
  });
});

describe("a low-profile side", () => {
  const heightOf = (d: string) => {
    const ys = [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => Number(m[2]));
    return Math.max(...ys) - Math.min(...ys);
  };
  it.each(["plate", "frame"] as const)("of a %s is as high as it says, and lower than its round sibling", (kind) => {
    const round = typicalShapes[kind];
    const glyph = drawGlyph({ ...round, lowMm: 36 });
    const outline = glyph.paths.filter((path) => path.feature === "rim");
    expect(heightOf(outline.at(-1)!.d)).toBeCloseTo(36, 1);
    expect(glyph.up + glyph.down).toBe(36);
    expect(drawGlyph(round).up * 2).toBe(round.outsideMm);
    for (const path of glyph.paths) expect(path.d).not.toMatch(/NaN/);
  });
});

describe("every part of every family", () => {
  it("has finite lines, takes room, and is as thick along its axis as it says", () => {
    for (const id of familyIds)
      for (const part of families[id].parts) {
        const glyph = drawGlyph(part.shape, { material: part.material });
        expect(glyph.paths.length, part.name).toBeGreaterThan(0);
        for (const path of glyph.paths) expect(path.d, `${id} ${part.name}`).not.toMatch(/NaN|Infinity|undefined/);
        expect(glyph.right - glyph.left, part.name).toBeGreaterThan(0);
        expect(glyph.up + glyph.down, part.name).toBeGreaterThan(0);
        expect(glyph.length, part.name).toBeGreaterThan(0);
      }
  });

  it("grows with its sizes: half as large again is drawn half as large again across the axis", () => {
    for (const kind of ["washer", "gear", "ratchet", "spool", "plate", "star", "cap", "drum", "o-ring"] as const) {
      const shape = typicalShapes[kind];
      const larger = Object.fromEntries(
        Object.entries(shape).map(([key, value]) => [key, typeof value === "number" && key.endsWith("Mm") ? value * 1.5 : value]),
      ) as PartShape;
      const [before, after] = [drawGlyph(shape), drawGlyph(larger)];
      expect((after.up + after.down) / (before.up + before.down), kind).toBeCloseTo(1.5, 6);
    }
  });
});
