import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { capacityNmm, type DragElement, effectiveRadius, gapsOf, stackFault } from "./capacity";
import { lineRadius, pullAtRadius, pullN, spoolTorqueNmm } from "./pull";
import { dragStackOf, workingGaps } from "./working-gaps";

const plate = (member: DragElement["member"], outsideMm: number, insideMm: number): DragElement => ({
  member,
  outsideMm,
  insideMm,
  mu: null,
});
const friction = (outsideMm: number, insideMm: number, mu: number): DragElement => ({ member: "none", outsideMm, insideMm, mu });
/** Plates of two members with a friction washer in each gap. */
const stack = (gaps: number, D: number, d: number, mu: number): DragElement[] =>
  Array.from({ length: gaps * 2 + 1 }, (_, i) => (i % 2 ? friction(D, d, mu) : plate(i % 4 ? "gear" : "sleeve", D, d)));

describe("clutch problems of the textbook (Shigley, Mechanical Engineering Design, ch. 16, recalled)", () => {
  it("one pair 250 × 175 mm, f 0.30, 4 kN: 127.5 N·m worn, 128.82 N·m new", () => {
    expect(capacityNmm(stack(1, 250, 175, 0.3), 4000, "uniform-wear") / 1000).toBeCloseTo(127.5, 1);
    expect(capacityNmm(stack(1, 250, 175, 0.3), 4000, "uniform-pressure") / 1000).toBeCloseTo(128.82, 1);
  });

  it.each([
    [2, 5191],
    [3, 6769],
    [4, 7125],
    [5, 5853],
    [6, 2545],
  ])("D 6.5 in, d %f in, f 0.24, pa 120 psi, 6 faces by wear: %f lbf·in", (d, torque) => {
    // Pressure at the inner edge fixes the force: F = π·pa·d·(D − d)/2.
    const force = (Math.PI * 120 * d * (6.5 - d)) / 2;
    expect(capacityNmm(stack(6, 6.5, d, 0.24), force, "uniform-wear")).toBeCloseTo(torque, -1);
  });

  it("D 22, d 10 mm, 60 N, f 0.15, 6 faces: 0.45225 and 0.43200 N·m", () => {
    expect(capacityNmm(stack(6, 22, 10, 0.15), 60, "uniform-pressure")).toBeCloseTo(452.25, 1);
    expect(capacityNmm(stack(6, 22, 10, 0.15), 60, "uniform-wear")).toBeCloseTo(432, 6);
  });

  it("pressure over wear is 4/3 for a full disc, 1.020833 at 0.6, 1 for a thin ring", () => {
    const ratio = (share: number) => effectiveRadius(10, 10 * share, "uniform-pressure") / effectiveRadius(10, 10 * share, "uniform-wear");
    expect(ratio(0)).toBeCloseTo(4 / 3, 9);
    expect(ratio(0.6)).toBeCloseTo(1.020833, 5);
    expect(ratio(0.999)).toBeCloseTo(1, 5);
  });
});

describe("gaps", () => {
  it("counts a gap once however many washers lie in it, at the one that slips first", () => {
    const two = [plate("sleeve", 30, 8), friction(30, 8, 0.3), friction(24, 8, 0.1), plate("gear", 30, 8)];
    const [gap] = gapsOf(two, "uniform-wear");
    expect(gapsOf(two, "uniform-wear")).toHaveLength(1);
    // 0.1 on the ring of 24 mm slips before 0.3 on that of 30 mm.
    expect(gap!.muRadiusMm).toBeCloseTo(0.1 * 8, 9);
    expect(gap!.slipsAbove).toBe(1);
  });

  it("carries nothing between two of one member, nor on rings that do not overlap", () => {
    expect(gapsOf([plate("gear", 30, 8), friction(30, 8, 0.3), plate("gear", 30, 8)], "uniform-wear")).toEqual([]);
    expect(capacityNmm([plate("gear", 20, 8), plate("sleeve", 40, 20)], 100, "uniform-wear")).toBe(0);
    expect(capacityNmm([], 100, "uniform-wear")).toBe(0);
  });

  it("finds the three working gaps of the star drag family's stack, as its members alone say", () => {
    const { anatomy, parts } = families["star-drag-bridge"];
    const types = new Map(parts.map((part) => [part.id, part]));
    const seats = dragStackOf(anatomy, types, "stack");
    expect(workingGaps(seats.map(({ turnsWith }) => ({ member: turnsWith })))).toBe(3);
  });

  const anyStack = fc.array(
    fc.record({
      member: fc.constantFrom("gear" as const, "sleeve" as const, "none" as const, "spool" as const),
      outsideMm: fc.double({ min: 10, max: 60, noNaN: true }),
      insideMm: fc.double({ min: 1, max: 9, noNaN: true }),
      mu: fc.option(fc.double({ min: 0.05, max: 0.6, noNaN: true })),
    }),
    { maxLength: 12 },
  );

  it("rises with force and coefficient, never falls below nothing, and is the same turned upside down", () => {
    fc.assert(
      fc.property(anyStack, fc.double({ min: 0, max: 500, noNaN: true }), (elements, force) => {
        const torque = (some: readonly DragElement[], f = force) => capacityNmm(some, f, "uniform-pressure");
        expect(torque(elements)).toBeGreaterThanOrEqual(0);
        expect(torque(elements, force + 10)).toBeGreaterThanOrEqual(torque(elements));
        const grippier = elements.map((element) => ({ ...element, mu: element.mu === null ? null : element.mu * 1.2 }));
        expect(torque(grippier)).toBeGreaterThanOrEqual(torque(elements) - 1e-9);
        expect(torque([...elements].reverse())).toBeCloseTo(torque(elements), 6);
        expect(gapsOf(elements, "uniform-wear").length).toBe(workingGaps(elements));
      }),
    );
  });

  it.each([
    [plate("gear", 10, 12), "insideMm"],
    [plate("gear", Number.NaN, 2), "outsideMm"],
    [plate("gear", 500, 2), "outsideMm"],
    [friction(20, 8, -0.1), "mu"],
    [friction(20, 8, 9), "mu"],
  ] as const)("refuses what cannot be, at its field", (bad, field) => {
    expect(stackFault([plate("sleeve", 20, 8), bad])).toMatchObject({ at: 1, field });
    expect(stackFault(stack(2, 20, 8, 0.2))).toBeNull();
  });
});

