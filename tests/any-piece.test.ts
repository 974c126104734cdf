import { describe, expect, it } from "vitest";
import { saying } from "@/core/account/sentences";
import { keepsHereWords } from "@/core/hand-back/going-home";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { faultOutcomeIds, faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import { pieceSourceIds, pieceSources } from "@/core/vocabulary/piece-sources";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doStep } from "@/data/bench/build-steps";
import { addExtraPiece, settleExtraPiece } from "@/data/bench/extra-pieces";
import { fitFromElsewhere, fitFromStock, fitSeveral, takeBack } from "@/data/bench/fit-part";
import { expectedNext, leaveOut, listWells, noteWell, takeParts } from "@/data/bench/tray";
import { waysOf } from "@/data/bench/ways";
import { startModelOf } from "@/data/catalogue/built";
import { openJob } from "@/data/counter/open-job";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { setFaultOutcome } from "@/data/diagnosis/faults";
import { hereFor } from "@/data/hand-back/going-home";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getReelHistory } from "@/data/ledger/reel-history";
import { findStock } from "@/data/parts/stock";
import { getBill, getQuote } from "@/data/quote/quotes";
import { openWorkshop, plainJob, refusal, reportDates, type Workshop } from "./workshop";

const job = (shop: Workshop, id: number) => findJob(shop.db, id)!;
const opened = () => {
  const shop = openWorkshop();
  const id = shop.open({ kind: "service", depth: "full", limitMinor: null });
  shop.ctx.db.prepare("UPDATE job SET limit_minor = 10000000 WHERE id = ?").run(id);
  takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
  return { shop, id };
};
const typeAtSeat = (shop: Workshop, id: number, seat: string) =>
  machineOf(shop.db, job(shop, id)).anatomy.positions.find((position) => position.id === seat)!.partTypeId;
const plain = { size: "", material: "", closure: "", anyway: false } as const;

