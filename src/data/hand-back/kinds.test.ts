import { beforeEach, describe, expect, it } from "vitest";
import { answer, intake, openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { protocolFor } from "@/core/proving/protocol";
import { jobKindIds } from "@/core/vocabulary/job-kinds";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { getBuild } from "@/data/bench/build";
import { doStep } from "@/data/bench/build-steps";
import { fitFromStock } from "@/data/bench/fit-part";
import { listOilPoints, markOilPoints } from "@/data/bench/oil-points";
import { expectedNext, noteWell, takePart } from "@/data/bench/tray";
import { claimsOf, diagnosisOf, lastVisitOf, recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import { listObservations } from "@/data/diagnosis/observations";
import { findJob, type Intake, makeRepair } from "@/data/jobs/jobs";
import { sayCover } from "@/data/quote/comeback";
import { costToPutRight, getBill, getQuote } from "@/data/quote/quotes";
import { declineJob } from "./decline";
import { getReport } from "./report";
import { closeJob, markReady } from "./returns";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const test = (id: number, phase: "before" | "after", testId: TestId, verdict: Verdict, value: number | null = null) =>
  answer(shop.ctx, id, testId, verdict, value, phase);
const p = (id: number, fault: string) =>
  diagnosisOf(shop.db, job(id)).diagnosis.ranked.find((suspect) => suspect.fault.id === fault)!.probability;
const words = (change: Partial<Intake>) => ({ intake: intake(change) });

/** A drag repair from strip to the counter. */
const repaired = (serial: string): number => {
  const id = shop.open({ serial, ...words({ complaints: ["drag-weak"] }) });
  settleFault(shop.ctx, id, "drag-worn", true);
  for (const part of expectedNext(shop.db, job(id))) takePart(shop.ctx, id, part);
  noteWell(shop.ctx, id, "friction-low", { verdict: "replace", orientation: "", note: "" });
  fitFromStock(shop.ctx, id, "friction-low");
  for (const step of getBuild(shop.db, job(id)).steps) doStep(shop.ctx, id, step.operation.id, "the others are still good");
  test(id, "after", "drag-full", "good", 55);
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada Brook");
  return id;
};

describe("a comeback", () => {
  it("is refused without an earlier job of that serial, and opens on the last one with its priors raised and its work free", () => {
    expect(refusal(() => shop.open({ kind: "comeback", serial: "C1" }))).toMatchObject({ code: "no-earlier-job", field: "serial" });
    // Neither a reel that was sent away nor one that was only looked over carries work of ours.
    const away = shop.open({ serial: "C1" });
    declineJob(shop.ctx, away, "too dear");
    closeJob(shop.ctx, away, "Ada Brook");
    expect(refusal(() => shop.open({ kind: "comeback", serial: "C1" })).code).toBe("no-earlier-job");
    const first = repaired("C1");
    const again = shop.open({ kind: "comeback", serial: "C1", ...words({ complaints: ["drag-weak"] }) });
    const plain = shop.open({ serial: "P1", ...words({ complaints: ["drag-weak"], life: [] }) });
    expect(job(again).comebackOf).toBe(first);
    expect(lastVisitOf(shop.db, job(again))).toMatchObject({ tag: job(first).tag, found: [expect.stringMatching(/worn thin/)] });
    expect(lastVisitOf(shop.db, job(again))!.renewed).toHaveLength(1);
    expect(lastVisitOf(shop.db, job(again))!.measured[0]!.words).toMatch(/^55 /);
    expect(lastVisitOf(shop.db, job(plain))).toBeNull();
    expect(p(again, "drag-worn")).toBeGreaterThan(p(plain, "drag-worn"));
    settleFault(shop.ctx, again, "drag-worn", true);
    expect(getQuote(shop.db, job(again)).sum.labourMinor).toBe(0);
    // What we had in our hands is ours, found before or not; what we had not is the customer's, and either is said line by line.
    settleFault(shop.ctx, again, "tension-washers-nested", true);
    expect(getQuote(shop.db, job(again)).sum.totalMinor).toBe(0);
    settleFault(shop.ctx, again, "knob-stiff", true);
    expect(getQuote(shop.db, job(again)).sum.labourMinor).toBeGreaterThan(0);
    sayCover(shop.ctx, again, "fault", "knob-stiff", true);
    expect(getQuote(shop.db, job(again)).sum.totalMinor).toBe(0);
    sayCover(shop.ctx, again, "fault", "tension-washers-nested", false);
    expect(getQuote(shop.db, job(again)).sum.labourMinor).toBeGreaterThan(0);
  });
});

describe("a light service", () => {
  it("goes home on its three tests, unopened, and not on a bad one", () => {
    const id = shop.open({ kind: "service", depth: "light", complaint: "" });
    expect(refusal(() => markReady(shop.ctx, id)).message).toMatch(/^Oil points to do at Build/);
    const points = listOilPoints(shop.db, job(id));
    markOilPoints(shop.ctx, id, [points[0]!.positionId], "oiled");
    markOilPoints(
      shop.ctx,
      id,
      points.slice(1).map(({ positionId }) => positionId),
      "left-out",
    );
    expect(refusal(() => markReady(shop.ctx, id)).message).toMatch(/^Not tested/);
    test(id, "after", "turning", "good");
    test(id, "after", "drag-strike", "good");
    test(id, "after", "anti-reverse", "bad");
    expect(refusal(() => markReady(shop.ctx, id)).message).toMatch(/^Anti-reverse is still bad/);
    test(id, "after", "anti-reverse", "good");
    markReady(shop.ctx, id);
    closeJob(shop.ctx, id, "Ada Brook");
    expect(job(id).closedAt).not.toBeNull();
  });

  it("becomes a repair with all of it still there, at the price of one", () => {
    const id = shop.open({ kind: "service", depth: "light", complaint: "" });
    test(id, "before", "anti-reverse", "bad");
    const before = getQuote(shop.db, job(id)).sum.labourMinor;
    makeRepair(shop.ctx, id);
    expect(job(id).kind).toBe("repair");
    expect(getQuote(shop.db, job(id)).sum.labourMinor).toBeGreaterThan(before);
    expect(listObservations(shop.db, id)).toHaveLength(1);
  });
});

describe("a purchase check", () => {
  it("weighs the claims, bills the check alone, and says what putting it right would cost", () => {
    const id = shop.open({
      kind: "purchase-check",
      complaint: "",
      ...words({ claims: ["fresh-only", "serviced"], conditions: ["green"] }),
    });
    expect(claimsOf(shop.db, job(id)).map(({ standing }) => standing)).toEqual(["against", "not-looked"]);
    recordLook(shop.ctx, id, "grease-hard", true);
    expect(claimsOf(shop.db, job(id))[1]!.standing).toBe("against");
    const fee = getBill(shop.db, job(id)).sum.totalMinor;
    settleFault(shop.ctx, id, "hardened-grease", true);
    expect(getBill(shop.db, job(id)).sum.totalMinor).toBe(fee);
    expect(costToPutRight(shop.db, job(id)).totalMinor).toBeGreaterThan(0);
    for (const spec of protocolFor("star-drag-bridge")) test(id, "before", spec.id, "bad");
    markReady(shop.ctx, id);
    const report = getReport(shop.db, job(id), reportDates);
    expect(report.check?.claims.map(({ standing }) => standing)).toEqual(["contradicted by", "contradicted by"]);
    closeJob(shop.ctx, id, "Ada Brook");
    expect(job(id).finalTotalMinor).toBe(fee);
  });

  it("counts as bought second hand, and no other kind does", () => {
    for (const kind of jobKindIds.filter((kind) => kind !== "comeback"))
      expect(diagnosisOf(shop.db, job(shop.open({ kind }))).subject.use.includes("second-hand"), kind).toBe(kind === "purchase-check");
  });
});
