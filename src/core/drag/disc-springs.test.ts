import { describe, expect, it } from "vitest";
import {
  coefficients,
  type DiscSpring,
  discFault,
  discForce,
  discStress,
  isPastFlat,
  platedModulus,
  snapDeflection,
  stackCurve,
  stackDeflection,
  stackForce,
  stackHeight,
  stackNotes,
  stackOf,
  stackStroke,
} from "./disc-springs";

const disc = (outsideMm: number, insideMm: number, thicknessMm: number, coneHeightMm: number): DiscSpring => ({
  outsideMm,
  insideMm,
  thicknessMm,
  coneHeightMm,
});
const halfUp = (value: number) => Math.round(value * 100 + 1e-9) / 100;

/** DIN EN 16983 (formerly DIN 2093), rows recalled: De, Di, t, h0, force at s = 0.75 h0, N. The table rounds s to 0.01 mm. */
// biome-ignore format: a table
const rows: readonly (readonly [number, number, number, number, number])[] = [
  [8, 4.2, 0.4, 0.2, 210], [16, 8.2, 0.9, 0.35, 1000], [18, 9.2, 1, 0.4, 1250], [20, 10.2, 1.1, 0.45, 1530], [50, 25.4, 3, 1.1, 12000],
  [12.5, 6.2, 0.5, 0.35, 291], [16, 8.2, 0.6, 0.45, 412], [20, 10.2, 0.8, 0.55, 745], [28, 14.2, 1, 0.8, 1110],
  [10, 5.2, 0.25, 0.3, 58], [16, 8.2, 0.4, 0.5, 155], [20, 10.2, 0.5, 0.65, 254], [28, 14.2, 0.8, 1, 801],
];

describe("one disc spring against the standard's table", () => {
  it.each(rows)("%f × %f × %f, cone %f: %f N", (outside, inside, t, h0, force) => {
    const one = disc(outside, inside, t, h0);
    expect(Math.abs(discForce(one, halfUp(0.75 * h0)) / force - 1)).toBeLessThan(0.01);
    expect(Math.abs(discForce(one, 0.75 * h0) / force - 1)).toBeLessThan(0.02);
  });

  it("has the coefficients of δ = 1.5, 2 and 3 (DIN EN 16984)", () => {
    for (const [delta, k1, k2, k3] of [
      [1.5, 0.5248, 1.0982, 1.1776],
      [2, 0.69433, 1.21978, 1.37767],
      [3, 0.788, 1.4263, 1.7384],
    ] as const) {
      const k = coefficients(delta);
      expect(k.k1).toBeCloseTo(k1, 3);
      expect(k.k2).toBeCloseTo(k2, 3);
      expect(k.k3).toBeCloseTo(k3, 3);
    }
  });

  // Governing stress at the tabulated deflection, DIN EN 16983 (recalled): II in series A, III in B and C.
  it.each([
    [disc(8, 4.2, 0.4, 0.2), 0.15, "iiMpa", 1220],
    [disc(16, 8.2, 0.9, 0.35), 0.26, "iiMpa", 1290],
    [disc(20, 10.2, 1.1, 0.45), 0.34, "iiMpa", 1300],
    [disc(8, 4.2, 0.3, 0.25), 0.19, "iiiMpa", 1330],
    [disc(10, 5.2, 0.4, 0.3), 0.23, "iiiMpa", 1300],
    [disc(8, 4.2, 0.2, 0.25), 0.19, "iiiMpa", 1040],
  ] as const)("%j at %f mm: %s is %f MPa", (one, s, which, mpa) => {
    const stress = discStress(one, s);
    expect(Math.abs(stress[which] / mpa - 1)).toBeLessThan(0.01);
    expect(Math.max(stress.iiMpa, stress.iiiMpa)).toBe(stress[which]);
  });

  it("stores the energy of the closed form (DIN EN 16984), by summing its force", () => {
    const one = disc(20, 10.2, 1.1, 0.45);
    const steps = 20_000;
    const end = 0.3375;
    let work = 0;
    for (let i = 0; i < steps; i++) work += (discForce(one, ((i + 0.5) * end) / steps) * end) / steps;
    expect(work).toBeCloseTo(266.445, 2);
  });

  it("snaps above √2: the largest force lies before flat", () => {
    const one = disc(20, 10, 0.5, 0.85);
    expect(snapDeflection(one)).toBeCloseTo(0.57766, 4);
    expect(discForce(one, 0.57766)).toBeCloseTo(379.33, 1);
    expect(discForce(one, 0.85)).toBeCloseTo(346.41, 1);
    expect(snapDeflection(disc(20, 10, 0.5, 0.7))).toBeNull();
  });

  it("goes by E and ν of the metal: spring steel 206 GPa and 0.3 (DIN EN 16984), stainless and phosphor bronze from memory of handbooks", () => {
    const plate = (gigapascals: number, poisson: number) => (1000 * gigapascals) / (1 - poisson ** 2);
    expect(platedModulus("spring steel")).toBeCloseTo(plate(206, 0.3), 0);
    // 17-7 PH and 1.4310 lie at 190 to 200 GPa, CuSn8 at 110 to 120; their ν near 0.3 and 0.34.
    expect(platedModulus("stainless steel")).toBeGreaterThan(plate(188, 0.28));
    expect(platedModulus("stainless steel")).toBeLessThan(plate(202, 0.31));
    expect(platedModulus("bronze")).toBeGreaterThan(plate(110, 0.33));
    expect(platedModulus("bronze")).toBeLessThan(plate(121, 0.35));
  });

  it("is softer in bronze than in steel", () => {
    expect(platedModulus("bronze")).toBeLessThan(platedModulus("stainless steel"));
    expect(platedModulus("stainless steel")).toBeLessThan(platedModulus("spring steel"));
  });
});