describe("a piece from anywhere", () => {
  it("goes into every seat from every origin, through build to report, bill and history", () => {
    const { shop, id } = opened();
    const seats = expectedOff(shop, id);
    expect(seats.length).toBeGreaterThan(40);
    seats.forEach((seat, i) => {
      const source = pieceSourceIds[i % pieceSourceIds.length]!;
      fitFromElsewhere(shop.ctx, id, [seat], { ...plain, source, priceMinor: 100 + i });
    });
    for (const { operation } of getBuild(shop.db, job(shop, id)).steps) doStep(shop.ctx, id, operation.id, "as it is");
    const report = getReport(shop.db, job(shop, id), reportDates);
    const history = getReelHistory(shop.db, job(shop, id).reel.id, { today: "2026-03-02", after: (from) => from.slice(0, 10) })!;
    const names = new Map(machineOf(shop.db, job(shop, id)).anatomy.positions.map((position) => [position.id, position.name]));
    let sum = 0;
    seats.forEach((seat, i) => {
      const source = pieceSourceIds[i % pieceSourceIds.length]!;
      const price = source === "customer" ? 0 : 100 + i;
      sum += price;
      const line = report.parts.find(({ words }) => words.startsWith(`${names.get(seat)}: `) && words.endsWith(pieceSources[source].said));
      expect(line?.price, `${seat} from ${source}`).toBe(price);
      expect(
        history.visits[0]!.partsFitted.some((part) => part.seat === names.get(seat) && part.name.endsWith(pieceSources[source].said)),
        seat,
      ).toBe(true);
    });
    expect(getBill(shop.db, job(shop, id)).sum.partsMinor).toBe(sum);
    expect(getBill(shop.db, job(shop, id)).sum.totalMinor).toBe(getQuote(shop.db, job(shop, id)).sum.totalMinor);
    // No bin was touched.
    expect(findStock(shop.db, "sk-main-gear")?.count).toBe(2);
  });

  it("is taken back as it was, and what is in the bin still fits afterwards", () => {
    const { shop, id } = opened();
    fitFromElsewhere(shop.ctx, id, ["main-gear"], { ...plain, source: "made", priceMinor: 500 });
    takeBack(shop.ctx, id, "main-gear");
    expect(findStock(shop.db, "sk-main-gear")?.count).toBe(2);
    fitFromStock(shop.ctx, id, "main-gear");
    expect(getReport(shop.db, job(shop, id), reportDates).parts.map(({ number }) => number)).toEqual(["SK-220"]);
  });

  it("says a size that does not go with the seat, at its field, and lets it in when somebody says so", () => {
    const { shop, id } = opened();
    const piece = { ...plain, source: "drawer", priceMinor: 300 } as const;
    // The seat takes 5 × 11 × 5 (its model's table); 5 × 11 × 4 is the bearing one grabs by bore and outside alone.
    const unlike = refusal(() => fitFromElsewhere(shop.ctx, id, ["tail-bearing"], { ...piece, size: "5 x 11 x 4" }));
    expect([unlike.code, unlike.field]).toEqual(["unlike", "size"]);
    expect(unlike.message).toMatch(/the seat takes 5 × 11 × 5/);
    expect(refusal(() => fitFromElsewhere(shop.ctx, id, ["tail-bearing"], { ...piece, size: "five" })).field).toBe("size");
    fitFromElsewhere(shop.ctx, id, ["head-bearing"], { ...piece, size: "5x11x5" });
    fitFromElsewhere(shop.ctx, id, ["tail-bearing"], { ...piece, size: "5 x 11 x 4", anyway: true });
    const shape = (seat: string) => {
      const { anatomy, partTypes } = machineOf(shop.db, job(shop, id));
      return partTypes.get(anatomy.positions.find((position) => position.id === seat)!.partTypeId)!.shape;
    };
    expect(shape("tail-bearing")).toMatchObject({ widthMm: 4 });
    expect(shape("head-bearing")).toMatchObject({ widthMm: 5 });
  });

  it("goes into several seats by one press, each with its own size; one it does not go with keeps all of them out", () => {
    const { shop, id } = opened();
    const seatsWith = (kind: string) => {
      const { anatomy, partTypes } = machineOf(shop.db, job(shop, id));
      return anatomy.positions.flatMap((seat) => (partTypes.get(seat.partTypeId)!.shape.kind === kind && !seat.stays ? [seat.id] : []));
    };
    const bearings = seatsWith("bearing");
    expect(bearings.length).toBeGreaterThan(1);
    const renewed = () => listWells(shop.db, id).flatMap((well) => (well.renewed ? [well.positionId] : []));
    const set = { ...plain, source: "drawer", priceMinor: 300 } as const;
    const mixed = [...bearings.slice(0, 1), ...seatsWith("screw")];
    expect(refusal(() => fitFromElsewhere(shop.ctx, id, mixed, { ...set, size: "5 x 11 x 5" })).field).toBe("size");
    expect(renewed()).toEqual([]);
    expect(fitFromElsewhere(shop.ctx, id, bearings, set)).toEqual({ fitted: bearings.length, planned: 0 });
    expect(renewed().sort()).toEqual([...bearings].sort());
    expect(getBill(shop.db, job(shop, id)).sum.partsMinor).toBe(300 * bearings.length);
  });

  it("that comes before the reel is open is planned, costs what it costs, and goes in by one press once the old one is off", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "AP 1" });
    shop.ctx.db.prepare("UPDATE job SET limit_minor = 10000000 WHERE id = ?").run(id);
    const seats = ["head-bearing", "tail-bearing"];
    const own = { ...plain, source: "counter", priceMinor: 450 } as const;
    expect(fitFromElsewhere(shop.ctx, id, seats, own)).toEqual({ fitted: 0, planned: 2 });
    expect(
      getQuote(shop.db, job(shop, id))
        .parts.map(({ positionId, priceMinor }) => [positionId, priceMinor])
        .sort(),
    ).toEqual(seats.map((seat) => [seat, 450]));
    expect(refusal(() => fitSeveral(shop.ctx, id, seats)).code).toBe("not-in-tray");
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
    expect(fitSeveral(shop.ctx, id, seats)).toEqual({ pieces: 2 });
    expect(getReport(shop.db, job(shop, id), reportDates).parts.map(({ words }) => words.endsWith(pieceSources.counter.said))).toEqual([
      true,
      true,
    ]);
    expect(getBill(shop.db, job(shop, id)).sum.partsMinor).toBe(900);
    // Nothing came out of the bins.
    expect(findStock(shop.db, typeAtSeat(shop, id, "head-bearing"))).toBeNull();
  });

  it("that is a ball bearing in a bush's seat is called so, gets its oil, and stands so in the report", () => {
    const shop = openWorkshop();
    const modelId = startModelOf(
      shop.ctx,
      { maker: "Own", name: "Bushed", family: "star-drag-bridge", prefix: "BU" },
      { "head-support": "bush" },
    ).id;
    const { id } = openJob(shop.ctx, plainJob({ modelId, serial: "BU 1", kind: "service", depth: "full", limitMinor: 10_000_000 }));
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
    takeParts(shop.ctx, id, ["head-bush"]);
    fitFromElsewhere(shop.ctx, id, ["head-bush"], { ...plain, kind: "bearing", source: "drawer", priceMinor: 300 });
    const type = machineOf(shop.db, job(shop, id)).partTypes.get(typeAtSeat(shop, id, "head-bush"))!;
    expect(type).toMatchObject({ name: "Ball bearing in place of a bush", role: "spool-bearing", shape: { kind: "bearing" } });
    expect(
      refusal(() => fitFromElsewhere(shop.ctx, id, ["star"], { ...plain, kind: "bearing", source: "drawer", priceMinor: 300 })).field,
    ).toBe("kind");
  });

  it("of a kind without measures keeps its size as it was typed", () => {
    const { shop, id } = opened();
    fitFromElsewhere(shop.ctx, id, ["handle"], { ...plain, source: "drawer", priceMinor: 100, size: "75 mm, double" });
    expect(machineOf(shop.db, job(shop, id)).partTypes.get(typeAtSeat(shop, id, "handle"))!.name).toMatch(/, 75 mm, double$/);
  });

  it("that is sealed gets no oil, though the seat's own would", () => {
    const { shop, id } = opened();
    const oil = () => {
      const version = machineOf(shop.db, job(shop, id));
      const seat = version.anatomy.positions.find((position) => position.id === "tail-bearing")!;
      return lubricantFor(seat, version.partTypes.get(seat.partTypeId)!, waysOf(shop.db, job(shop, id)))?.product;
    };
    expect(oil()).toBe("light oil");
    fitFromElsewhere(shop.ctx, id, ["tail-bearing"], { ...plain, source: "counter", closure: "sealed", priceMinor: 700 });
    expect(oil()).toBe("nothing");
  });
});

