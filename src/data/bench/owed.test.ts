import { beforeEach, describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { families } from "@/core/families/families";
import { oldPieces } from "@/core/teardown/owed";
import { doStep, skipStep, undoStep } from "@/data/bench/build-steps";
import { foreseenOf, setWay } from "@/data/bench/ways";
import { startModelOf } from "@/data/catalogue/built";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { setFaultOutcome } from "@/data/diagnosis/faults";
import { recordAllGood } from "@/data/diagnosis/observations";
import { declineJob } from "@/data/hand-back/decline";
import { onBenchFor } from "@/data/hand-back/going-home";
import { getReport } from "@/data/hand-back/report";
import { markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { declinePart, setForeseen } from "@/data/parts/quote-parts";
import { getBill } from "@/data/quote/quotes";
import { answersThatHold, getBuild } from "./build";
import { fitFromStock } from "./fit-part";
import { addUnknownModel, listLooseParts, makeSchematic, takeLoosePart } from "./loose-parts";
import { expectedNext, listWells, noteWell, takePart } from "./tray";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const strip = (id: number) => {
  for (const seat of expectedNext(shop.db, job(id))) takePart(shop.ctx, id, seat);
};
const steps = (id: number) => getBuild(shop.db, job(id)).steps;

describe("what was left for later", () => {
  it("stops what would cover it with its name, and a word lets it go on; the word is undone like any step", () => {
    const id = shop.open();
    strip(id);
    const [first] = steps(id);
    skipStep(shop.ctx, id, first!.operation.id);
    const over = steps(id).find(({ needs }) => needs.length === 1 && needs[0] === first!.operation.id);
    if (!over) throw new Error("nothing stands on the first step");
    const refused = refusal(() => doStep(shop.ctx, id, over.operation.id, "whatever"));
    expect(refused.code).toBe("owed");
    expect(refused.message).toContain(first!.operation.words);
    skipStep(shop.ctx, id, first!.operation.id, "no longer available");
    expect(listWells(shop.db, id).find(({ positionId }) => positionId === first!.position!.id)?.leftOutReason).toBe("no longer available");
    doStep(shop.ctx, id, over.operation.id, "closed over it");
    undoStep(shop.ctx, id, over.operation.id);
    undoStep(shop.ctx, id, first!.operation.id);
    expect(listWells(shop.db, id).every(({ leftOutReason }) => leftOutReason === null)).toBe(true);
    expect(refusal(() => doStep(shop.ctx, id, over.operation.id)).code).toBe("missing-before");
  });
});

describe("an act without a part of its own that was left off", () => {
  it("stands in the report with its word, as parts do", () => {
    const id = shop.open();
    strip(id);
    const act = steps(id).find(({ operation }) => operation.kind === "tighten")!;
    skipStep(shop.ctx, id, act.operation.id, "the customer wants it off");
    expect(getReport(shop.db, job(id), reportDates).leftOut).toContainEqual({
      name: act.operation.words,
      reason: "the customer wants it off",
    });
  });
});

describe("seals that are new every year", () => {
  it("do not go back old unasked, until one was renewed within the year; where they go by evidence nothing is asked", () => {
    const modelId = startModelOf(
      shop.ctx,
      { maker: "Own", name: "Sealed", family: "spinning-fluid-sealed", prefix: "SY" },
      families["spinning-fluid-sealed"].chosen,
    ).id;
    const open = (serial: string) => shop.open({ modelId, serial, kind: "service", depth: "full", complaint: "" });
    const oldSeals = (id: string | number) => oldPieces(steps(Number(id))).map(({ position }) => position!.name);
    const evidence = open("S1");
    strip(evidence);
    expect(oldSeals(evidence)).toEqual([]);
    const yearly = open("S2");
    setWay(shop.ctx, yearly, "job", "seals", "yearly");
    strip(yearly);
    const before = oldSeals(yearly);
    expect(before.length).toBeGreaterThan(2);
    const first = oldPieces(steps(yearly))[0]!;
    upTo(yearly, first.operation.id);
    const refused = refusal(() => doStep(shop.ctx, yearly, first.operation.id));
    expect([refused.code, refused.field]).toEqual(["old-piece", "reason"]);
    expect(refused.message).toMatch(/^Seals are replaced every year here, and the old/);
    doStep(shop.ctx, yearly, first.operation.id, "looked at: still good");
    expect(oldSeals(yearly)).toHaveLength(before.length - 1);
    declineJob(shop.ctx, yearly, "too dear");
    expect(oldSeals(yearly)).toEqual([]);
  });

  // Common practice: the eight seals of such a reel are new at every opening, whoever replaces others on evidence.
  it("are used once in a reel that is sealed all through: each that came out stops until a new one is in, or somebody says why", () => {
    const family = "spinning-sealed-bail-less";
    const modelId = startModelOf(shop.ctx, { maker: "Own", name: "Surf", family, prefix: "SU" }, families[family].chosen).id;
    const id = shop.open({ modelId, serial: "S3", kind: "service", depth: "full", complaint: "" });
    const old = () => oldPieces(steps(id)).map(({ position }) => position!.id);
    strip(id);
    expect(old().sort()).toEqual(
      [
        "gear-cover-seal",
        "gear-shaft-seal",
        "guide-seal-inner",
        "guide-seal-outer",
        "housing-seal",
        "main-seal",
        "neck-seal",
        "side-cover-seal",
      ].filter((seat) => listWells(shop.db, id).some(({ positionId }) => positionId === seat)),
    );
    expect(old().length).toBeGreaterThanOrEqual(7);
    const first = oldPieces(steps(id))[0]!;
    upTo(id, first.operation.id);
    expect(refusal(() => doStep(shop.ctx, id, first.operation.id)).message).toMatch(/^Never used again once it is out, and the old/);
    const job = findJob(shop.db, id)!;
    const foreseen = foreseenOf(shop.db, job, machineOf(shop.db, job), new Set(old()));
    expect(foreseen.map(({ positionId }) => positionId).sort()).toEqual(old().sort());
    // What the customer said no to is asked of nobody.
    declinePart(shop.ctx, id, first.position!.id, true);
    expect(old()).not.toContain(first.position!.id);
    declineJob(shop.ctx, id, "too dear");
    expect(old()).toEqual([]);
  });
});

/** Everything before a step, so that only its own piece can be in the way. */
const upTo = (id: number, operationId: string) => {
  for (const { operation } of steps(id)) {
    if (operation.id === operationId) return;
    doStep(shop.ctx, id, operation.id, "looked at: still good");
  }
};

describe("a fault that was proved", () => {
  const proved = () => {
    const id = shop.open({ limitMinor: 90_000, intake: intake({ complaints: ["click-weak"] }) });
    settleFault(shop.ctx, id, "click-tongue-worn", true);
    strip(id);
    return id;
  };
  /** Everything before the tongue, so that only its own piece can be in the way. */
  const upTo = (id: number, operationId: string) => {
    for (const { operation } of steps(id)) {
      if (operation.id === operationId) return;
      doStep(shop.ctx, id, operation.id, "");
    }
  };

  it("does not go back in with its old piece unasked", () => {
    const id = proved();
    upTo(id, "place-click-tongue");
    const refused = refusal(() => doStep(shop.ctx, id, "place-click-tongue"));
    expect([refused.code, refused.field]).toEqual(["old-piece", "reason"]);
    expect(refused.message).toMatch(/tongue worn/i);
    expect(refused.way).toMatchObject({ station: "parts" });
    doStep(shop.ctx, id, "place-click-tongue", "the customer keeps the old one");
    expect(shop.db.prepare("SELECT note FROM build_step WHERE job_id = ? AND operation_id = 'place-click-tongue'").pluck().get(id)).toBe(
      "the customer keeps the old one",
    );
  });

  it("charges no work that was not done: the old one back by a word, the fault's own line goes, and the report says so", () => {
    const id = proved();
    const lines = () => getBill(shop.db, job(id)).labour.map(({ words }) => words);
    expect(lines().join()).toContain("tongue");
    const [work] = lines().filter((words) => /tongue/i.test(words));
    upTo(id, "place-click-tongue");
    doStep(shop.ctx, id, "place-click-tongue", "the customer keeps the old one");
    expect(lines()).not.toContain(work);
    expect(saying(getReport(shop.db, job(id), reportDates).told, "found")).toEqual([
      "Click tongue worn: not replaced, the old one was refitted: the customer keeps the old one.",
    ]);
    undoStep(shop.ctx, id, "place-click-tongue");
    expect(lines()).toContain(work);
  });

  it.each([
    ["a new piece was fitted", (id: number) => fitFromStock(shop.ctx, id, "click-tongue")],
    ["the part was struck from the quote", (id: number) => setForeseen(shop.ctx, id, "click-tongue", false)],
    ["the customer declined it", (id: number) => setFaultOutcome(shop.ctx, id, "click-tongue-worn", "declined")],
    ["it was ruled out after all", (id: number) => settleFault(shop.ctx, id, "click-tongue-worn", false)],
    ["it was dressed by hand", (id: number) => noteWell(shop.ctx, id, "click-tongue", { verdict: "dressed", orientation: "", note: "" })],
  ])("asks nothing once %s", (_, said) => {
    const id = proved();
    said(id);
    upTo(id, "place-click-tongue");
    doStep(shop.ctx, id, "place-click-tongue");
  });
});

describe("a reel without a schematic that lies in pieces", () => {
  it("is not ready, and one press gives its pieces their way back", () => {
    const modelId = addUnknownModel(shop.ctx, { maker: "unknown", name: "brass reel", family: "star-drag-bridge" });
    const id = shop.open({ modelId });
    for (const kind of ["screw", "plate", "gear", "washer", "spool"] as const) takeLoosePart(shop.ctx, id, kind);
    expect(listLooseParts(shop.db, id)).toHaveLength(5);
    const [block] = onBenchFor(shop.db, job(id));
    expect(block).toEqual({ code: "left-over", what: "no-schematic", pieces: 5 });
    expect(refusal(() => markReady(shop.ctx, id)).code).toBe("left-over");
    makeSchematic(shop.ctx, id);
    expect(onBenchFor(shop.db, job(id)).filter(({ code }) => code === "left-over")).toHaveLength(5);
    for (const { operation } of steps(id)) doStep(shop.ctx, id, operation.id, "as it was found");
    expect(onBenchFor(shop.db, job(id)).filter(({ code }) => code === "left-over")).toEqual([]);
  });
});

describe("what was proved", () => {
  it("is proved no more once the reel was opened again, until it is tested as it then is", () => {
    const at = (time: string) => ({ ...shop.ctx, now: `2026-03-02T${time}:00.000Z` });
    const id = shop.open({ intake: intake({ complaints: ["click-weak"] }) });
    strip(id);
    for (const { operation } of steps(id)) doStep(at("10:00"), id, operation.id, "as it was");
    const test = (time: string) => recordAllGood(at(time), { jobId: id, phase: "after", testIds: ["click", "free-spool"] });
    const tests = () => onBenchFor(shop.db, job(id)).filter(({ code }) => code === "tests");
    test("11:00");
    expect(tests()).toEqual([]);
    const last = steps(id).findLast(({ operation }) => operation.kind === "place")!;
    undoStep(at("11:30"), id, last.operation.id);
    doStep(at("11:40"), id, last.operation.id, "as it was");
    expect(answersThatHold(shop.db, job(id)).filter(({ phase }) => phase === "after")).toEqual([]);
    expect(tests()).toHaveLength(1);
    test("11:50");
    expect(tests()).toEqual([]);
    expect(answersThatHold(shop.db, job(id)).map(({ testId }) => testId)).toEqual(["click", "free-spool"]);
  });
});
