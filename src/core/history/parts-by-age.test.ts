import { describe, expect, it } from "vitest";
import { partsByAge, shareOfTime } from "./parts-by-age";

describe("parts by age", () => {
  it("counts from the last renewal, the oldest first", () => {
    expect(
      partsByAge([
        { seat: "Drag washer", on: "2026-05-01" },
        { seat: "Bearing", on: "2024-03-01" },
        { seat: "Drag washer", on: "2025-05-01" },
      ]),
    ).toEqual([
      { seat: "Bearing", on: "2024-03-01", times: 1 },
      { seat: "Drag washer", on: "2026-05-01", times: 2 },
    ]);
  });

  it("lays days on a line to scale and keeps them on it", () => {
    expect(shareOfTime("2026-01-11", "2026-01-01", "2026-01-21")).toBeCloseTo(0.5);
    expect(shareOfTime("2025-01-01", "2026-01-01", "2026-01-21")).toBe(0);
    expect(shareOfTime("2026-01-01", "2026-01-01", "2026-01-01")).toBe(0);
  });
});
