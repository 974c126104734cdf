import { describe, expect, it } from "vitest";
import { nextService } from "./next-service";

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
});
