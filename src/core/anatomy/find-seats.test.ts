import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import { findSeats } from "./find-seats";

const find = (text: string) => findSeats(skerry30Anatomy, new Map(skerry30Parts.map((p) => [p.id, p])), text).map((seat) => seat.id);

describe("finding a seat on the schematic", () => {
  it("by name, number, kind, material or a measured size", () => {
    expect(find("tongue")).toEqual(["click-tongue"]);
    expect(find("SK-220")).toEqual(["main-gear"]);
    expect(find("ball bearing")).toHaveLength(2);
    expect(find("washer 31 × 8.6 × 0.9")).toEqual(["friction-mid", "friction-high"]);
    expect(find("carbon low")).toEqual(["friction-low"]);
    expect(find("  ")).toEqual([]);
    expect(find("harpoon")).toEqual([]);
  });
});
