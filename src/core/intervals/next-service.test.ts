import { describe, expect, it } from "vitest";
import { greaseLastsMonths, nextService } from "./next-service";

// Common practice: once a year; more often in hard salt use; a few days of fresh water can wait.
describe("next service", () => {
  it.each([
    [{ water: "salt", tripsPerYear: 140 }, 6],
    [{ water: "salt", tripsPerYear: 31 }, 6],
    [{ water: "salt", tripsPerYear: 30 }, 12],
    [{ water: "salt", tripsPerYear: 4 }, 12],
    [{ water: "brackish", tripsPerYear: 8 }, 12],
    [{ water: "brackish", tripsPerYear: 60 }, 12],
    [{ water: "fresh", tripsPerYear: 11 }, 12],
    [{ water: "fresh", tripsPerYear: 10 }, 24],
  ] as const)("%j comes back in %i months", (use, months) => {
    const next = nextService(use);
    expect(next.months).toBe(months);
    expect(next.because).toContain(`${use.tripsPerYear} trips a year`);
    expect(next.because).toContain(use.water);
  });

  it("is twice a year for a life under water or in many hands, wherever there is salt, and says why", () => {
    for (const life of [["kayak"], ["fleet"], ["old", "kayak"]] as const) {
      expect(nextService({ water: "salt", tripsPerYear: 5, life })).toEqual({
        months: 6,
        because: expect.stringMatching(life.includes("kayak" as never) ? /salt water, kayak/ : /salt water, hire/),
      });
      expect(nextService({ water: "brackish", tripsPerYear: 5, life }).months).toBe(6);
      expect(nextService({ water: "fresh", tripsPerYear: 5, life }).months).toBe(24);
    }
    expect(nextService({ water: "salt", tripsPerYear: 5, life: ["old", "stored"] }).months).toBe(12);
  });

  it("is never later than grease lasts", () => {
    for (const water of ["fresh", "brackish", "salt"] as const)
      for (const tripsPerYear of [0, 1, 10, 200])
        expect(nextService({ water, tripsPerYear }).months).toBeLessThanOrEqual(greaseLastsMonths);
  });
});
