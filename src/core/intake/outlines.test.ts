import { describe, expect, it } from "vitest";
import { familyIds } from "@/core/vocabulary/families";
import { outlineOf, outlineSize } from "./outlines";

describe("the outlines a counter marks", () => {
  it.each(familyIds)("of %s have zones of their own, each within the sheet and big enough for a finger", (family) => {
    const zones = outlineOf(family);
    expect(new Set(zones.map(({ id }) => id)).size).toBe(zones.length);
    expect(zones.length).toBeGreaterThan(5);
    for (const { id, path, at } of zones) {
      expect(path, id).toMatch(/^M[\d\s.,MLHVCaZ-]+Z$/);
      expect(at[0] > 0 && at[0] < outlineSize.width && at[1] > 0 && at[1] < outlineSize.height, id).toBe(true);
    }
  });

  it("show what tells the families apart (common practice)", () => {
    const has = (family: (typeof familyIds)[number]) => new Set(outlineOf(family).map(({ id }) => id));
    expect(has("spinning").has("bail")).toBe(true);
    expect(has("spinning-sealed-bail-less").has("bail")).toBe(false);
    expect(has("spincast").has("cover")).toBe(true);
    for (const wound of ["baitcaster-round", "baitcaster-low-profile"] as const) expect(has(wound).has("guide")).toBe(true);
    expect(has("lever-drag").has("guide")).toBe(false);
  });
});
