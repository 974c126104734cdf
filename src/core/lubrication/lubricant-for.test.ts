import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import type { PartType } from "@/core/anatomy/types";
import { dragWishes } from "@/core/intake/lists";
import { lubricantFor } from "./lubricant-for";

const seat = (id: string) => skerry30Anatomy.positions.find((position) => position.id === id)!;
const typeOf = (id: string) => skerry30Parts.find((part) => part.id === seat(id).partTypeId)!;
const advise = (id: string, drag: keyof typeof dragWishes, shopDrag: "greased" | "dry" = "greased", type: PartType = typeOf(id)) =>
  lubricantFor(seat(id), type, { drag, shopDrag });

describe("what goes on a part", () => {
  // Common practice: the nearest wish wins, and the part's own nature stands above all of them.
  it.each([
    ["greased", "dry", "drag grease", "customer"],
    ["dry", "greased", "nothing", "customer"],
    ["shop", "greased", "drag grease", "shop"],
    ["shop", "dry", "nothing", "shop"],
  ] as const)("a friction washer, wish %s in a shop that does it %s: %s, ruled by the %s", (wish, shop, product, ruledBy) => {
    expect(advise("friction-mid", wish, shop)).toMatchObject({ product, ruledBy });
  });

  it("never puts anything on an old dry lining, whatever is wished", () => {
    const old = { ...typeOf("friction-mid"), material: "old dry lining" };
    for (const wish of Object.keys(dragWishes) as (keyof typeof dragWishes)[])
      for (const shop of ["greased", "dry"] as const) {
        const advice = advise("friction-mid", wish, shop, old);
        expect(advice).toMatchObject({ product: "nothing", ruledBy: "part" });
        expect(advice?.why).toContain("do not sand, brush or blow");
      }
  });

  it("puts nothing into a sealed bearing, a drop on a shielded one", () => {
    const bearing = typeOf("head-bearing");
    if (bearing.shape.kind !== "bearing") throw new Error("no bearing");
    const sealed: PartType = { ...bearing, shape: { ...bearing.shape, closure: "sealed" } };
    expect(advise("head-bearing", "shop", "greased", sealed)).toMatchObject({ product: "nothing inside", ruledBy: "part" });
    expect(advise("head-bearing", "shop")).toMatchObject({ product: "light oil", amount: "1 small drop" });
  });

  it("follows the model elsewhere, and says nothing where the model says nothing", () => {
    expect(advise("lock-screw", "dry")).toMatchObject({ product: "reel grease", amount: "plenty", ruledBy: "model" });
    expect(advise("keyed-low", "greased")).toBeNull();
  });
});
