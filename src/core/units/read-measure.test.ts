import { describe, expect, it } from "vitest";
import { readMeasure } from "./read-measure";

describe("a measured value as it is typed", () => {
  // 1 lbf = 4.4482216152605 N, 1 in = 25.4 mm exactly (NIST SP 811, App. B); torques worked by hand from them.
  it.each([
    ["22,5", "N", 22.5],
    ["5 lb", "N", 22.2411],
    ["10lbs", "N", 44.4822],
    ["2.4 kg", "N", 23.536],
    ["800 g", "N", 7.8453],
    ["8 oz", "N", 2.2241],
    ["22.5 cN·m", "cN·m", 22.5],
    ["0.3 Nm", "cN·m", 30],
    ["2 in-lb", "cN·m", 22.597],
    ["1 kg·cm", "cN·m", 9.80665],
    ['1"', "mm", 25.4],
    ["0.5 in", "mm", 12.7],
    ["2 min", "s", 120],
    ["7", null, 7],
    // A thousand grams are a kilogram: 1.2 kgf = 11.768 N.
    ["1,200 g", "N", 11.768],
    ["1,200.5 g", "N", 11.7729],
    ["0,125 kg", "N", 1.2258],
    // 16 oz = 1 lb.
    ["5 lb 8 oz", "N", 24.4652],
    ["5lb 8oz", "N", 24.4652],
    ["-3 N", "N", -3],
    // By hand: 3/8 in = 9.525 mm, 1 3/8 in = 34.925 mm; an eighth of an inch with a comma is no three thousand millimetres.
    ['3/8"', "mm", 9.525],
    ["1 3/8 in", "mm", 34.925],
    ["1-3/8 in", "mm", 34.925],
    ["1 ft 6 in", "mm", 457.2],
    ["3,175 mm", "mm", 3.175],
    ["3,175", "mm", 3.175],
    // 1 lbf·ft = 135.58 cN·m, 1 lbf·in = 11.298 cN·m (NIST SP 811, App. B).
    ["1 ft-lb", "cN·m", 135.5818],
    ["1 lb-ft", "cN·m", 135.5818],
    ["10 lb·in", "cN·m", 112.9848],
    ["4 in-lb", "cN·m", 45.1939],
    ["2 oz-in", "cN·m", 1.4123],
  ] as const)("%s for %s is %f", (text, unit, value) => {
    expect(readMeasure(text, unit)).toBeCloseTo(value, 3);
  });

  it.each([
    ["five lb", "N"],
    ["5 lb", "mm"],
    ["3 s", "N"],
    ["5 lb", null],
    ["", "N"],
    ["1.2.3", "mm"],
    ["5 lb 8", "N"],
    ["8 oz 5 lb", "N"],
    ["5 lb 8 in", "N"],
    ["3/0 in", "mm"],
    ["1,20,0 g", "N"],
    ["5 lb x", "N"],
  ] as const)("%s for %s is none", (text, unit) => {
    expect(readMeasure(text, unit)).toBeNaN();
  });
});
