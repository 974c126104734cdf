import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findThread, holeLimits, screwLimits, threadFault } from "./find-thread";
import { flankDegrees, nutMinor, screwCore, stressArea, threadTable } from "./thread-table";

const thread = (name: string) => threadTable.find((size) => size.name === name)!;

describe("the table of threads", () => {
  // The sizes as their standards name them (ISO 261, ASME B1.1; BS 93, BS 84 and old metric from memory).
  it.each([
    [
      "ISO metric",
      "1.6 × 0.35|2 × 0.4|2.5 × 0.45|3 × 0.5|3.5 × 0.6|4 × 0.7|5 × 0.8|6 × 1|7 × 1|8 × 1.25|10 × 1.5|1.8 × 0.35|2.2 × 0.45|4.5 × 0.75|1.6 × 0.2|2 × 0.25|2.5 × 0.35|3 × 0.35|3.5 × 0.35|4 × 0.5|5 × 0.5|6 × 0.75|7 × 0.75|8 × 1|8 × 0.75|9 × 1.25|10 × 1.25|10 × 1|10 × 0.75"
        .split("|")
        .map((size) => `M${size}`),
    ],
    [
      "Unified",
      "#0-80 UNF|#1-64 UNC|#1-72 UNF|#2-56 UNC|#2-64 UNF|#3-48 UNC|#3-56 UNF|#4-40 UNC|#4-48 UNF|#5-40 UNC|#5-44 UNF|#6-32 UNC|#6-40 UNF|#8-32 UNC|#8-36 UNF|#10-24 UNC|#10-32 UNF|#12-24 UNC|#12-28 UNF|1/4-20 UNC|1/4-28 UNF".split(
        "|",
      ),
    ],
    ["BA", Array.from({ length: 11 }, (_, n) => `${n}BA`)],
    [
      "Whitworth",
      "1/16-60|3/32-48|1/8-40|5/32-32|3/16-24|7/32-24|1/4-20|5/16-18|3/8-16"
        .split("|")
        .map((size) => `${size} BSW`)
        .concat("3/16-32|7/32-28|1/4-26|5/16-22|3/8-20".split("|").map((size) => `${size} BSF`)),
    ],
    ["old metric", ["2.3 × 0.4", "2.6 × 0.45", "3 × 0.6", "4 × 0.75"].map((size) => `M${size}, before ISO`)],
  ])("holds %s whole, each once, by the names people use", (system, names) => {
    expect(
      threadTable
        .filter((size) => size.system === system)
        .map(({ name }) => name)
        .sort(),
    ).toEqual([...names].sort());
  });

  it("says which rows are from memory: all of BA, Whitworth and old metric, and of ISO those outside the coarse row", () => {
    for (const { system, certainty } of threadTable) {
      if (["BA", "Whitworth", "old metric"].includes(system)) expect(certainty).toBe("memory");
      if (system === "Unified") expect(certainty).toBe("standard");
    }
    expect(thread("M2.2 × 0.45").certainty).toBe("memory");
    expect(thread("M8 × 1").certainty).toBe("standard");
  });

  it("reckons a stress area for flanks that are not 60° too: between core and outside", () => {
    for (const name of ["2BA", "1/4-20 BSW"]) {
      const size = thread(name);
      const circle = (d: number) => (Math.PI / 4) * d ** 2;
      // Three quarters of the depth off: (d − 0.75 · core · p)² π/4 by hand for each.
      expect(stressArea(size)).toBeGreaterThan(circle(screwCore(size)));
      expect(stressArea(size)).toBeLessThan(circle(size.diameterMm));
    }
    expect(stressArea(thread("2BA"))).toBeCloseTo((Math.PI / 4) * (4.7 - 1.2 * 0.75 * 0.81) ** 2, 9);
  });

  it("takes a thread without a system for 60°", () => {
    expect(nutMinor({ diameterMm: 3, pitchMm: 0.5 })).toBeCloseTo(2.459, 3);
    expect(screwCore({ diameterMm: 3, pitchMm: 0.5 })).toBeCloseTo(2.387, 3);
  });
});

describe("what a thread measures as made", () => {
  // To eight thousandths: the standard rounds its tolerances to preferred numbers.
  // ISO 965-1 as printed, from memory: M3 6g major 2.980 / 2.874; M6 6g 5.974 / 5.794; M10 9.968 / 9.732; minor of 6H: M3 2.459 to 2.599, M6 4.917 to 5.153, M10 8.376 to 8.676.
  it.each([
    ["M3 × 0.5", 2.874, 2.98, 2.459, 2.599],
    ["M6 × 1", 5.794, 5.974, 4.917, 5.153],
    ["M10 × 1.5", 9.732, 9.968, 8.376, 8.676],
  ] as const)("%s", (name, low, high, holeLow, holeHigh) => {
    expect(Math.abs(screwLimits(thread(name)).low - low)).toBeLessThan(0.008);
    expect(Math.abs(screwLimits(thread(name)).high - high)).toBeLessThan(0.008);
    expect(Math.abs(holeLimits(thread(name)).low - holeLow)).toBeLessThan(0.008);
    expect(Math.abs(holeLimits(thread(name)).high - holeHigh)).toBeLessThan(0.008);
  });
});

