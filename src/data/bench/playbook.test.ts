import { describe, expect, it } from "vitest";
import { skerry30 } from "#demo/models/skerry-30";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { editSeat, startDraft } from "@/core/anatomy/draft";
import { doStep } from "@/data/bench/build-steps";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { reviseModel } from "@/data/catalogue/write-model";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listSeatWear } from "@/data/ledger/seat-wear";
import { getBuild } from "./build";
import { learn, learnAct, listLearnedMinutes, putMinutesIn } from "./playbook";
import { expectedNext, noteWell, takePart } from "./tray";

/** Strips the handle of a new job and builds it again, each step so many minutes after the one before. */
function rebuild(shop: Workshop, minutes: readonly number[]) {
  const id = shop.open();
  for (const seat of expectedNext(shop.db, findJob(shop.db, id)!).slice(0, 5)) takePart(shop.ctx, id, seat);
  let at = Date.parse("2026-03-03T08:00:00Z");
  getBuild(shop.db, findJob(shop.db, id)!).steps.forEach((step, i) => {
    at += (minutes[i % minutes.length] ?? 1) * 60_000;
    doStep({ ...shop.ctx, now: new Date(at).toISOString() }, id, step.operation.id);
  });
  return id;
}

describe("the playbook", () => {
  it("learns the minutes of each act from the bench and takes them in by one act", () => {
    const shop = openWorkshop();
    for (const minutes of [[2], [4], [3]]) rebuild(shop, minutes);
    const learned = listLearnedMinutes(shop.db, skerry30.id);
    expect(learned.length).toBeGreaterThan(4);
    expect(learned.every((one) => one.median === 3 && one.seen === 3)).toBe(true);
    expect(putMinutesIn(shop.ctx, skerry30.id, 1)).toEqual({ number: 2 });
    const { anatomy } = getCurrentModelVersion(shop.db, skerry30.id);
    expect(anatomy.operations.filter((operation) => operation.minutes === 3)).toHaveLength(learned.length);
    expect(refusal(() => putMinutesIn(shop.ctx, skerry30.id, 2)).code).toBe("nothing-new");
    expect(refusal(() => putMinutesIn(shop.ctx, skerry30.id, 1)).code).toBe("changed-elsewhere");
    // An act with minutes is still the same act: a job of the new version builds as before.
    const id = rebuild(shop, [1]);
    expect(getBuild(shop.db, findJob(shop.db, id)!).current).toBeNull();
  });

  it("takes a caution or a trap a job taught, for the next job and not for this one", () => {
    const shop = openWorkshop();
    const id = shop.open();
    expect(learn(shop.ctx, id, { about: "trap", positionId: "keyed-high", words: "The washer was glued." })).toEqual({ number: 2 });
    const trap = (jobId: number) => machineOf(shop.db, findJob(shop.db, jobId)!).anatomy.positions.find((p) => p.id === "keyed-high")!.trap;
    expect(trap(id)).toBeUndefined();
    expect(trap(shop.open())).toBe("The washer was glued.");
    expect(refusal(() => learn(shop.ctx, id, { about: "trap", positionId: "keyed-high", words: "The washer was glued." })).code).toBe(
      "known",
    );
    expect(refusal(() => learn(shop.ctx, id, { about: "caution", positionId: "keyed-high", words: "  " }))).toMatchObject({
      code: "empty",
      field: "words",
    });
    expect(refusal(() => learn(shop.ctx, id, { about: "caution", positionId: "nowhere", words: "x" })).code).toBe("no-seat");
    // What a seat says already stays, and the two together have a limit.
    learn(shop.ctx, id, { about: "trap", positionId: "keyed-high", words: "Warm it." });
    expect(trap(shop.open())).toBe("The washer was glued. Warm it.");
    expect(refusal(() => learn(shop.ctx, id, { about: "trap", positionId: "keyed-high", words: "y".repeat(190) })).code).toBe("too-long");
  });

  it("takes an act a job taught, after the one it follows", () => {
    const shop = openWorkshop();
    const id = shop.open();
    expect(learnAct(shop.ctx, id, { afterOperationId: "place-star", kind: "gate", words: "The star clicks." })).toEqual({ number: 2 });
    const next = shop.open();
    for (const seat of expectedNext(shop.db, findJob(shop.db, next)!).slice(0, 6)) takePart(shop.ctx, next, seat);
    const order = getBuild(shop.db, findJob(shop.db, next)!).steps.map((step) => step.operation.words);
    expect(order.indexOf("The star clicks.")).toBeGreaterThan(order.indexOf("Fit Star"));
    expect(refusal(() => learnAct(shop.ctx, id, { afterOperationId: "place-star", kind: "gate", words: "The star clicks." })).code).toBe(
      "known",
    );
    expect(refusal(() => learnAct(shop.ctx, id, { afterOperationId: "gone", kind: "gate", words: "x" })).code).toBe("no-act");
    expect(refusal(() => learnAct(shop.ctx, id, { afterOperationId: "place-star", kind: "gate", words: " " })).field).toBe("words");
  });

  it("takes a seat as verified", () => {
    const shop = openWorkshop();
    const { anatomy, number } = getCurrentModelVersion(shop.db, skerry30.id);
    const draft = editSeat(startDraft(anatomy), "tail-screw-top", { verify: ["hole"] });
    reviseModel(shop.ctx, skerry30.id, number, draft);
    const id = shop.open();
    const seat = () => getCurrentModelVersion(shop.db, skerry30.id).anatomy.positions.find((p) => p.id === "tail-screw-top")!;
    expect(seat().verify).toEqual(["hole"]);
    learn(shop.ctx, id, { about: "confirmed", positionId: "tail-screw-top", words: "" });
    expect(seat().verify).toEqual([]);
  });

  it("knows what wears: how often a seat was in the tray and found worn", () => {
    const shop = openWorkshop();
    for (const verdict of ["ok", "worn", "replace"] as const) {
      const id = shop.open();
      for (const seat of expectedNext(shop.db, findJob(shop.db, id)!).slice(0, 2)) {
        takePart(shop.ctx, id, seat);
        if (seat === "handle-nut") noteWell(shop.ctx, id, seat, { verdict, orientation: "", note: "" });
      }
    }
    expect(listSeatWear(shop.db, skerry30.id)["handle-nut"]).toEqual({ seen: 3, worn: 2 });
    expect(listSeatWear(shop.db, "cairn-20")).toEqual({});
  });
});
