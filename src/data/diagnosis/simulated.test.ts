import { describe, expect, it } from "vitest";
import { openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { watchesOf } from "@/data/figures/drift";
import { dragOfReel } from "@/data/gauges/gauges";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { glanceAtReel } from "@/data/ledger/glance";
import { recordOfModel } from "@/data/ledger/model-record";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { normOf } from "./diagnosis";
import { recordObservation } from "./observations";

const reading = (shop: Workshop, jobId: number, simulated: boolean, value = 40, setting: number | null = null) =>
  recordObservation(shop.ctx, {
    jobId,
    phase: "after",
    testId: "drag-strike",
    verdict: "good",
    value,
    lineRadiusMm: 24,
    setting,
    instrument: "pull scale",
    simulated,
    trace: null,
  });

describe("simulated instruments", () => {
  it("are off in a shop of one's own until they are switched on", () => {
    const shop = openWorkshop();
    const id = shop.open();
    expect(getShopSettings(shop.db).simulated).toBe(false);
    expect(refusal(() => reading(shop, id, true)).code).toBe("simulated");
    expect(shop.db.prepare("SELECT count(*) FROM observation").pluck().get()).toBe(0);
    reading(shop, id, false);
  });

  it("count for no record, usual range, norm, fit or drift, and are marked in the report", () => {
    const shop = openWorkshop();
    saveShopSettings(shop.ctx, { ...getShopSettings(shop.db), simulated: true });
    const model = findJob(shop.db, shop.open())!.reel.modelId;
    for (let n = 0; n < 8; n++) reading(shop, shop.open({ serial: `S${n}` }), true, 900, 0.5);
    expect(recordOfModel(shop.db, model, 24).size).toBe(0);
    expect(normOf(shop.db, model, "drag-strike")).toBeNull();
    expect(JSON.stringify(watchesOf(shop.db, "2026-03-02"))).not.toContain("900");
    const id = shop.open({ serial: "S9" });
    reading(shop, id, true, 900, 0.5);
    expect(dragOfReel(shop.db, findJob(shop.db, id)!).pulls).toEqual([]);
    expect(glanceAtReel(shop.db, findJob(shop.db, id)!.reel.id, "2026-03-02").join(" ")).not.toContain("900");
    const test = getReport(shop.db, findJob(shop.db, id)!, reportDates).tests.find(({ after }) => after.includes("900"))!;
    expect(test.after).toMatch(/simulated/);
    for (let n = 0; n < 8; n++) reading(shop, shop.open({ serial: `R${n}` }), false, 40, 0.5);
    expect(recordOfModel(shop.db, model, 24).get("drag-strike")!.high).toBeLessThan(50);
  });
});