describe("finding a thread, at its edges", () => {
  const names = (measure: Parameters<typeof findThread>[0]) => findThread(measure).matches.map(({ size }) => size.name);
  it("takes a screw worn by a twentieth or plated by a fiftieth, and a hole the other way round; not a hair further", () => {
    const m10 = thread("M10 × 1.5");
    const [screw, hole] = [screwLimits(m10), holeLimits(m10)];
    const pitch = { mm: 1.5, offMm: 0.01 };
    const at = (of: "screw" | "hole", diameterMm: number) => names({ of, diameterMm, offMm: 0.02, pitch }).includes("M10 × 1.5");
    expect([at("screw", screw.low - 0.069), at("screw", screw.low - 0.071)]).toEqual([true, false]);
    expect([at("screw", screw.high + 0.039), at("screw", screw.high + 0.041)]).toEqual([true, false]);
    expect([at("hole", hole.low - 0.039), at("hole", hole.low - 0.041)]).toEqual([true, false]);
    expect([at("hole", hole.high + 0.069), at("hole", hole.high + 0.071)]).toEqual([true, false]);
    // No caliper is better than two hundredths, no pitch than one; a worse one is believed.
    expect(names({ of: "screw", diameterMm: screw.low - 0.069, offMm: 0, pitch: { mm: 1.5, offMm: 0 } })).toContain("M10 × 1.5");
    expect(names({ of: "screw", diameterMm: screw.low - 0.2, offMm: 0.2, pitch })).toContain("M10 × 1.5");
    expect(names({ of: "screw", diameterMm: 9.85, offMm: 0.02, pitch: { mm: 1.509, offMm: 0 } })).toContain("M10 × 1.5");
    expect(names({ of: "screw", diameterMm: 9.85, offMm: 0.02, pitch: { mm: 1.512, offMm: 0 } })).not.toContain("M10 × 1.5");
  });

  it("puts the closest first by the middle of what each measures, and tells each pair of the first four apart", () => {
    const { matches, tell, certain } = findThread({ of: "screw", diameterMm: 3.95, offMm: 0.1 });
    const offs = matches.map(({ size, offMm }) => {
      const { low, high } = screwLimits(size);
      expect(offMm).toBeCloseTo(Math.abs(3.95 - (low + high) / 2), 12);
      return offMm;
    });
    expect(offs).toEqual([...offs].sort((a, b) => a - b));
    expect(certain).toBe(false);
    const first = Math.min(4, matches.length);
    expect(tell).toHaveLength((first * (first - 1)) / 2);
    expect(tell.every((words) => / or /.test(words))).toBe(true);
  });

  it("says over how many threads a pitch tells: ten where they differ by a tenth, twenty below, none below three hundredths", () => {
    const pair = (a: string, b: string) => {
      const all = threadTable.filter(({ name }) => name === a || name === b);
      const measure = { of: "screw" as const, diameterMm: all[0]!.diameterMm - 0.05, offMm: 0.6 };
      return findThread(measure).tell.find((words) => words.includes(`${a} or ${b}`) || words.includes(`${b} or ${a}`));
    };
    for (const { tell } of [
      findThread({ of: "screw", diameterMm: 3.95, offMm: 0.1 }),
      findThread({ of: "screw", diameterMm: 2.95, offMm: 0.1 }),
      findThread({ of: "screw", diameterMm: 6.2, offMm: 0.1 }),
    ])
      for (const words of tell) {
        const [a, b] = /^(.*) or (.*?): /
          .exec(words)!
          .slice(1)
          .map((name) => thread(name!)) as [(typeof threadTable)[number], (typeof threadTable)[number]];
        const apart = Math.abs(a.pitchMm - b.pitchMm);
        if (apart >= 0.1)
          expect(words).toContain(`over 10 threads ${(a.pitchMm * 10).toFixed(1)} against ${(b.pitchMm * 10).toFixed(1)} mm`);
        else if (apart >= 0.03)
          expect(words).toContain(`over 20 threads ${(a.pitchMm * 20).toFixed(1)} against ${(b.pitchMm * 20).toFixed(1)} mm`);
        else if (flankDegrees[a.system] !== flankDegrees[b.system])
          expect(words).toContain(`flanks of ${flankDegrees[a.system]}° against ${flankDegrees[b.system]}°`);
        else expect(words).toContain(`outside ${a.diameterMm.toFixed(2)} against ${b.diameterMm.toFixed(2)} mm`);
      }
    expect(pair("#10-24 UNC", "3/16-24 BSW") ?? "flanks").toContain("flanks");
  });

  it.each([
    [{ diameterMm: 0.5, offMm: 0, pitch: { mm: 5, offMm: 0 } }, null],
    [{ diameterMm: 30, offMm: 1 }, null],
    [{ diameterMm: 0.49, offMm: 0.1 }, "A diameter from 0.5 to 30 mm."],
    [{ diameterMm: 30.1, offMm: 0.1 }, "A diameter from 0.5 to 30 mm."],
    [{ diameterMm: 3, offMm: 1.01 }, "Caliper tolerance: 0 to 1 mm."],
    [{ diameterMm: 3, offMm: -0.01 }, "Caliper tolerance: 0 to 1 mm."],
    [{ diameterMm: 3, offMm: 0.1, pitch: { mm: 0.05, offMm: 0 } }, "A pitch from 0.05 to 5 mm."],
    [{ diameterMm: 3, offMm: 0.1, pitch: { mm: 5.01, offMm: 0 } }, "A pitch from 0.05 to 5 mm."],
    [{ diameterMm: 3, offMm: 0.1, pitch: { mm: 0.5, offMm: -0.01 } }, "A pitch from 0.05 to 5 mm."],
  ] as const)("knows its bounds and says them: %o", (measure, message) =>
    expect(threadFault({ of: "screw", ...measure })?.message ?? null).toBe(message),
  );
});

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
