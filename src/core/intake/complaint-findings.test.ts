import { describe, expect, it } from "vitest";
import { findings } from "@/core/diagnosis/finding-table";
import { complaints } from "@/core/vocabulary/counter-lists";
import { findingOfComplaint, lifeFactorsOf } from "./complaint-findings";

const intake = { water: "fresh", tripsPerYear: 5, conditions: [] as string[], life: [] as ("kayak" | "old")[] };

describe("what the counter wrote down, for the diagnosis", () => {
  it("tells a condition for every complaint but the plain service", () => {
    const ids = new Set<string>(findings.map(({ id }) => id));
    for (const id of Object.keys(complaints) as (keyof typeof complaints)[])
      if (id === "service") expect(findingOfComplaint[id]).toBeUndefined();
      else expect(ids.has(findingOfComplaint[id] ?? ""), id).toBe(true);
  });

  it("reads a life out of water, trips, marks and the year, each factor once", () => {
    expect(lifeFactorsOf(intake, null, 2026)).toEqual([]);
    expect(lifeFactorsOf({ water: "salt", tripsPerYear: 120, conditions: ["opened", "pitting"], life: ["kayak"] }, null, 2026)).toEqual([
      "kayak",
      "salt",
      "fleet",
      "opened",
    ]);
    expect(lifeFactorsOf({ ...intake, life: ["old"] }, 1951, 2026)).toEqual(["old"]);
    expect(lifeFactorsOf(intake, 1996, 2026)).toEqual(["old"]);
    expect(lifeFactorsOf(intake, 1997, 2026)).toEqual([]);
  });
});
