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
  ] as const)("%s for %s is none", (text, unit) => {
    expect(readMeasure(text, unit)).toBeNaN();
  });
});
