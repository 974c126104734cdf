import { describe, expect, it } from "vitest";
import {
  type DiscSpring,
  discFault,
  discForce,
  platedModulus,
  snapDeflection,
  springSteelMpa,
  stackCurve,
  stackDeflection,
  stackForce,
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
const stiff = disc(20, 10.2, 1.1, 0.45);
const soft = disc(20, 10.2, 0.8, 0.55);
const row = (...discs: readonly (readonly [DiscSpring, boolean])[]) => stackOf(discs.map(([one, up]) => ({ disc: one, up })));

describe("unlike groups in series", () => {
  // Two stiff ones nested against a soft one: the soft one is flat first.
  const stack = row([stiff, true], [stiff, true], [soft, false]);
  const curve = stackCurve(stack, 50);

  it("have a curve of even steps of force, each at the sum of what both give", () => {
    expect(curve).toHaveLength(51);
    const most = 2 * discForce(stiff, 0.45);
    for (const [i, { forceN, strokeMm }] of curve.entries()) {
      expect(forceN).toBeCloseTo((most * i) / 50, 6);
      expect(strokeMm).toBeCloseTo(stackDeflection(stack, forceN), 9);
    }
    expect(curve.at(-1)!.strokeMm).toBeCloseTo(stackStroke(stack), 9);
    expect(curve[0]!.strokeMm).toBe(0);
  });

  it("hold the law's end where the first of them comes to three quarters of its cone", () => {
    const ends = discForce(soft, 0.75 * 0.55);
    for (const { forceN, higherInTruth } of curve) expect(higherInTruth, `${forceN} N`).toBe(forceN > ends);
    expect(curve.some(({ higherInTruth }) => higherInTruth)).toBe(true);
    expect(curve.some(({ higherInTruth }) => !higherInTruth)).toBe(true);
  });

  it("are told from like ones by how many are nested and by each disc in its place", () => {
    const thin = disc(20, 10.2, 0.9, 0.45);
    for (const other of [
      row([stiff, true], [stiff, true], [stiff, false]),
      row([stiff, true], [thin, true], [stiff, false], [soft, false]),
      row([soft, true], [stiff, false]),
    ])
      for (const { forceN, strokeMm } of stackCurve(other, 20)) expect(strokeMm).toBeCloseTo(stackDeflection(other, forceN), 9);
  });

  it("of one kind have the law itself, whatever their number", () => {
    const like = stackCurve(row([stiff, true], [stiff, false], [stiff, true]), 9);
    for (const [i, { strokeMm, forceN }] of like.entries()) {
      expect(strokeMm).toBeCloseTo((3 * 0.45 * i) / 9, 12);
      expect(forceN).toBeCloseTo(discForce(stiff, (0.45 * i) / 9), 9);
    }
  });
});

describe("a group under a force", () => {
  const one = row([stiff, true]);

  it("gives nothing under none, and is flat at what makes it flat and above", () => {
    expect(stackDeflection(one, 0)).toBe(0);
    expect(stackDeflection(one, -5)).toBe(0);
    expect(stackDeflection(one, discForce(stiff, 0.45))).toBe(0.45);
    expect(stackDeflection(one, 1e6)).toBe(0.45);
    expect(stackDeflection(one, discForce(stiff, 0.2))).toBeCloseTo(0.2, 12);
  });

  it("of unlike discs snaps where their sum first falls", () => {
    const snapping = disc(20, 10, 0.5, 0.85);
    const weak = disc(20, 10, 0.2, 0.3);
    const both = row([snapping, true], [weak, true]);
    const force = (s: number) => discForce(snapping, s) + Math.max(0, s > 0.55 ? discForce(weak, s - 0.55) : 0);
    // Found by walking the sum in steps of a thousandth.
    let peak = 0;
    while (force(peak + 0.001) > force(peak)) peak += 0.001;
    expect(peak).toBeLessThan(0.8);
    expect(stackDeflection(both, force(peak) - 0.5)).toBeLessThan(peak);
    expect(stackDeflection(both, force(peak) - 0.5)).toBeGreaterThan(peak - 0.1);
    expect(stackDeflection(both, force(peak) + 0.5)).toBe(0.85);
    // Two that only rise are flat only at the end.
    const rising = row([soft, true], [stiff, true]);
    const nearly = discForce(soft, 0.54) + discForce(stiff, 0.44);
    expect(stackDeflection(rising, nearly)).toBeCloseTo(0.54, 6);
  });

  it("is parted from its neighbour by a flat washer, and from one that looks the other way", () => {
    const flat = disc(20, 10.2, 1, 0);
    const nested = (...discs: readonly (readonly [DiscSpring, boolean])[]) => row(...discs).groups.map((group) => group.nested);
    expect(nested([stiff, true], [flat, true], [stiff, true])).toEqual([1, 1, 1]);
    expect(nested([stiff, true], [stiff, true], [stiff, false])).toEqual([2, 1]);
    expect(nested([flat, true], [flat, true])).toEqual([1, 1]);
  });
});

describe("the force at a stroke", () => {
  const one = row([stiff, true]);

  it("is none before contact, and stays at the last when all is flat", () => {
    expect(stackForce(one, 0)).toBe(0);
    expect(stackForce(one, -0.1)).toBe(0);
    expect(stackForce(one, 3)).toBe(discForce(stiff, 0.45));
    expect(stackForce(one, 0.2)).toBeCloseTo(discForce(stiff, 0.2), 1);
  });
});

describe("what is said of a stack", () => {
  const unlike = (a: DiscSpring, b: DiscSpring) => stackNotes(row([a, true], [b, true])).some((note) => note.startsWith("Unlike washers"));

  it("is that two in one direction are unlike in any of their sizes, or in their metal", () => {
    expect(unlike(stiff, { ...stiff, outsideMm: 21 })).toBe(true);
    expect(unlike(stiff, { ...stiff, insideMm: 10 })).toBe(true);
    expect(unlike(stiff, { ...stiff, thicknessMm: 1 })).toBe(true);
    expect(unlike(stiff, { ...stiff, coneHeightMm: 0.4 })).toBe(true);
    expect(unlike(stiff, { ...stiff, platedModulusMpa: platedModulus("bronze") })).toBe(true);
    expect(unlike(stiff, { ...stiff })).toBe(false);
    expect(unlike(stiff, { ...stiff, platedModulusMpa: springSteelMpa })).toBe(false);
  });

  const note = (one: DiscSpring) => stackNotes(row([one, true]));

  it("is which proportion lies outside the standard's sizes, their ends among them (DIN EN 16983)", () => {
    for (const within of [
      disc(17.5, 10, 1, 1),
      disc(25, 10, 1, 1),
      disc(14, 7, 1, 1),
      disc(42, 21, 1, 1),
      disc(20, 10, 1, 0.35),
      disc(20, 10, 1, 1.45),
    ])
      expect(note(within), JSON.stringify(within)).toEqual([]);
    expect(note(disc(17.4, 10, 1, 1))[0]).toBe(
      "17.4 × 10 × 1 is none of the standard's: outside / inside is 1.74, not 1.75 to 2.5. The law is less sure there.",
    );
    expect(note(disc(26, 10, 1, 1))[0]).toMatch(/outside \/ inside is 2\.60,/);
    expect(note(disc(13, 6.5, 1, 1))[0]).toMatch(/outside \/ thickness is 13, not 14 to 42/);
    expect(note(disc(43, 21, 1, 1))[0]).toMatch(/outside \/ thickness is 43, not 14 to 42/);
    expect(note(disc(20, 10, 1, 0.34))[0]).toMatch(/cone \/ thickness is 0\.34, not 0\.35 to 1\.45/);
    expect(note(disc(20, 10, 1, 1.46))[0]).toMatch(/cone \/ thickness is 1\.46,/);
    expect(note(disc(13, 10, 1, 1))[0]).toMatch(/is 1\.30, not 1\.75 to 2\.5; outside \/ thickness is 13,/);
  });

  it("is nothing of a flat washer, and each thing once", () => {
    expect(note(disc(20, 2, 5, 0))).toEqual([]);
    const odd = disc(13, 6.5, 1, 1);
    expect(stackNotes(row([odd, true], [{ ...odd }, false]))).toHaveLength(1);
  });
});

describe("what cannot be a disc", () => {
  it("is said at the size, with why", () => {
    expect(discFault(disc(0, 5, 1, 0.3))).toEqual({ field: "outsideMm", message: "A size is a number above 0 mm." });
    expect(discFault(disc(20, 10, 1, -0.1))).toEqual({ field: "coneHeightMm", message: expect.stringMatching(/0 for a flat washer/) });
    expect(discFault(disc(20, 10, 1, Number.NaN))?.field).toBe("coneHeightMm");
    expect(discFault(disc(20, 20, 1, 0.3))).toEqual({ field: "insideMm", message: expect.stringMatching(/20 against 20 mm/) });
    expect(discFault(disc(20, 10, 10, 0.3))).toEqual({ field: "thicknessMm", message: expect.stringMatching(/thicker/) });
    expect(discFault(disc(20, 10, 1, 10.1))).toEqual({ field: "coneHeightMm", message: expect.stringMatching(/higher than half/) });
  });

  it("does not hold at its very limits", () => {
    expect(discFault(disc(20, 10, 1, 0))).toBeNull();
    expect(discFault(disc(20, 10, 9.9, 0.3))).toBeNull();
    expect(discFault(disc(20, 10, 1, 10))).toBeNull();
  });

  it("does not snap at a cone of √2 thicknesses", () => {
    expect(snapDeflection(disc(20, 10, 1, Math.SQRT2))).toBeNull();
    expect(snapDeflection(disc(20, 10, 1, 1.42))).not.toBeNull();
  });

  it("is of the modulus the standard's table fixes for spring steel", () => expect(platedModulus("spring steel")).toBe(226_374));
});
