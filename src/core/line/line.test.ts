import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  backingM,
  capacityM,
  diameterForCapacity,
  diameterWithLeft,
  lineFault,
  nylonByBreakingKg,
  packings,
  ringVolume,
  type SpoolRing,
} from "./line";

const ring: SpoolRing = { arborMm: 30, fullMm: 50, widthMm: 15 };

describe("line on a spool", () => {
  it("packs by the densities of geometry (Thue, Lagrange)", () => {
    expect(packings.square).toBeCloseTo(0.785398, 6);
    expect(packings.hexagonal).toBeCloseTo(0.9069, 6);
  });

  it("arbor 30, full 50, width 15: the worked lengths", () => {
    expect(ringVolume(ring)).toBeCloseTo(18849.556, 3);
    expect(capacityM(ring, 0.3, "square")).toBeCloseTo(209.44, 2);
    expect(capacityM(ring, 0.3, "hexagonal")).toBeCloseTo(241.84, 2);
    expect(capacityM(ring, 0.25, "square")).toBeCloseTo(301.593, 2);
  });

  it("laid turn by turn in whole layers it holds what the square rule says of the filled ring", () => {
    // 33 layers of 50 turns of 0.3 mm, each at its own radius.
    let metres = 0;
    for (let layer = 0; layer < 33; layer++) metres += (50 * Math.PI * (30 + 0.3 * (2 * layer + 1))) / 1000;
    expect(metres).toBeCloseTo(206.827, 2);
    expect(capacityM({ ...ring, fullMm: 30 + 2 * 33 * 0.3 }, 0.3, "square")).toBeCloseTo(metres, 6);
  });

  const anyRing = fc.record({
    arborMm: fc.double({ min: 8, max: 60, noNaN: true }),
    fullMm: fc.double({ min: 61, max: 120, noNaN: true }),
    widthMm: fc.double({ min: 5, max: 60, noNaN: true }),
  });

  it("goes round: diameter for a capacity, share left for a diameter; a finer line is longer as the square", () => {
    fc.assert(
      fc.property(anyRing, fc.double({ min: 0.1, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (any, mm, share) => {
        expect(diameterForCapacity(any, capacityM(any, mm, "square"), "square")).toBeCloseTo(mm, 9);
        // By areas of the ring: what is left is to the whole as the line on it is.
        const left = diameterWithLeft(any, share);
        expect((left ** 2 - any.arborMm ** 2) / (any.fullMm ** 2 - any.arborMm ** 2)).toBeCloseTo(share, 9);
        expect(capacityM(any, mm / 2, "square")).toBeCloseTo(4 * capacityM(any, mm, "square"), 6);
      }),
    );
  });

  it("backing and main line together fill the ring exactly; too much main line leaves less than none", () => {
    fc.assert(
      fc.property(
        anyRing,
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        (any, main, backing) => {
          const metres = capacityM(any, main, "square") * 0.6;
          const under = backingM(any, { mm: main, metres }, backing, "square");
          expect((under * backing ** 2 + metres * main ** 2) * 1000).toBeCloseTo(ringVolume(any), 3);
        },
      ),
    );
    expect(backingM(ring, { mm: 0.3, metres: 250 }, 0.4, "square")).toBeLessThan(0);
  });

  it.each([
    [{ ...ring, arborMm: 0 }, 0.3, "arborMm"],
    [{ ...ring, fullMm: 20 }, 0.3, "fullMm"],
    [{ ...ring, widthMm: Number.NaN }, 0.3, "widthMm"],
    [ring, -1, "lineMm"],
    [ring, 30, "lineMm"],
  ] as const)("refuses what cannot be, at %s", (bad, mm, field) => expect(lineFault(bad, mm)?.field).toBe(field));
  it.each([
    [{ arborMm: 300, fullMm: 400, widthMm: 200 }, 3, null],
    [{ arborMm: 0.1, fullMm: 0.2, widthMm: 0.1 }, 0.03, null],
    [{ ...ring, arborMm: 300.1, fullMm: 350 }, 0.3, "The arbor is above 0 mm across."],
    [{ ...ring, arborMm: -1 }, 0.3, "The arbor is above 0 mm across."],
    [{ ...ring, fullMm: 30 }, 0.3, "The full spool is wider than its arbor."],
    [{ ...ring, fullMm: 400.1 }, 0.3, "The full spool is wider than its arbor."],
    [{ ...ring, widthMm: 0 }, 0.3, "The width between the flanges is above 0 mm."],
    [{ ...ring, widthMm: 200.1 }, 0.3, "The width between the flanges is above 0 mm."],
    [ring, 0.029, "A line is 0.03 to 3 mm across."],
    [ring, 3.01, "A line is 0.03 to 3 mm across."],
  ] as const)("knows its bounds and says them: %o, %f", (bad, mm, message) => expect(lineFault(bad, mm)?.message ?? null).toBe(message));

  it("knows nylon by its class: stronger is thicker, and every class has its range (common practice)", () => {
    expect(nylonByBreakingKg.length).toBe(7);
    for (const [i, [kg, low, high]] of nylonByBreakingKg.entries()) {
      expect(low).toBeLessThan(high);
      // Strength goes with the section: kilograms a square millimetre of 55 to 110 over all classes.
      expect(kg / ((Math.PI / 4) * ((low + high) / 2) ** 2)).toBeGreaterThan(50);
      expect(kg / ((Math.PI / 4) * ((low + high) / 2) ** 2)).toBeLessThan(115);
      if (i) expect(kg).toBeGreaterThan(nylonByBreakingKg[i - 1]![0]);
    }
  });

  it("has nothing against one that can", () => expect(lineFault(ring, 0.3)).toBeNull());
});
