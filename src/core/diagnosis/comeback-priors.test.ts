import { describe, expect, it } from "vitest";
import { comebackPrior } from "./comeback-priors";

const last = { faults: new Set(["drag-worn"]), renewed: new Set(["main-gear"]) };

describe("the priors of a reel that came back", () => {
  it("leaves what the last work did not touch as it was", () => {
    expect(comebackPrior(0.1, "grease-hard", ["spool-bearing"], last)).toBeCloseTo(0.1, 12);
  });

  it("takes a fault found the last time as four times as likely in odds: 1 in 5 against becomes 4 in 5 (arithmetic of odds)", () => {
    expect(comebackPrior(0.2, "drag-worn", [], last)).toBeCloseTo(0.5, 12); // odds 1:4 times 4
    expect(comebackPrior(0.5, "gear-burr", ["main-gear"], last)).toBeCloseTo(2 / 3, 12); // odds 1:1 times 2
    expect(comebackPrior(0.2, "drag-worn", ["main-gear"], last)).toBeCloseTo(2 / 3, 12); // both: odds 1:4 times 8
  });

  it("stays a probability at both ends and grows with the prior", () => {
    expect(comebackPrior(0, "drag-worn", ["main-gear"], last)).toBe(0);
    expect(comebackPrior(1, "drag-worn", ["main-gear"], last)).toBe(1);
    for (let p = 0.05; p < 1; p += 0.05) {
      const raised = comebackPrior(p, "drag-worn", [], last);
      expect(raised).toBeGreaterThan(p);
      expect(raised).toBeLessThan(1);
      expect(raised).toBeGreaterThan(comebackPrior(p - 0.04, "drag-worn", [], last));
    }
  });
});
