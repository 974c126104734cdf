import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { askForPart } from "@/data/bench/fit-part";
import { setBin } from "@/data/parts/stock";
import { listNeeds } from "@/data/parts/wanted";
import { defaultShopSettings, saveShopSettings } from "@/data/shop/settings";
import { placeOrder } from "@/data/stores/orders";
import { promiseFor, slipsOf } from "./promise";

const today = "2026-03-02";

describe("the day to promise", () => {
  it("has a chance that rises day by day, eight in ten on the day that is said", () => {
    const { db } = openWorkshop();
    const { day, middle, sure, chances } = promiseFor(db, today, "skerry-30");
    expect(middle! <= day! && day! <= sure!).toBe(true);
    expect(chances.every((chance, i) => i === 0 || chance >= chances[i - 1]!)).toBe(true);
    const at = Math.round((Date.parse(day!) - Date.parse(today)) / 86_400_000);
    expect(chances[at]).toBeGreaterThanOrEqual(80);
    expect(at === 0 ? 0 : chances[at - 1]!).toBeLessThanOrEqual(80);
  });

  it("goes with what hangs here and with the hours of the bench", () => {
    const empty = openWorkshop();
    const full = openWorkshop();
    for (let i = 0; i < 30; i++) full.open({ promisedOn: "2026-03-06" });
    expect(promiseFor(full.db, today, "skerry-30").day! > promiseFor(empty.db, today, "skerry-30").day!).toBe(true);
    const before = promiseFor(full.db, today, "skerry-30").day!;
    saveShopSettings(full.ctx, { ...defaultShopSettings, benchHoursPerDay: 2, openOn: [1, 2] });
    expect(promiseFor(full.db, today, "skerry-30").day! > before).toBe(true);
  });

  it("says which promises slip where a rush job is taken on a full bench, and none on an empty one", () => {
    const empty = openWorkshop();
    empty.open({ promisedOn: "2026-04-20" });
    expect(slipsOf(empty.db, today, "skerry-30").slips).toEqual([]);
    const { db, ctx, open } = openWorkshop();
    saveShopSettings(ctx, { ...defaultShopSettings, benchHoursPerDay: 2 });
    const tags: number[] = [];
    for (let i = 0; i < 8; i++) tags.push(open({ promisedOn: `2026-03-0${4 + Math.floor(i / 2)}` }));
    const { slips, day } = slipsOf(db, today, "skerry-30");
    expect(slips.length).toBeGreaterThan(0);
    for (const { before, after } of slips) expect(before - after).toBeGreaterThanOrEqual(5);
    expect(day! <= promiseFor(db, today, "skerry-30").day!).toBe(true);
  });

  it("waits for the parcel a job waits for", () => {
    const { db, ctx, open } = openWorkshop();
    setBin(ctx, "sk-star", "A1", 0, 0);
    const id = open({ promisedOn: "2026-03-03", limitMinor: 100_000 });
    askForPart(ctx, id, "star");
    placeOrder(
      ctx,
      "quay",
      listNeeds(db, { states: ["open"] }).map((need) => need.id),
      today,
    );
    // Rushed or not, what is on its way comes no sooner: nothing of ours slips by a job beside it.
    expect(slipsOf(db, today, "skerry-30").slips).toEqual([]);
  });
});