describe("a part that breaks in the hand as its place is opened", () => {
  it("lies in the tray, is wanted anew, and its owner is told, whether a new one goes in or not", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "BR 1", limitMinor: 10_000_000 });
    const next = expectedNext(shop.db, job(shop, id))[0]!;
    takeParts(shop.ctx, id, [next], new Set(), 0, new Set([next]));
    expect(listWells(shop.db, id)).toEqual([expect.objectContaining({ positionId: next, verdict: "replace", forOwner: true })]);
    expect(getQuote(shop.db, job(shop, id)).parts.map(({ positionId }) => positionId)).toEqual([next]);
    const told = () => saying(getAccount(shop.db, job(shop, id)).sentences, "done", "watch").join(" ");
    expect(told()).toMatch(/broke as it was opened/);
    fitFromStock(shop.ctx, id, next);
    expect(told()).toMatch(/broke as it was opened, new one fitted/);
  });
});

describe("what is otherwise than the drawing", () => {
  it.each([
    ["more of them", { verdict: "ok", foundCount: 2 }, /Main gear: 2 found/],
    ["fewer", { verdict: "missing", foundCount: 0 }, /Main gear: not there on arrival/],
    ["another", { verdict: "wrong" }, /Main gear: wrong for this reel/],
    ["dressed", { verdict: "dressed", dressed: "burrs filed off" }, /Main gear: burrs filed off\./],
  ] as const)("%s: told in report and history", (_, note, words) => {
    const { shop, id } = opened();
    noteWell(shop.ctx, id, "main-gear", { orientation: "", note: "", ...note });
    expect(saying(getAccount(shop.db, job(shop, id)).sentences, "done").join("\n")).toMatch(words);
    const history = getReelHistory(shop.db, job(shop, id).reel.id, { today: "2026-03-02", after: (from) => from.slice(0, 10) })!;
    expect(history.visits[0]!.done.join("\n")).toMatch(words);
  });

  it("left out on purpose, with its reason", () => {
    const { shop, id } = opened();
    leaveOut(shop.ctx, id, "click-spring", "owner fishes without a click");
    expect(getReport(shop.db, job(shop, id), reportDates).leftOut).toEqual([
      { name: "Click spring", reason: "owner fishes without a click" },
    ]);
  });

  it("not on the drawing at all: keeps the reel here until it is back in or left out, and is told", () => {
    const { shop, id } = opened();
    const piece = addExtraPiece(shop.ctx, id, "shim 8 × 12 × 0.2 under the main gear");
    const blocks = () => hereFor(shop.db, job(shop, id)).map(keepsHereWords);
    expect(blocks().some((message) => message.startsWith("Not on the drawing, still in the tray: shim"))).toBe(true);
    settleExtraPiece(shop.ctx, id, piece, "back");
    expect(blocks().some((message) => message.startsWith("Not on the drawing"))).toBe(false);
    expect(saying(getAccount(shop.db, job(shop, id)).sentences, "done")).toContain(
      "Not on the drawing: shim 8 × 12 × 0.2 under the main gear, put back.",
    );
  });
});

/** Seats that lie in the tray. */
const expectedOff = (shop: Workshop, id: number): string[] =>
  shop.db.prepare("SELECT position_id FROM tray_well WHERE job_id = ? ORDER BY well, place").pluck().all(id) as string[];

describe("a fault that is not repaired here", () => {
  it.each(faultOutcomeIds)(
    "%s: leaves the quote with its parts, is not opened for, and the report says so; taken on again all is back",
    (outcome) => {
      const shop = openWorkshop();
      const id = shop.open();
      settleFault(shop.ctx, id, "drag-worn", true);
      settleFault(shop.ctx, id, "gear-burr", true);
      const before = getQuote(shop.db, job(shop, id));
      setFaultOutcome(shop.ctx, id, "drag-worn", outcome);
      const without = getQuote(shop.db, job(shop, id));
      expect(without.sum.totalMinor).toBeLessThan(before.sum.totalMinor);
      expect(without.faults).toBe(before.faults - 1);
      expect(saying(getReport(shop.db, job(shop, id), reportDates).told, "found")).toContain(
        `Friction washers worn thin: ${faultOutcomes[outcome].said}.`,
      );
      setFaultOutcome(shop.ctx, id, "drag-worn", null);
      expect(getQuote(shop.db, job(shop, id)).sum).toEqual(before.sum);
    },
  );
});
