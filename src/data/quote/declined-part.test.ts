import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doStep, doSteps } from "@/data/bench/build-steps";
import { expectedNext, listWells, noteWell, takeParts } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { findJob } from "@/data/jobs/jobs";
import { listNeeds } from "@/data/parts/needs";
import { declinePart, listDeclined, setForeseen } from "@/data/parts/quote-parts";
import { getQuote } from "@/data/quote/quotes";

let shop: Workshop;
let id = 0;
const job = () => findJob(shop.db, id)!;
const quoted = () => getQuote(shop.db, job()).parts.map(({ positionId }) => positionId);
const note = (positionId: string, verdict: "ok" | "replace") => {
  const { orientation } = listWells(shop.db, id).find((well) => well.positionId === positionId)!;
  return noteWell(shop.ctx, id, positionId, { verdict, orientation, note: "" });
};
const open = () => takeParts(shop.ctx, id, expectedNext(shop.db, job()));
beforeEach(() => {
  shop = openWorkshop();
  id = shop.open({ serial: "DP 1" });
});

describe("a new part the customer said no to", () => {
  it("is not demanded at Build: the old one goes back by a press, and the account says why", () => {
    open();
    note("tail-bearing", "replace");
    expect(quoted()).toEqual(["tail-bearing"]);
    declinePart(shop.ctx, id, "tail-bearing", true);
    expect(quoted()).toEqual([]);
    for (const { operation, notDue } of getBuild(shop.db, job()).steps) if (!notDue) doStep(shop.ctx, id, operation.id);
    expect(saying(getAccount(shop.db, job()).sentences, "watch")).toContainEqual(expect.stringMatching(/bearing.*declined/i));
  });

  it("stays declined when the bench sees once more that it is worn, and asks Stores for nothing", () => {
    declinePart(shop.ctx, id, "tail-bearing", true);
    open();
    expect(note("tail-bearing", "replace").words).toMatch(/said no/);
    expect(quoted()).toEqual([]);
    expect(listNeeds(shop.db, { states: ["open", "ordered", "arrived"], jobId: id })).toEqual([]);
  });

  it("is wanted again by a yes after all, and by nothing else", () => {
    declinePart(shop.ctx, id, "tail-bearing", true);
    settleFault(shop.ctx, id, "water-in-bearings", true);
    expect(quoted()).toEqual(["head-bearing"]);
    declinePart(shop.ctx, id, "tail-bearing", false);
    expect([listDeclined(shop.db, id), quoted().sort()]).toEqual([[], ["head-bearing", "tail-bearing"]]);
  });

  it("does not put back what is not there: an empty place still waits, or is left off", () => {
    open();
    const { orientation } = listWells(shop.db, id).find(({ positionId }) => positionId === "star")!;
    noteWell(shop.ctx, id, "star", { verdict: "missing", orientation, note: "", foundCount: 1 });
    declinePart(shop.ctx, id, "star", true);
    const steps = getBuild(shop.db, job()).steps.map(({ operation }) => operation.id);
    expect(refusal(() => doSteps(shop.ctx, id, steps)).code).toBe("waits-for-part");
  });
});

describe("what a proved fault brings", () => {
  it("is one bearing, and the other one where that is seen to be the bad one; what was put by hand stays", () => {
    settleFault(shop.ctx, id, "spool-bearing-rough", true);
    const [first] = quoted();
    expect(quoted()).toHaveLength(1);
    const other = ["head-bearing", "tail-bearing"].find((seat) => seat !== first)!;
    open();
    note(other, "replace");
    expect(quoted()).toEqual([other]);
    note(other, "ok");
    expect(quoted()).toEqual([first]);
    setForeseen(shop.ctx, id, "star", true);
    note(other, "replace");
    expect(quoted().sort()).toEqual([other, "star"].sort());
  });
});
