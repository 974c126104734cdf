import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findThread, holeLimits, screwLimits, threadFault } from "./find-thread";
import { nutMinor, stressArea, threadTable } from "./thread-table";

const thread = (name: string) => threadTable.find((size) => size.name === name)!;

describe("threads by their standards", () => {
  // ISO 898-1, stress areas as printed (coarse), mm².
  it.each([
    [1.6, 0.35, 1.27],
    [2, 0.4, 2.07],
    [2.5, 0.45, 3.39],
    [3, 0.5, 5.03],
    [3.5, 0.6, 6.78],
    [4, 0.7, 8.78],
    [5, 0.8, 14.2],
    [6, 1, 20.1],
    [7, 1, 28.9],
    [8, 1.25, 36.6],
    [8, 1, 39.2],
  ])("M%f × %f: %f mm²", (diameterMm, pitchMm, area) => {
    expect(Math.abs(stressArea({ diameterMm, pitchMm }) / area - 1)).toBeLessThan(0.005);
  });

  // ISO 724, minor diameters.
  it.each([
    ["M2 × 0.4", 1.567],
    ["M2.5 × 0.45", 2.013],
    ["M3 × 0.5", 2.459],
    ["M4 × 0.7", 3.242],
    ["M5 × 0.8", 4.134],
    ["M6 × 1", 4.917],
    ["M8 × 1.25", 6.647],
  ] as const)("%s: %f mm", (name, d1) => {
    expect(nutMinor(thread(name))).toBeCloseTo(d1, 3);
  });

  it("numbers its unified sizes by rule: #0 is 0.060 in, #8 0.164 in", () => {
    expect(thread("#0-80 UNF").diameterMm / 25.4).toBeCloseTo(0.06, 9);
    expect(thread("#8-32 UNC").diameterMm / 25.4).toBeCloseTo(0.164, 9);
  });

  it("a true M3 measures 2.87 to 2.98 mm (common practice)", () => {
    const { low, high } = screwLimits(thread("M3 × 0.5"));
    expect(low).toBeCloseTo(2.87, 2);
    expect(high).toBeCloseTo(2.98, 2);
  });
});

describe("which thread is it", () => {
  const near = (diameterMm: number, mm?: number) =>
    findThread({ of: "screw", diameterMm, offMm: 0.02, ...(mm === undefined ? {} : { pitch: { mm, offMm: 0.03 } }) });

  it("tells near pairs by their pitch, and says where the pitch cannot", () => {
    const both = near(2.86);
    expect(both.certain).toBe(false);
    expect(both.matches.map(({ size }) => size.name)).toContain("M3 × 0.5");
    expect(near(2.93, 0.5).matches.map(({ size }) => size.name)).toEqual(["M3 × 0.5"]);
    // #10-32 and M5: 0.794 against 0.8 mm.
    const ten = findThread({ of: "screw", diameterMm: 4.8, offMm: 0.1, pitch: { mm: 0.8, offMm: 0.02 } });
    expect(ten.matches.map(({ size }) => size.name)).toEqual(expect.arrayContaining(["M5 × 0.8", "#10-32 UNF"]));
    expect(ten.certain).toBe(false);
    expect(ten.tell.join(" ")).toMatch(/pitch cannot separate/);
  });

  it("finds the true thread for any screw made to it, worn or plated, within what the caliper is off, and is never wrongly certain", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...threadTable),
        fc.double({ min: -0.05, max: 1.02, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (size, share, caliper, pitchOff) => {
          const { low, high } = screwLimits(size);
          const answer = findThread({
            of: "screw",
            diameterMm: low + Math.min(1, Math.max(0, share)) * (high - low) + caliper * 0.03,
            offMm: 0.03,
            pitch: { mm: size.pitchMm + pitchOff * 0.02, offMm: 0.02 },
          });
          expect(answer.matches.map((match) => match.size)).toContain(size);
          if (answer.certain) expect(answer.matches[0]!.size).toBe(size);
        },
      ),
    );
  });

  it("finds a hole by its minor diameter", () => {
    fc.assert(
      fc.property(fc.constantFrom(...threadTable), fc.double({ min: 0, max: 1, noNaN: true }), (size, share) => {
        const { low, high } = holeLimits(size);
        const { matches } = findThread({ of: "hole", diameterMm: low + share * (high - low), offMm: 0.02 });
        expect(matches.map((match) => match.size)).toContain(size);
      }),
    );
  });

  it("says nothing rather than the nearest", () => {
    expect(near(6.6).matches).toEqual([]);
    expect(near(2.93, 0.9).matches).toEqual([]);
  });

  it("refuses what cannot be, at its field", () => {
    expect(threadFault({ of: "screw", diameterMm: -1, offMm: 0 })?.field).toBe("diameterMm");
    expect(threadFault({ of: "screw", diameterMm: Number.NaN, offMm: 0 })?.field).toBe("diameterMm");
    expect(threadFault({ of: "screw", diameterMm: 3, offMm: -1 })?.field).toBe("offMm");
    expect(threadFault({ of: "screw", diameterMm: 3, offMm: 0, pitch: { mm: 0, offMm: 0 } })?.field).toBe("pitch");
    expect(threadFault({ of: "hole", diameterMm: 2.5, offMm: 0.05 })).toBeNull();
  });
});
