import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { anatomySchema } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { drawGlyph } from "@/core/glyphs/draw-glyph";
import { movePath } from "@/core/glyphs/move-path";
import { familyIds } from "@/core/vocabulary/families";
import { assemblyPlates, modelPlates, mostCallouts, overviewPlate, type Plate } from "./assembly-plate";
import { cutaway } from "./cutaway";
import { spaceOut } from "./isotonic";
import { wholeReel } from "./whole-reel";

const demoTypes = new Map(skerry30Parts.map((part) => [part.id, part]));

type Segment = readonly [readonly [number, number], readonly [number, number]];
const crosses = ([a, b]: Segment, [c, d]: Segment): boolean => {
  const side = (p: readonly [number, number], q: readonly [number, number], r: readonly [number, number]) =>
    (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < -1e-9 && side(c, d, a) * side(c, d, b) < -1e-9;
};
const segments = (plate: Plate): Segment[][] =>
  plate.callouts.map(({ leader }) => leader.slice(1).map((point, i) => [leader[i]!, point] as const));

const expectClear = (plate: Plate) => {
  const { callouts } = plate;
  for (let i = 1; i < callouts.length; i++) {
    const [a, b] = [callouts[i - 1]!, callouts[i]!];
    expect(b.label[0] - a.label[0], "labels apart").toBeGreaterThanOrEqual(plate.labelWidth - 1e-6);
    expect(b.x + b.glyph.left, "glyphs apart").toBeGreaterThanOrEqual(a.x + a.glyph.right - 1e-6);
  }
  const all = segments(plate);
  const crossing: string[] = [];
  for (let i = 0; i < all.length; i++)
    for (let j = i + 1; j < all.length; j++)
      for (const one of all[i]!) for (const other of all[j]!) if (crosses(one, other)) crossing.push(`${i} and ${j}`);
  expect(crossing, "leaders cross").toEqual([]);
};

/** Random assemblies of the demo's own parts, in any order and number. */
const anatomies = (most: number) =>
  fc
    .array(fc.tuple(fc.constantFrom(...skerry30Parts.map((part) => part.id)), fc.integer({ min: 0, max: 4 })), {
      minLength: 1,
      maxLength: most,
      size: "max",
    })
    .map(
      (seats): Anatomy =>
        anatomySchema.parse({
          assemblies: Array.from({ length: 5 }, (_, n) => ({ id: `a${n}`, name: `A${n}`, side: "handle" })),
          positions: seats.map(([partTypeId, n], i) => ({ id: `p${i}`, assemblyId: `a${n}`, ordinal: i, name: `P${i}`, partTypeId })),
          operations: [],
        }),
    );

describe("an exploded plate", () => {
  it("has no overlapping labels or glyphs, no crossing leaders and at most forty callouts, on random machines to 300 seats", () => {
    fc.assert(
      fc.property(anatomies(300), (anatomy) => {
        const plates = modelPlates(anatomy, demoTypes);
        for (const plate of plates) {
          expectClear(plate);
          expect(plate.callouts.length).toBeLessThanOrEqual(mostCallouts);
        }
        expect(plates.flatMap((plate) => plate.callouts.flatMap((callout) => callout.positionIds)).sort()).toEqual(
          anatomy.positions.map((p) => p.id).sort(),
        );
        expectClear(overviewPlate(anatomy, demoTypes));
      }),
      { numRuns: 15 },
    );
  });

  it("splits what one plate cannot carry, numbers running on", () => {
    const anatomy = anatomySchema.parse({
      assemblies: [{ id: "a", name: "Long one", side: "handle" }],
      positions: Array.from({ length: 85 }, (_, i) => ({
        id: `p${i}`,
        assemblyId: "a",
        ordinal: i,
        name: `P${i}`,
        partTypeId: i % 2 ? "sk-star" : "sk-keyed",
      })),
      operations: [],
    });
    const plates = assemblyPlates(anatomy, demoTypes, "a");
    expect(plates.map((plate) => [plate.name, plate.callouts.length, plate.callouts[0]!.item])).toEqual([
      ["Long one, 1 of 3", 40, 1],
      ["Long one, 2 of 3", 40, 41],
      ["Long one, 3 of 3", 5, 81],
    ]);
  });

  it.each(familyIds)("draws the overview of %s with one callout an assembly", (id) => {
    const { anatomy, parts } = families[id];
    const plate = overviewPlate(anatomy, new Map(parts.map((part) => [part.id, part])));
    expect(plate.callouts).toHaveLength(anatomy.assemblies.length);
    expectClear(plate);
  });

  it("keeps the order of the axis and names every seat exactly once", () => {
    const plates = modelPlates(skerry30Anatomy, demoTypes);
    const shown = plates.flatMap((plate) => plate.callouts.flatMap((callout) => callout.positionIds));
    expect([...shown].sort()).toEqual(skerry30Anatomy.positions.map((position) => position.id).sort());
    for (const plate of plates) {
      expectClear(plate);
      const ordinals = plate.callouts.map((callout) => skerry30Anatomy.positions.find((p) => p.id === callout.positionIds[0])!.ordinal);
      expect(ordinals).toEqual([...ordinals].sort((a, b) => a - b));
    }
    expect(plates.flatMap((plate) => plate.callouts.map((callout) => callout.item))).toEqual(
      Array.from({ length: plates.reduce((n, p) => n + p.callouts.length, 0) }, (_, i) => i + 1),
    );
  });

  it("lets like screws share a callout but never washers that lie differently", () => {
    const handle = assemblyPlates(skerry30Anatomy, demoTypes, "handle")[0]!;
    expect(handle.callouts.filter((callout) => callout.partTypeId === "sk-tension")).toHaveLength(2);
    const tail = assemblyPlates(skerry30Anatomy, demoTypes, "tail")[0]!;
    expect(tail.callouts.find((callout) => callout.partTypeId === "sk-plate-screw-long")?.positionIds).toHaveLength(4);
  });

  it("refuses a part type it was not given", () => {
    expect(() => assemblyPlates(skerry30Anatomy, new Map<string, PartType>(), "handle")).toThrow(/no part type/);
  });
});

describe("moving a drawing", () => {
  it("moves every absolute command and leaves relative ones alone", () => {
    expect(movePath("M1 2L3 4A1 2 0 1 1 5 6H7V8h1v2C1 1 2 2 3 3S4 4 5 5Z", 10, 100)).toBe(
      "M11 102L13 104A1 2 0 1 1 15 106H17V108h1v2C11 101 12 102 13 103S14 104 15 105Z",
    );
  });

  it("is undone by moving back, for every glyph of every family", () => {
    const numbers = (d: string) => (d.match(/-?\d*\.?\d+(?:e-?\d+)?/gi) ?? []).map(Number);
    for (const id of familyIds)
      for (const part of families[id].parts)
        for (const path of drawGlyph(part.shape).paths) {
          const there = numbers(movePath(movePath(path.d, 12.5, -3.25), -12.5, 3.25));
          numbers(path.d).forEach((value, i) => {
            expect(Math.abs(there[i]! - value), `${part.name}: ${path.d}`).toBeLessThan(0.01);
          });
        }
  });

  it("refuses a command it does not know", () => {
    expect(() => movePath("M0 0Q1 1 2 2", 1, 1)).toThrow(/Q/);
  });
});

describe("spacing labels out", () => {
  it("leaves alone what is far enough apart and shares a crowd about its middle", () => {
    expect(spaceOut([0, 20, 40], 10)).toEqual([0, 20, 40]);
    expect(spaceOut([5, 5], 10)).toEqual([0, 10]);
    expect(spaceOut([], 10)).toEqual([]);
  });

  it("is the least-squares answer: no nearby feasible placing is better", () => {
    const wanted = fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 2, maxLength: 6 }).map((xs) => xs.sort((a, b) => a - b));
    fc.assert(
      fc.property(wanted, fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }), (xs, nudges) => {
        const cost = (ys: readonly number[]) => ys.reduce((sum, y, i) => sum + (y - xs[i]!) ** 2, 0);
        const best = spaceOut(xs, 8);
        for (let i = 1; i < best.length; i++) expect(best[i]! - best[i - 1]!).toBeGreaterThanOrEqual(8 - 1e-9);
        const other = best.map((y, i) => y + nudges[i]!);
        if (other.every((y, i) => i === 0 || y - other[i - 1]! >= 8)) expect(cost(other)).toBeGreaterThanOrEqual(cost(best) - 1e-9);
      }),
    );
  });
});

