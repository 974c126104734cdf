import { describe, expect, it } from "vitest";
import { everyBuild, families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { judgeProduct } from "./judge-product";

const part = (family: keyof typeof families, role: string) => families[family].parts.find((one) => one.role === role)!;

// Common practice: what never goes there.
describe("a product that is written down for a part", () => {
  it.each([
    ["baitcaster-low-profile", "spool-bearing", "viscous reel oil", /shorter casts/],
    ["baitcaster-low-profile", "spool-bearing", "reel grease", /much shorter casts/],
    ["spinning-sealed-bail-less", "o-ring", "petroleum jelly", /swells rubber/],
    ["star-drag-bridge", "friction-washer", "light oil", /slips/],
    ["star-drag-bridge", "friction-washer", "reel grease", /Only drag grease/],
    ["baitcaster-low-profile", "brake-drum", "reel grease", /fades/],
    ["star-drag-clutch", "roller-clutch", "reel grease", /clogs the needles/],
    ["star-drag-clutch", "clutch-sleeve", "light oil", /clutch slips/],
    ["star-drag-bridge", "main-gear", "car grease", /made for reels/],
  ] as const)("%s, %s: %s is doubted", (family, role, product, why) => expect(judgeProduct(part(family, role), product)).toMatch(why));

  it.each([
    ["baitcaster-low-profile", "spool-bearing", "light oil"],
    ["baitcaster-low-profile", "brake-drum", "light oil"],
    ["star-drag-bridge", "friction-washer", "drag grease"],
    ["star-drag-bridge", "friction-washer", "nothing"],
    ["star-drag-bridge", "main-gear", "Reel grease "],
    ["star-drag-bridge", "main-gear", ""],
  ] as const)("%s, %s: %s is not", (family, role, product) => expect(judgeProduct(part(family, role), product)).toBeNull());

  it("is never one that a family's own seats ask for, in any build", () => {
    for (const family of familyIds)
      for (const { name, template } of everyBuild(family)) {
        const types = new Map(template.parts.map((one) => [one.id, one]));
        for (const { id, partTypeId, lubricant } of template.anatomy.positions)
          if (lubricant) expect(judgeProduct(types.get(partTypeId)!, lubricant.product), `${family}, ${name}: ${id}`).toBeNull();
      }
  });
});