const one = disc(20, 10.2, 1.1, 0.45);
const up = (count: number, so = true) => Array.from({ length: count }, () => ({ disc: one, up: so }));

describe("stacks", () => {
  it("two nested in three opposed groups: the algebra of DIN EN 16984", () => {
    const stack = stackOf([...up(2), ...up(2, false), ...up(2)]);
    expect(stack.groups.map(({ nested }) => nested)).toEqual([2, 2, 2]);
    expect(stackHeight(stack)).toBeCloseTo(7.95, 6);
    const point = stackCurve(stack, 4).find(({ strokeMm }) => Math.abs(strokeMm - 1.0125) < 1e-9)!;
    expect(point.forceN).toBeCloseTo(3041.6, 0);
  });

  it("nested by mistake a pair is four times as stiff as opposed", () => {
    const opposed = stackOf([
      { disc: one, up: true },
      { disc: one, up: false },
    ]);
    const nested = stackOf([
      { disc: one, up: true },
      { disc: one, up: true },
    ]);
    const small = 0.001;
    expect(stackForce(nested, small) / stackForce(opposed, small)).toBeCloseTo(4, 1);
    expect(stackStroke(nested)).toBeCloseTo(stackStroke(opposed) / 2, 9);
  });

  it("gives the same force through groups in any order, and the softer one flat first", () => {
    const soft = disc(20, 10.2, 0.8, 0.55);
    const a = stackOf([
      { disc: one, up: true },
      { disc: soft, up: false },
    ]);
    const b = stackOf([
      { disc: soft, up: true },
      { disc: one, up: false },
    ]);
    for (const force of [100, 500, 900, 1500]) expect(stackDeflection(a, force)).toBeCloseTo(stackDeflection(b, force), 9);
    expect(stackDeflection(a, 1200)).toBeGreaterThanOrEqual(soft.coneHeightMm);
  });

  it("adds the forces of unlike ones in one direction, which share their travel", () => {
    // Same cone, other thickness: each at the same travel.
    const thin = disc(20, 10.2, 0.8, 0.45);
    const both = stackOf([
      { disc: one, up: true },
      { disc: thin, up: true },
    ]);
    expect(stackStroke(both)).toBeCloseTo(0.45, 9);
    for (const s of [0.1, 0.2, 0.3]) expect(stackForce(both, s)).toBeCloseTo(discForce(one, s) + discForce(thin, s), 1);
    expect(stackNotes(both)).toEqual([
      expect.stringMatching(/^Unlike washers in one direction share their travel, and their forces add up\.$/),
    ]);
    // Another modulus is another washer.
    const bronze = { ...one, platedModulusMpa: platedModulus("bronze") };
    const mixed = stackOf([
      { disc: one, up: true },
      { disc: bronze, up: true },
    ]);
    expect(stackForce(mixed, 0.2)).toBeCloseTo(discForce(one, 0.2) + discForce(bronze, 0.2), 1);
    // A higher cone carries alone until it is down to the other.
    const high = disc(20, 10.2, 0.8, 0.55);
    const uneven = stackOf([
      { disc: high, up: true },
      { disc: one, up: true },
    ]);
    expect(stackForce(uneven, 0.08)).toBeCloseTo(discForce(high, 0.08), 1);
    expect(stackForce(uneven, 0.3)).toBeCloseTo(discForce(high, 0.3) + discForce(one, 0.2), 1);
    expect(stackNotes(uneven)[0]).toMatch(/carries alone for the first 0\.10 mm/);
    expect(stackDeflection(uneven, stackForce(uneven, 0.3))).toBeCloseTo(0.3, 3);
  });

  it("says which cones are outside the standard's sizes, and what is past flat", () => {
    for (const [outside, inside, t, h0] of rows)
      expect(stackNotes(stackOf([{ disc: disc(outside, inside, t, h0), up: true }]))).toEqual([]);
    expect(stackNotes(stackOf([{ disc: disc(30, 8, 1, 0.5), up: true }]))).toEqual([expect.stringMatching(/outside \/ inside is 3\.75/)]);
    expect(stackNotes(stackOf([{ disc: disc(20, 10, 0.3, 0.6), up: true }]))[0]).toMatch(/cone \/ thickness is 2\.00/);
    expect(isPastFlat(stackOf(up(1)), 0.45)).toBe(false);
    expect(isPastFlat(stackOf(up(1)), 0.46)).toBe(true);
  });

  it("counts a flat washer as rigid, and one alone as no spring at all", () => {
    const flat = disc(20, 10.2, 1, 0);
    expect(stackDeflection(stackOf([{ disc: flat, up: true }, ...up(1)]), 400)).toBeCloseTo(stackDeflection(stackOf(up(1)), 400), 9);
    expect(stackCurve(stackOf([{ disc: flat, up: true }]))).toEqual([{ strokeMm: 0, forceN: 0, higherInTruth: false }]);
  });

  it("rises with the stroke unless a spring snaps, and says where the law no longer holds", () => {
    for (const [outside, inside, t, h0] of rows) {
      const curve = stackCurve(stackOf([{ disc: disc(outside, inside, t, h0), up: true }]), 40);
      if (h0 / t <= Math.SQRT2) for (let i = 1; i < curve.length; i++) expect(curve[i]!.forceN).toBeGreaterThan(curve[i - 1]!.forceN);
      expect(curve.filter(({ higherInTruth }) => higherInTruth).length).toBe(10);
    }
    const snap = stackCurve(stackOf([{ disc: disc(20, 10, 0.5, 0.85), up: true }]), 100).map(({ forceN }) => forceN);
    expect(Math.max(...snap)).toBeGreaterThan(snap.at(-1)!);
  });
});

describe("what cannot be a disc", () => {
  it.each([
    [disc(10, 12, 1, 0.3), "insideMm"],
    [disc(10, 10, 1, 0.3), "insideMm"],
    [disc(-1, 5, 1, 0.3), "outsideMm"],
    [disc(20, Number.NaN, 1, 0.3), "insideMm"],
    [disc(20, 10, 0, 0.3), "thicknessMm"],
    [disc(20, 10, 15, 0.3), "thicknessMm"],
    [disc(20, 10, 1, -0.1), "coneHeightMm"],
    [disc(20, 10, 1, 40), "coneHeightMm"],
  ] as const)("%j: at %s", (bad, field) => expect(discFault(bad)?.field).toBe(field));

  it("has nothing against one that can", () => expect(discFault(one)).toBeNull());
});
