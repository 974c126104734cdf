import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { z } from "zod";
import { answer, openWorkshop, refusal } from "#tests/workshop";
import { historySchema } from "@/core/history/history";
import { getBuild } from "@/data/bench/build";
import { doStep } from "@/data/bench/build-steps";
import { fitFromStock } from "@/data/bench/fit-part";
import { expectedNext, noteWell, serveInPlace, takePart } from "@/data/bench/tray";
import { findJob } from "@/data/jobs/jobs";
import { correctStationTime, listStationTimes, usualStationMinutes } from "@/data/jobs/station-time";
import { getReelHistory } from "@/data/ledger/reel-history";
import { setBin } from "@/data/parts/stock";
import { closeJob, markReady } from "./returns";

const dates = {
  today: "2026-11-25",
  after: (from: string, months: number) => `${Number(from.slice(0, 4)) + Math.floor(months / 12)}-01-01`,
};

/** One visit from test to hand-back, a press every half minute. */
function visit(shop: ReturnType<typeof openWorkshop>, id: number) {
  let at = Date.parse(shop.ctx.now);
  const ctx = () => {
    at += 30_000;
    return { ...shop.ctx, now: new Date(at).toISOString() };
  };
  answer(ctx(), id, "turning", "bad", 21);
  for (const seat of expectedNext(shop.db, findJob(shop.db, id)!).slice(0, 4)) takePart(ctx(), id, seat);
  noteWell(ctx(), id, "handle-nut", { verdict: "replace", orientation: "", note: "" });
  fitFromStock(ctx(), id, "handle-nut");
  serveInPlace(ctx(), id, "star", "pressed on");
  for (const step of getBuild(shop.db, findJob(shop.db, id)!).steps) doStep(ctx(), id, step.operation.id);
  answer(ctx(), id, "turning", "good", 9, "after");
  markReady(ctx(), id);
  closeJob(ctx(), id, "Ada");
}

describe("a reel's history for its owner", () => {
  it("is what the published schema says, and tells what was done", () => {
    const shop = openWorkshop();
    const id = shop.open();
    visit(shop, id);
    const history = historySchema.parse(getReelHistory(shop.db, findJob(shop.db, id)!.reel.id, dates));
    expect(history.visits[0]).toMatchObject({
      partsFitted: [{ seat: "Handle nut", used: false }],
      servedInPlace: [{ seat: "Star", reason: "pressed on" }],
      measurements: [
        { phase: "before", value: 21 },
        { phase: "after", value: 9 },
      ],
    });
    // Four parts of the handle side came off: the drag stayed shut, and is counted from no visit.
    expect(history.next.map(({ component }) => component)).toEqual(["Outside and handle"]);
    expect(JSON.stringify(history)).not.toMatch(/Ada Brook|stiff/);
    expect(getReelHistory(shop.db, 999, dates)).toBeNull();
  });

  it("matches docs/history.schema.json", () => {
    expect(JSON.parse(readFileSync("docs/history.schema.json", "utf8"))).toEqual(z.toJSONSchema(historySchema, { io: "input" }));
  });
});

describe("what the stations took", () => {
  it("is told by the presses, repaired by hand, and usual after three jobs", () => {
    const shop = openWorkshop();
    setBin(shop.ctx, shop.db.prepare("SELECT part_type_id FROM position WHERE id = 'handle-nut'").pluck().get() as string, "A1", 5, 0);
    const ids = [shop.open(), shop.open(), shop.open()];
    for (const id of ids) visit(shop, id);
    const minutes = Object.fromEntries(listStationTimes(shop.db, ids[0]!).map(({ station, minutes: spent }) => [station, spent]));
    // Four parts, a look and one serviced in place, half a minute each after the first; the new piece in between is another station's.
    expect(minutes.strip).toBeCloseTo(2, 5);
    expect(minutes.build).toBeGreaterThan(1);
    const usual = usualStationMinutes(shop.db, "skerry-30");
    expect(usual.find(({ station }) => station === "build")).toMatchObject({ jobs: 3 });
  });

  it("is corrected while the job is open", () => {
    const shop = openWorkshop();
    const id = shop.open();
    takePart(shop.ctx, id, expectedNext(shop.db, findJob(shop.db, id)!)[0]!);
    correctStationTime(shop.ctx, id, "strip", 12);
    expect(listStationTimes(shop.db, id)).toContainEqual({ station: "strip", minutes: 12, corrected: true });
    correctStationTime(shop.ctx, id, "strip", null);
    expect(listStationTimes(shop.db, id).find(({ station }) => station === "strip")?.corrected).toBe(false);
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, id);
    expect(refusal(() => correctStationTime(shop.ctx, id, "strip", 1)).code).toBe("closed");
  });
});
