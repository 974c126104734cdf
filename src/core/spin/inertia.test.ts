import { describe, expect, it } from "vitest";
import { lineInertia, lossTorqueNmm } from "./inertia";

describe("what turns", () => {
  it("is a thick ring: m(r² + R²)/2 (textbook), nothing without line", () => {
    // 2 cm wide, from 1 to 3 cm radius, density 1 at full fill: m = 16π g, J = 16π · 10/2 = 80π.
    expect(lineInertia(20, 60, 20, 1 / 0.75)).toBeCloseTo(80 * Math.PI, 9);
    expect(lineInertia(30, 30, 20)).toBe(0);
    expect(lineInertia(30, 20, 20)).toBe(0);
  });
  it("makes a torque of a slowing: 100 g·cm² at 10 rad/s² are 1e-5 kg·m² · 10 = 0.1 N·mm", () => {
    expect(lossTorqueNmm(10, 100)).toBeCloseTo(0.1, 12);
  });
});