describe("from the stack to the line", () => {
  it("losses and ratio act against a fish that drives the train backwards", () => {
    const path = { stackNmm: 3000, ratio: 3, efficiency: 0.9, lossNmm: 20 };
    expect(spoolTorqueNmm(path)).toBeCloseTo(3000 / 2.7 + 20, 9);
    expect(pullN(path, 20)).toBeCloseTo((3000 / 2.7 + 20) / 20, 9);
    // On the spool itself there is no train.
    expect(pullN({ stackNmm: 600, ratio: 1, efficiency: 1, lossNmm: 0 }, 30)).toBe(20);
  });

  it("the radius falls with the line as its area does, from full to bare", () => {
    expect(lineRadius(10, 26, 1)).toBeCloseTo(26, 9);
    expect(lineRadius(10, 26, 0)).toBeCloseTo(10, 9);
    expect(Math.PI * (lineRadius(10, 26, 0.5) ** 2 - 100)).toBeCloseTo((Math.PI * (26 ** 2 - 100)) / 2, 6);
    expect(() => lineRadius(30, 20, 0.5)).toThrow(RangeError);
  });
});

describe("a stack's rings", () => {
  const ring = (change: Partial<DragElement>): DragElement => ({ member: "none", outsideMm: 30, insideMm: 10, mu: 0.2, ...change });
  const fault = (change: Partial<DragElement>) => stackFault([ring({}), ring(change)]);

  it("are refused at their field, with why", () => {
    for (const outsideMm of [0, -1, 200.1, Number.POSITIVE_INFINITY, Number.NaN])
      expect(fault({ outsideMm })).toEqual({ at: 1, field: "outsideMm", message: "Its outside is a number above 0 mm, at most 200." });
    for (const insideMm of [-0.1, Number.NaN, Number.NEGATIVE_INFINITY])
      expect(fault({ insideMm })).toEqual({ at: 1, field: "insideMm", message: "Its hole is a number from 0 mm up." });
    expect(fault({ insideMm: 30 })).toEqual({ at: 1, field: "insideMm", message: expect.stringMatching(/30 against 30 mm/) });
    for (const mu of [0, 1.51, Number.NaN])
      expect(fault({ mu })).toMatchObject({ at: 1, field: "mu", message: expect.stringMatching(/above 0/) });
  });

  it("may be as wide as 200 mm, have no hole, and grip as hard as 1.5", () => {
    for (const change of [{ outsideMm: 200 }, { insideMm: 0 }, { mu: 1.5 }, { mu: null }]) expect(fault(change)).toBeNull();
  });

  it("have their gap between the two that are fixed", () => {
    const gaps = gapsOf([ring({ member: "gear", mu: null }), ring({}), ring({}), ring({ member: "sleeve", mu: null })], "uniform-wear");
    expect(gaps.map(({ between }) => between)).toEqual([[0, 3]]);
  });
});

describe("line radii", () => {
  it("are above nothing, the full spool not under its arbor", () => {
    expect(lineRadius(10, 10, 0.5)).toBe(10);
    expect(() => lineRadius(0, 10, 0.5)).toThrow(/not under its arbor/);
    expect(() => lineRadius(-1, 10, 0.5)).toThrow(RangeError);
    expect(() => pullAtRadius(10, 20, 0)).toThrow(/above 0 mm/);
    expect(() => pullAtRadius(10, 20, -3)).toThrow(RangeError);
  });
});
