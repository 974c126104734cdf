import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { openLot } from "@/data/counter/lots";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { findJob, listJobsOfLot } from "@/data/jobs/jobs";
import { setBin } from "@/data/parts/stock";
import { getBuild } from "./build";
import { failGate } from "./build-steps";
import { lotHands, lotTurnOf } from "./lot-hands";
import { orderForLot } from "./lot-order";
import { leaveIn, listWells, noteWell } from "./tray";

let shop: Workshop;
let lotId = 0;
let ids: number[] = [];
const row = (serial: string) => ({ serial, mark: "", complaint: "", condition: "", depth: "", drag: "" });
beforeEach(() => {
  shop = openWorkshop();
  const taken = openLot(shop.ctx, {
    name: "Ferry",
    customer: { id: shop.customerId },
    modelId: "skerry-30",
    water: "salt",
    tripsPerYear: 100,
    life: [],
    dragWish: "shop",
    depth: "full",
    limitMinor: 1_000_000,
    promisedOn: "2026-04-01",
    rows: ["A 1", "A 2", "A 3"].map(row),
  });
  if (!("id" in taken)) throw new Error("not taken in");
  lotId = taken.id;
  ids = listJobsOfLot(shop.db, lotId).map(({ id }) => id);
});
const turn = (id: number) => lotTurnOf(shop.db, findJob(shop.db, id)!);
const does = (what: Parameters<typeof lotHands>[3], of = ids) => lotHands(shop.ctx, lotId, of, what);

describe("hands across the reels of a lot", () => {
  it("take all apart, clean and build them check by check, each press for all, as one reel alone would be", () => {
    expect(does("strip")).toEqual({ done: 3, not: [] });
    expect(ids.map((id) => turn(id).what)).toEqual(["clean", "clean", "clean"]);
    expect(does("clean").done).toBe(3);
    let presses = 0;
    for (; turn(ids[0]!).what !== null && presses < 60; presses++) expect(does(turn(ids[0]!).what!).not, `press ${presses}`).toEqual([]);
    for (const id of ids) expect(getBuild(shop.db, findJob(shop.db, id)!).current).toBeNull();
    expect(presses).toBeLessThan(60);
  });

  it("leave one out and do it otherwise; one that something stands against is said and left as it was", () => {
    leaveIn(shop.ctx, ids[2]!, ["head-plate"], true);
    expect(does("strip", ids.slice(0, 2)).done).toBe(2);
    expect([listWells(shop.db, ids[2]!).length, turn(ids[2]!).what]).toEqual([0, "strip"]);
    expect(does("clean").not).toEqual([{ jobId: ids[2], why: expect.stringContaining("to come off") }]);
    const { orientation } = listWells(shop.db, ids[1]!).find(({ positionId }) => positionId === "ratchet")!;
    noteWell(shop.ctx, ids[1]!, "ratchet", { verdict: "replace", orientation, note: "" });
    const first = does("build", ids.slice(0, 2));
    const again = does("build", ids.slice(1, 2));
    expect([...first.not, ...again.not].some(({ jobId, why }) => jobId === ids[1] && /not here yet/.test(why))).toBe(true);
    expect(turn(ids[0]!).what).not.toBe("strip");
  });

  it("pass no check that failed on one of them for that one without its own press", () => {
    does("strip");
    does("clean");
    while (turn(ids[0]!).what === "build") does("build");
    const gate = getBuild(shop.db, findJob(shop.db, ids[0]!)!).current!.operation.id;
    failGate(shop.ctx, ids[1]!, gate, "");
    expect(turn(ids[1]!)).toMatchObject({ what: "check" });
    expect(does("check", [ids[0]!, ids[2]!]).done).toBe(2);
    expect(getBuild(shop.db, findJob(shop.db, ids[1]!)!).failedGate?.operation.id).toBe(gate);
  });

  it("want the parts of all by one press: a bin's pieces are counted off once, what nobody agreed to is said", () => {
    for (const id of ids) settleFault(shop.ctx, id, "gears-worn", true);
    setBin(shop.ctx, "sk-main-gear", "A1", 1, 1);
    setBin(shop.ctx, "sk-pinion", "A1", 0, 1);
    shop.ctx.db.prepare("UPDATE job SET limit_minor = 0 WHERE id = ?").run(ids[2]);
    const told = orderForLot(shop.ctx, lotId);
    expect([told.wanted, told.inBins]).toEqual([3, 1]);
    expect(new Set(told.not.map(({ jobId }) => jobId))).toEqual(new Set([ids[2]]));
    // A second press finds nothing more to want.
    expect(orderForLot(shop.ctx, lotId).wanted).toBe(0);
  });

  it("refuses a reel of another lot", () => {
    const other = shop.open({ serial: "Z 9" });
    expect(refusal(() => does("strip", [other])).code).toBe("not-of-lot");
  });
});
