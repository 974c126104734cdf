import { describe, expect, it } from "vitest";
import { actOf } from "@/app/acts/registry";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doSteps, failGate, undoStep } from "@/data/bench/build-steps";
import { addExtraPiece, settleExtraPiece } from "@/data/bench/extra-pieces";
import { openingOf } from "@/data/bench/opening";
import { leaveOut, listWells, noteWell, putBack, takeAllAsCame, takeParts } from "@/data/bench/tray";
import { setWay } from "@/data/bench/ways";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import { recordObservation, skipTest } from "@/data/diagnosis/observations";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { answer, openWorkshop, refusal, type Workshop } from "./workshop";

/** What jobs of chance found, each kept by itself (npm run any-job). */
const job = (shop: Workshop, id: number) => findJob(shop.db, id)!;
const said = (shop: Workshop, id: number) => getAccount(shop.db, job(shop, id)).sentences.map(({ words }) => words);

describe("what this reel cannot have", () => {
  it("is neither found, seen, tested nor left out on it; and is taken back where it stands from before", () => {
    const shop = openWorkshop();
    const id = shop.open({});
    const code = (work: () => unknown) => refusal(work).code;
    expect(code(() => settleFault(shop.ctx, id, "pick-up-pin-hangs", true))).toBe("not-on-this-reel");
    expect(code(() => settleFault(shop.ctx, id, "pick-up-pin-hangs", false))).toBe("not-on-this-reel");
    expect(() => settleFault(shop.ctx, id, "pick-up-pin-hangs", null)).not.toThrow();
    expect(code(() => recordLook(shop.ctx, id, "roller-drags", true))).toBe("not-on-this-reel");
    expect(code(() => answer(shop.ctx, id, "bail", "bad"))).toBe("not-on-this-reel");
    expect(code(() => skipTest(shop.ctx, { jobId: id, phase: "before", testId: "bail", reason: "" }))).toBe("not-on-this-reel");
    // What is asked for when there is a reason is a test of it all the same.
    expect(() =>
      recordObservation(shop.ctx, {
        ...{ jobId: id, phase: "before", testId: "side-play", verdict: "bad", value: null, lineRadiusMm: null },
        ...{ instrument: "by hand", simulated: false, trace: null },
      }),
    ).not.toThrow();
  });
});

describe("a check that failed", () => {
  const gateOf = (shop: Workshop, id: number) => getBuild(shop.db, job(shop, id)).steps.find(({ operation }) => operation.kind === "gate")!;
  const built = () => {
    const shop = openWorkshop();
    const id = shop.open({});
    takeAllAsCame(shop.ctx, id);
    return { shop, id };
  };

  it("was made: before what it tests is in, it cannot fail", () => {
    const { shop, id } = built();
    expect(refusal(() => failGate(shop.ctx, id, gateOf(shop, id).operation.id, "")).code).toBe("missing-before");
  });

  it("waits again once a step under it is undone, and holds nothing up", () => {
    const { shop, id } = built();
    const { operation } = gateOf(shop, id);
    for (;;) {
      const { current } = getBuild(shop.db, job(shop, id));
      if (!current || current.operation.id === operation.id) break;
      doSteps(shop.ctx, id, [current.operation.id], "as it was found, and it works");
    }
    failGate(shop.ctx, id, operation.id, "");
    expect(getBuild(shop.db, job(shop, id)).failedGate?.operation.id).toBe(operation.id);
    const under = gateOf(shop, id).needs[0]!;
    expect(undoStep(shop.ctx, id, under).operationIds).toContain(operation.id);
    const after = getBuild(shop.db, job(shop, id));
    expect([after.failedGate, after.current?.operation.id]).toEqual([null, under]);
  });
});

describe("a part that was to stay out", () => {
  it("is fitted after all, and stays out as before once that is undone", () => {
    const shop = openWorkshop();
    const id = shop.open({});
    takeAllAsCame(shop.ctx, id);
    const first = getBuild(shop.db, job(shop, id)).current!;
    const out = () => listWells(shop.db, id).find(({ positionId }) => positionId === first.position!.id)!.leftOutReason;
    leaveOut(shop.ctx, id, first.position!.id, "no longer available");
    doSteps(shop.ctx, id, [first.operation.id]);
    expect(out()).toBeNull();
    undoStep(shop.ctx, id, first.operation.id);
    expect(out()).toBe("no longer available");
  });
});

