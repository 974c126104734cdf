import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findThread, holeLimits, screwLimits, threadFault } from "./find-thread";
import { flankDegrees, nutMinor, screwCore, stressArea, threadTable } from "./thread-table";

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

  // BS 93 (British Association): diameter, pitch and core, mm; BS 84 (Whitworth): core, in. From memory.
  it.each([
    ["0BA", 6, 1, 4.8],
    ["1BA", 5.3, 0.9, 4.22],
    ["2BA", 4.7, 0.81, 3.73],
    ["4BA", 3.6, 0.66, 2.81],
    ["6BA", 2.8, 0.53, 2.16],
    ["8BA", 2.2, 0.43, 1.68],
    ["10BA", 1.7, 0.35, 1.28],
  ] as const)("%s: %f × %f, core %f, 47.5°", (name, diameterMm, pitchMm, core) => {
    expect(thread(name)).toMatchObject({ diameterMm, pitchMm, certainty: "memory" });
    expect(screwCore(thread(name))).toBeCloseTo(core, 2);
    expect(flankDegrees[thread(name).system]).toBe(47.5);
  });
  it.each([
    ["1/8-40 BSW", 0.093],
    ["3/16-24 BSW", 0.1341],
    ["1/4-20 BSW", 0.186],
    ["5/16-18 BSW", 0.2414],
    ["3/8-16 BSW", 0.295],
    ["1/4-26 BSF", 0.2007],
  ] as const)("%s: core %f in, 55°", (name, core) => {
    expect(screwCore(thread(name)) / 25.4).toBeCloseTo(core, 3);
    expect(nutMinor(thread(name)) / 25.4).toBeCloseTo(core, 3);
    expect(flankDegrees[thread(name).system]).toBe(55);
  });
  it("goes to M10: 58 mm² coarse, 61.2 fine (ISO 898-1)", () => {
    expect(stressArea(thread("M10 × 1.5"))).toBeCloseTo(58, 0);
    expect(stressArea(thread("M10 × 1.25"))).toBeCloseTo(61.2, 1);
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

  it("is not certain while another standard is within what a caliper can be off, however fine it was typed", () => {
    // #10-32 has 0.794 mm, M5 0.8: a pitch read as exactly 0.8 does not part them.
    const five = findThread({ of: "screw", diameterMm: 4.8, offMm: 0, pitch: { mm: 0.8, offMm: 0 } });
    expect(five.certain).toBe(false);
    // 1/4 in by 20: Whitworth and Unified share diameter and pitch.
    const quarter = findThread({ of: "screw", diameterMm: 6.28, offMm: 0.02, pitch: { mm: 1.27, offMm: 0.02 } });
    expect(quarter.matches.map(({ size }) => size.name)).toEqual(expect.arrayContaining(["1/4-20 UNC", "1/4-20 BSW"]));
    expect(quarter.tell.join(" ")).toMatch(/flanks of 60° against 55°|flanks of 55° against 60°/);
    // Worn below what #12-28 can be: 1BA alone.
    expect(findThread({ of: "screw", diameterMm: 5.15, offMm: 0.02, pitch: { mm: 0.9, offMm: 0.01 } })).toMatchObject({
      certain: true,
      matches: [{ size: { name: "1BA" } }],
    });
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