describe("the cutaway", () => {
  it("stands each washer of the stack on the one below and hovers the next clear of all", () => {
    const stack = skerry30Anatomy.positions.filter((p) => p.assemblyId === "stack").sort((a, b) => a.ordinal - b.ordinal);
    const seated = new Set(stack.slice(0, 5).map((p) => p.id));
    const drawing = cutaway(skerry30Anatomy, demoTypes, "stack", seated, stack[5]!.id);
    expect(drawing.seated.map((item) => item.positionId)).toEqual(stack.slice(0, 5).map((p) => p.id));
    for (let i = 1; i < drawing.seated.length; i++) {
      const below = drawing.seated[i - 1]!;
      expect(drawing.seated[i]!.x).toBeCloseTo(below.x + below.glyph.length, 6);
    }
    const edge = Math.max(...drawing.seated.map((item) => item.x + item.glyph.right));
    expect(drawing.next!.x + drawing.next!.glyph.left).toBeGreaterThan(edge);
  });

  it("shows nothing hovering when nothing comes next", () => {
    expect(cutaway(skerry30Anatomy, demoTypes, "stack", new Set(["main-gear"]), null).next).toBeNull();
  });
});

describe.each(familyIds)("the whole reel drawn as it stands: %s", (family) => {
  const { anatomy, parts } = families[family];
  const types = new Map(parts.map((part) => [part.id, part]));
  const { assemblies, viewBox } = wholeReel(anatomy, types);

  it("has every part once, each assembly at a place of its own, the last to go on at the right, all within the picture", () => {
    const drawn = assemblies.flatMap((one) => one.parts.map(({ positionId }) => positionId));
    expect(drawn.toSorted()).toEqual(anatomy.positions.map(({ id }) => id).toSorted());
    const filled = new Set(anatomy.positions.map(({ assemblyId }) => assemblyId));
    expect(assemblies.map(({ assemblyId }) => assemblyId)).toEqual(
      anatomy.assemblies
        .map(({ id }) => id)
        .filter((id) => filled.has(id))
        .toReversed(),
    );
    assemblies.forEach(({ parts: own, from, to }, i) => {
      if (i > 0) expect(from).toBeGreaterThan(assemblies[i - 1]!.to);
      for (const { x, y, glyph } of own) {
        expect(x + glyph.left).toBeGreaterThanOrEqual(from - 1e-6);
        expect(x + glyph.right).toBeLessThanOrEqual(to + 1e-6);
        expect(y - glyph.up).toBeGreaterThanOrEqual(viewBox.y);
        expect(y + glyph.down).toBeLessThanOrEqual(viewBox.y + viewBox.height);
      }
    });
    expect(assemblies.at(-1)!.to).toBeLessThanOrEqual(viewBox.x + viewBox.width);
  });

  it("lifts a part off its seat, and does not leave it there as well", () => {
    const all = new Set(anatomy.positions.map(({ id }) => id));
    for (const { id, assemblyId } of anatomy.positions) {
      const { next, seated } = cutaway(anatomy, types, assemblyId, all, id);
      expect(next?.positionId).toBe(id);
      expect(seated.map(({ positionId }) => positionId)).not.toContain(id);
    }
  });
});
