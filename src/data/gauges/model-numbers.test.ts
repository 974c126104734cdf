import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, type Workshop } from "#tests/workshop";
import { modelNumbers } from "@/core/gauges/model-numbers";
import { recordObservation } from "@/data/diagnosis/observations";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { dragOfReel } from "./gauges";
import { keepModelNumbers, numbersOfModel } from "./model-numbers";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});

describe("a model's own numbers", () => {
  it("are the usual ones until somebody measures, then its own; a second reel adds to them, the same job takes its own place", () => {
    const first = shop.open();
    const { model } = machineOf(shop.db, findJob(shop.db, first)!);
    expect(numbersOfModel(shop.db, model)).toMatchObject({ measured: [], cam: "", values: { pitch: modelNumbers.pitch.usual } });
    keepModelNumbers(shop.ctx, first, { pitch: 1, stiffness: 8000 }, "");
    const once = numbersOfModel(shop.db, model);
    expect(once.measured).toEqual(["pitch", "stiffness"]);
    expect(once.values.pitch).toBe(1);
    // One measuring of what scatters is drawn a little to the usual.
    expect(once.values.stiffness).toBeGreaterThan(7000);
    expect(once.values.stiffness).toBeLessThan(8000);
    keepModelNumbers(shop.ctx, first, { stiffness: 6000 }, "");
    expect(numbersOfModel(shop.db, model).values.stiffness).toBeLessThan(6000);
    keepModelNumbers(shop.ctx, shop.open({ serial: "another" }), { stiffness: 6000 }, "0 0; 90 0.5");
    const twice = numbersOfModel(shop.db, model);
    expect(twice.values.stiffness! / 6000).toBeGreaterThan(0.97);
    expect(twice.cam).toBe("0 0; 90 0.5");
    expect(() => keepModelNumbers(shop.ctx, first, {}, " ")).toThrow(/no number/);
  });

  it("come with the pulls of the job whose setting was noted, so that its drag is fitted from them", () => {
    const id = shop.open();
    const pull = (testId: "drag-light" | "drag-strike" | "drag-full", value: number, setting: number | null) =>
      recordObservation(shop.ctx, {
        jobId: id,
        phase: "before",
        testId,
        verdict: "good",
        value,
        lineRadiusMm: 22,
        setting,
        instrument: "typed",
        simulated: false,
        trace: null,
      });
    pull("drag-light", 12, 0.25);
    pull("drag-strike", 25, null);
    pull("drag-full", 44, 1);
    expect(dragOfReel(shop.db, findJob(shop.db, id)!).pulls).toEqual([
      { phase: "before", setting: 0.25, pullN: 12, lineRadiusMm: 22 },
      { phase: "before", setting: 1, pullN: 44, lineRadiusMm: 22 },
    ]);
  });
});
