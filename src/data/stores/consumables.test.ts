import { describe, expect, it } from "vitest";
import { wholeService } from "#tests/whole-service";
import { openWorkshop, refusal } from "#tests/workshop";
import { costPerService, endTin, listShelf, openTin } from "./consumables";

const tin = { product: "reel grease", words: "Blue", holds: 30, priceMinor: 1500, useBy: null } as const;

describe("the shelf", () => {
  it("is counted by each reel that goes home, in drops, dabs and baths as the bench confirmed them", () => {
    const shop = openWorkshop();
    const today = shop.ctx.now.slice(0, 10);
    openTin(shop.ctx, tin, today);
    expect(costPerService(shop.db, today)).toBeNull();
    wholeService(shop, shop.open({ kind: "service" }));
    const used = Object.fromEntries(
      (shop.db.prepare("SELECT product, times FROM consumable_use").all() as { product: string; times: number }[]).map(
        ({ product, times }) => [product, times],
      ),
    );
    expect(used["reel grease"]).toBeGreaterThan(1);
    expect(used.degreaser).toBe(1);
    const grease = listShelf(shop.db, today).find(({ product }) => product === "reel grease")!;
    expect(grease.tin!.left).toBeCloseTo(30 - used["reel grease"]! * grease.once, 9);
    expect(grease.tin!.weeks).toBeGreaterThan(0);
    // What is used without a tin that the book knows stands there too.
    expect(listShelf(shop.db, today).find(({ product }) => product === "degreaser")).toMatchObject({ tin: null });
    expect(costPerService(shop.db, today)).toBeCloseTo((used["reel grease"]! * grease.once * 1500) / 30, 9);
  });

  it("learns from a tin that was used up, and nothing from one thrown away", () => {
    const shop = openWorkshop();
    openTin(shop.ctx, tin, "2026-01-01");
    wholeService(shop, shop.open({ kind: "service" }));
    const rule = listShelf(shop.db, "2026-12-31")[0]!.once;
    openTin(shop.ctx, tin, "2030-01-01");
    const learned = listShelf(shop.db, "2030-01-02").find(({ product }) => product === "reel grease")!;
    expect(learned.emptied).toBe(1);
    expect(learned.once).toBeGreaterThan(rule);
    endTin(shop.ctx, learned.tin!.id, false, "2030-01-03");
    expect(refusal(() => endTin(shop.ctx, learned.tin!.id, true, "2030-01-03")).code).toBe("ended");
    expect(listShelf(shop.db, shop.ctx.now.slice(0, 10)).find(({ product }) => product === "reel grease")!.emptied).toBe(1);
    expect(refusal(() => openTin(shop.ctx, { ...tin, useBy: "2029-12-31" }, "2030-01-04")).field).toBe("useBy");
  });
});
