import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { wayIds } from "./ways";
import { wayApplies } from "./ways-that-apply";

const full = { kind: "service", depth: "full", depthSaid: true } as const;
const outside = { kind: "service", depth: "light", depthSaid: true } as const;
const offered = (family: FamilyId, path: Parameters<typeof wayApplies>[2] = full) =>
  wayIds.filter((way) => wayApplies(way, families[family].parts, path));

describe("ways of working that can apply", () => {
  // Source of each row: common practice, what such a reel has in it.
  it.each([
    ["worm", "baitcaster-low-profile", "star-drag-bridge"],
    ["bridgeSleeve", "star-drag-bridge", "spinning"],
    ["brakeDrum", "baitcaster-round", "lever-drag"],
    ["fluidSeal", "spinning-fluid-sealed", "spinning"],
    ["seals", "spinning-sealed-bail-less", "star-drag-bridge"],
    ["clutchOil", "star-drag-clutch", "star-drag-bridge"],
    ["drag", "lever-drag", "centrepin"],
  ] as const)("%s is asked of a %s, not of a %s", (way, has, hasNot) => {
    if (way === "drag") expect(offered("star-drag-bridge")).toContain(way);
    else expect(offered(has)).toContain(way);
    expect(offered(hasNot)).not.toContain(way);
  });

  it("of a reel that stays shut are those about its outside alone", () => {
    expect(offered("star-drag-bridge", outside)).not.toContain("cleaning");
    expect(offered("star-drag-bridge", outside)).not.toContain("bearings");
    expect(offered("star-drag-bridge", outside)).toContain("depth");
  });

  it("ask something of every family", () => {
    for (const family of Object.keys(families) as FamilyId[]) expect(offered(family).length, family).toBeGreaterThan(4);
  });
});
