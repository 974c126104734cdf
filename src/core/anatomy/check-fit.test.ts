import { describe, expect, it } from "vitest";
import { starDragBridge } from "@/core/families/star-drag-bridge";
import { fitFaults } from "./check-fit";
import type { PartShape } from "./shapes";
import { closedThicknessMm, stackOn } from "./stack-on";
import { type Anatomy, anatomySchema, type PartType } from "./types";

const { anatomy, parts } = starDragBridge;
const types = (change: Record<string, Partial<PartShape>> = {}) =>
  new Map(parts.map((part): [string, PartType] => [part.id, { ...part, shape: { ...part.shape, ...change[part.id] } as PartShape }]));

describe("the fit of a machine, in millimetres", () => {
  it("passes the machine as it is", () => expect(fitFaults(anatomy, types())).toEqual([]));

  it("keeps a drag washer inside the cup of its gear", () => {
    // The cup is 33 mm: a washer of 33.4 is 0.4 mm too wide, both seats of it.
    const faults = fitFaults(anatomy, types({ friction: { outsideMm: 33.4 } }));
    expect(faults).toHaveLength(2);
    expect(faults[0]).toContain("33.4 mm across, Main gear, 51 teeth has 33 mm inside, 0.40 mm too wide");
  });

  it("puts gears at half the sum of their pitch diameters (ISO 21771: d = m·z)", () => {
    // 51 and 17 teeth of module 0.8 want 0.8·68/2 = 27.2 mm; with 19 teeth 28.0 mm, the frame has 27.3.
    expect(fitFaults(anatomy, types({ pinion: { teeth: 19 } }))).toEqual([
      expect.stringContaining("want 28.00 mm between their axes, here are 27.3 mm, 0.70 mm too close"),
    ]);
    expect(fitFaults(anatomy, types({ pinion: { teeth: 15 } }))).toEqual([expect.stringContaining("0.90 mm too far")]);
    expect(fitFaults(anatomy, types({ pinion: { moduleMm: 0.75 } }))).toEqual([expect.stringContaining("do not mesh")]);
  });

  it("keeps the stack on its sleeve, and says what stands beyond it", () => {
    // Ratchet to 7.5, washer 0.8, gear floor 2, three friction 0.9, three metal 1.2, ferrule 6, tension 2 × 0.5, spacer 1.5 over the star's own height.
    const stack = stackOn(anatomy, types(), "gear-sleeve")!;
    expect(stack.topMm).toBeCloseTo(7.5 + 0.8 + 2 + 3 * 0.9 + 3 * 1.2 + 6 + 2 * 0.5 + 1.5, 6);
    const faults = fitFaults(anatomy, types({ "gear-sleeve": { lengthMm: 24 } }));
    expect(faults).toEqual([expect.stringContaining("Gear sleeve is 24 mm long")]);
    expect(faults[0]).toContain("beyond it");
  });

  it("does not mind a screw that is meant to go through", () => {
    const long = (through: boolean): Anatomy => ({
      ...anatomy,
      positions: anatomy.positions.map((p) => (p.id === "head-screw-foot-front" ? { ...p, holeDepthMm: 3, through } : p)),
    });
    expect(fitFaults(long(false), types())).toEqual([expect.stringContaining("comes out 2.0 mm on the other side")]);
    expect(fitFaults(long(true), types())).toEqual([]);
  });

  it("says nothing where nobody measured", () => {
    const bare = anatomySchema.parse({
      assemblies: [{ id: "a", name: "A", side: "handle" }],
      positions: [{ id: "one", assemblyId: "a", ordinal: 0, name: "One", partTypeId: "unknown", ridesOn: "one" }],
      operations: [],
    });
    expect(fitFaults(bare, new Map())).toEqual([]);
  });

  it("counts a cupped washer flat when the drag is closed, and a cupped gear by its floor", () => {
    expect(closedThicknessMm({ kind: "cupped-washer", outsideMm: 16, insideMm: 8, thicknessMm: 0.8, coneHeightMm: 0.6 })).toBe(0.8);
    expect(closedThicknessMm({ kind: "gear", teeth: 51, moduleMm: 0.8, boreMm: 8, faceMm: 6, cupMm: 33, floorMm: 1.7 })).toBe(1.7);
    expect(closedThicknessMm({ kind: "gear", teeth: 51, moduleMm: 0.8, boreMm: 8, faceMm: 6 })).toBe(6);
    expect(closedThicknessMm({ kind: "pin", diameterMm: 2, lengthMm: 9 })).toBeNull();
  });
});
