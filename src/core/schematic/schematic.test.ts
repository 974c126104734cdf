import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { anatomySchema } from "@/core/anatomy/types";
import { assemblyPlate, modelPlates, type Plate } from "./assembly-plate";
import { cutaway } from "./cutaway";
import { spaceOut } from "./isotonic";

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
  for (let i = 0; i < all.length; i++)
    for (let j = i + 1; j < all.length; j++)
      for (const one of all[i]!) for (const other of all[j]!) expect(crosses(one, other), "leaders cross").toBe(false);
};

/** Random assemblies of the demo's own parts, in any order and number. */
const anatomies = fc.array(fc.constantFrom(...skerry30Parts.map((part) => part.id)), { minLength: 1, maxLength: 60 }).map(
  (ids): Anatomy =>
    anatomySchema.parse({
      assemblies: [{ id: "a", name: "A", side: "handle" }],
      positions: ids.map((partTypeId, i) => ({ id: `p${i}`, assemblyId: "a", ordinal: i, name: `P${i}`, partTypeId })),
      operations: [],
    }),
);

describe("an exploded plate", () => {
  it("has no overlapping labels or glyphs and no crossing leaders, on random assemblies", () => {
    fc.assert(
      fc.property(anatomies, (anatomy) => expectClear(assemblyPlate(anatomy, demoTypes, "a")) === undefined),
      { numRuns: 60 },
    );
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
    const handle = assemblyPlate(skerry30Anatomy, demoTypes, "handle");
    expect(handle.callouts.filter((callout) => callout.partTypeId === "sk-tension")).toHaveLength(2);
    const tail = assemblyPlate(skerry30Anatomy, demoTypes, "tail");
    expect(tail.callouts.find((callout) => callout.partTypeId === "sk-tail-screw")?.positionIds).toHaveLength(3);
  });

  it("refuses a part type it was not given", () => {
    expect(() => assemblyPlate(skerry30Anatomy, new Map<string, PartType>(), "handle")).toThrow(/no part type/);
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
