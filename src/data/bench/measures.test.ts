import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { measureLines } from "@/core/measures/measure-lines";
import { keepGauge } from "@/data/gauges/gauges";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getReelHistory } from "@/data/ledger/reel-history";
import { keepMeasure, lastTypedOfModel, listMeasuresOfReel, stackWashersOf } from "./measures";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const play = (jobId: number, phase: "before" | "after", turns: number) =>
  keepMeasure(shop.ctx, { jobId, phase, positionId: null, name: "", input: { kind: "side-play", turns, pitchMm: 0.75 } });

describe("measures of a reel", () => {
  it("are kept with reel and visit, taken again in their own place, and stand as a series over the visits", () => {
    const first = shop.open();
    play(first, "before", 0.5);
    play(first, "before", 0.4);
    play(first, "after", 0.1);
    shop.db.prepare("UPDATE job SET closed_at = ?, station = 'closed' WHERE id = ?").run(shop.ctx.now, first);
    const reel = findJob(shop.db, first)!.reel;
    const second = shop.open({ serial: reel.serial });
    play(second, "before", 0.3);
    const kept = listMeasuresOfReel(shop.db, findJob(shop.db, second)!.reel.id);
    expect(kept.map(({ jobId, phase, value }) => [jobId === first ? 1 : 2, phase, Math.round(value * 1000) / 1000])).toEqual([
      [1, "before", 0.3],
      [1, "after", 0.075],
      [2, "before", 0.225],
    ]);
    expect(measureLines(kept.slice(0, 2), String)).toEqual(["Side play: 0.3 ± 0.045 mm before, 0.075 ± 0.045 mm after (less)."]);
    const history = getReelHistory(shop.db, reel.id, { today: "2026-03-02", after: (iso) => iso.slice(0, 10) })!;
    expect(history.visits[0]!.measured.map(({ name, phase }) => [name, phase])).toEqual([
      ["Side play", "before"],
      ["Side play", "after"],
    ]);
  });

  it("remember for the next reel of the model what is the same on it: a new one's size, an adjuster's thread", () => {
    const id = shop.open();
    const { model, anatomy } = machineOf(shop.db, findJob(shop.db, id)!);
    const seat = anatomy.positions[0]!.id;
    const size = (mm: number) => ({ mm, offMm: 0.05 });
    play(id, "before", 0.5);
    keepMeasure(shop.ctx, {
      jobId: id,
      phase: "before",
      positionId: seat,
      name: "",
      input: { kind: "wear", worn: size(4.1), fresh: size(4.6) },
    });
    expect(lastTypedOfModel(shop.db, model.id)).toEqual({ freshMm: { [seat]: 4.6 }, pitchMm: 0.75 });
  });

  it("know the stack's own washers, and judge its height by them", () => {
    const id = shop.open();
    const washers = stackWashersOf(machineOf(shop.db, findJob(shop.db, id)!));
    expect(washers.length).toBeGreaterThan(4);
    const mm = washers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
    const taken = keepMeasure(shop.ctx, {
      jobId: id,
      phase: "after",
      positionId: null,
      name: "",
      input: { kind: "stack-height", size: { mm, offMm: 0.05 } },
    });
    expect(taken.says).toMatch(/^as its washers add up/);
  });

  it("refuse with words what this reel does not have, and what has no name", () => {
    const id = shop.open();
    const size = { mm: 4, offMm: 0.05 };
    const of = (change: object) =>
      refusal(() => keepMeasure(shop.ctx, { jobId: id, phase: "before", positionId: null, name: "", ...change } as never));
    expect(of({ input: { kind: "lever-force", newtons: 20 } }).message).toMatch(/cannot be measured on this reel/);
    expect(of({ input: { kind: "length", size } }).field).toBe("name");
    expect(of({ positionId: "no-such", name: "rod", input: { kind: "length", size } }).message).toMatch(/no such seat/);
  });

  it("hold a gauge's figures too, with the words that were kept", () => {
    const id = shop.open();
    keepGauge(shop.ctx, id, "spin", {}, "Spin: stands after 14 s.", [
      { name: "Spin, rubbing", value: 6, low: 5.5, high: 6.4, unit: "/s²" },
    ]);
    expect(listMeasuresOfReel(shop.db, findJob(shop.db, id)!.reel.id)).toMatchObject([
      { kind: "gauge", name: "Spin, rubbing", value: 6, phase: "before" },
    ]);
  });
});