describe("a reel that hangs ready", () => {
  it("does so no more once a part is off it, and says where it is now", () => {
    const shop = openWorkshop();
    const id = shop.open({ kind: "service", depth: "light" });
    const { run, act } = actOf("take-parts")!;
    const protocol = protocolOfJob("star-drag-bridge", job(shop, id)).map((test) => test.id);
    for (const testId of protocol) answer(shop.ctx, id, testId, "good", null, "after");
    const points = actOf("oil-points")!;
    for (const positionId of shop.db.prepare("SELECT id FROM position").pluck().all() as string[])
      try {
        points.run.run(shop.ctx, points.act.input.parse({ jobId: id, positionIds: [positionId], state: "oiled" }) as never);
      } catch {
        // No point of this job.
      }
    markReady(shop.ctx, id);
    expect(job(shop, id).station).toBe("return");
    run.run(shop.ctx, act.input.parse({ jobId: id, positionIds: ["lock-screw"] }) as never);
    expect(job(shop, id).station).toBe("build");
    expect(shop.db.prepare("SELECT detail FROM journal WHERE action = 'station-reached' ORDER BY id DESC").pluck().get()).toContain("back");
  });

  it("goes home for no more than was agreed", () => {
    const shop = openWorkshop();
    const id = shop.open({ kind: "purchase-check", limitMinor: 1 });
    for (const testId of ["free-spool", "turning", "drag-light", "drag-strike", "drag-full", "anti-reverse", "click"] as const)
      answer(shop.ctx, id, testId, "good", null, "before");
    expect(refusal(() => closeJob(shop.ctx, id, "Ada")).code).toBe("over-limit");
    recordAnswer(shop.ctx, id, { accepted: true, words: "by phone", totalMinor: getQuote(shop.db, job(shop, id)).sum.totalMinor });
    markReady(shop.ctx, id);
    expect(closeJob(shop.ctx, id, "Ada").totalMinor).toBeGreaterThan(1);
  });
});

describe("what is told", () => {
  it("names a thing that is there twice once, with how many", () => {
    const shop = openWorkshop();
    const id = shop.open({});
    takeParts(shop.ctx, id, ["lock-screw"]);
    const ids = [1, 2].map(() => addExtraPiece(shop.ctx, id, "a shim"));
    expect(said(shop, id).filter((words) => words.includes("a shim"))).toEqual(["Not on the drawing: a shim (2 of them)."]);
    settleExtraPiece(shop.ctx, id, ids[0]!, "back");
    expect(said(shop, id).filter((words) => words.includes("a shim"))).toEqual([
      "Not on the drawing: a shim, put back.",
      "Not on the drawing: a shim.",
    ]);
  });

  it("ends no sentence in nothing where the one part of an assembly was gone when it came", () => {
    const shop = openWorkshop();
    const id = shop.open({});
    takeParts(shop.ctx, id, ["lock-screw"]);
    noteWell(shop.ctx, id, "lock-screw", { verdict: "missing", orientation: "", note: "", foundCount: 0 });
    expect(said(shop, id).filter((words) => /opened in part/.test(words))).toEqual([expect.stringMatching(/opened in part[^:]*\.$/)]);
  });
});

describe("the first part taken by mistake", () => {
  it("settles nothing once it is back: what is opened follows the job again", () => {
    const shop = openWorkshop();
    const id = shop.open({ kind: "service", depth: "full" });
    const open = () => openingOf(shop.db, job(shop, id)).opening.off.size;
    const full = open();
    takeParts(shop.ctx, id, ["lock-screw"]);
    putBack(shop.ctx, id);
    setWay(shop.ctx, id, "job", "depth", "round");
    expect(open()).toBeLessThan(full);
  });
});

describe("a look before a purchase", () => {
  it("is quoted with the piece that went in by hand, so that nobody pays for what was not asked about", () => {
    const shop = openWorkshop();
    const id = shop.open({ kind: "purchase-check", depth: "full", limitMinor: 0 });
    const press = (act: "use" | "take-parts", input: object) => {
      const { run, act: of } = actOf(act)!;
      return run.run(shop.ctx, of.input.parse({ jobId: id, ...input }) as never);
    };
    const agree = () =>
      recordAnswer(shop.ctx, id, { accepted: true, words: "yes", totalMinor: getQuote(shop.db, job(shop, id)).sum.totalMinor });
    agree();
    press("take-parts", { positionIds: ["lock-screw", "handle-nut"] });
    // Agreed was the look alone.
    expect(refusal(() => press("use", { positionId: "handle-nut" })).code).toBe("ask-first");
    expect(getQuote(shop.db, job(shop, id)).sum.partsMinor).toBe(0);
  });
});

describe("a piece of the customer's that is planned", () => {
  it("is planned again once another, taken in its stead or itself, is taken back", () => {
    const shop = openWorkshop();
    const id = shop.open({ kind: "repair", limitMinor: 1_000_000 });
    const press = (act: "use-piece" | "use-several" | "unuse" | "take-parts", input: object) => {
      const { run, act: of } = actOf(act)!;
      return run.run(shop.ctx, of.input.parse({ jobId: id, ...input }) as never);
    };
    const from = (source: string) => ({
      ...{
        positionId: "star",
        source,
        kind: "",
        size: "",
        material: "",
        closure: "",
        priceMinor: source === "customer" ? "" : "4.50",
        anyway: true,
      },
    });
    const planned = () =>
      shop.db.prepare("SELECT part_type_id, price_minor, source FROM quote_part WHERE job_id = ? AND position_id = 'star'").get(id);
    press("use-piece", from("customer"));
    const before = planned();
    expect(before).toMatchObject({ source: "customer", price_minor: 0 });
    press("take-parts", { positionIds: ["lock-screw", "handle-nut", "handle", "handle-spacer", "star"] });
    press("use-piece", from("counter"));
    expect(planned()).not.toEqual(before);
    press("unuse", { positionId: "star" });
    expect(planned()).toEqual(before);
    press("use-several", { positionIds: ["star"] });
    press("unuse", { positionId: "star" });
    expect(planned()).toEqual(before);
  });
});
