import { describe, expect, it } from "vitest";
import { feels, feelsOf, judgeFeel } from "./feel";

const shaped = (kind: Parameters<typeof feelsOf>[0]["shape"]["kind"]) => ({ shape: { kind } });

describe("how a part feels as it goes in", () => {
  it("is asked of what turns, grips and springs, and of nothing else", () => {
    expect(feelsOf(shaped("bearing"))).toContain("rough");
    expect(feelsOf(shaped("pinion"))).toContain("tight");
    expect(feelsOf(shaped("screw"))).toContain("turns");
    expect(feelsOf(shaped("coil-spring"))).toContain("limp");
    for (const kind of ["frame", "washer", "foot", "o-ring", "handle"] as const) expect(feelsOf(shaped(kind)), kind).toEqual([]);
  });

  it("wants a new piece for a clean bearing that is rough, a limp spring and a thread that turns on; not for what may sit askew", () => {
    expect(judgeFeel(shaped("bearing"), "rough")?.wantsNew).toBe(true);
    expect(judgeFeel(shaped("wire-spring"), "limp")?.wantsNew).toBe(true);
    expect(judgeFeel(shaped("screw"), "turns")?.wantsNew).toBe(true);
    expect(judgeFeel(shaped("bearing"), "tight")?.wantsNew).toBe(false);
    expect(judgeFeel(shaped("gear"), "rough")?.wantsNew).toBe(false);
    expect(judgeFeel(shaped("nut"), "tight")?.words).toMatch(/not force/);
  });

  it("raises no alarm over what feels right, and says something of everything that does not", () => {
    for (const kind of ["bearing", "gear", "pinion", "screw", "nut", "coil-spring", "wave-spring"] as const)
      for (const feel of feelsOf(shaped(kind))) expect(judgeFeel(shaped(kind), feel) === null, `${kind} ${feel}`).toBe(feels[feel].good);
  });
});
