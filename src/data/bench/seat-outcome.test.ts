import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doSteps } from "@/data/bench/build-steps";
import { cleanedAllByHand } from "@/data/bench/cleaning";
import { fitFromStock } from "@/data/bench/fit-part";
import { lubricantsUsed } from "@/data/bench/lubricants-used";
import { listOutcomes, tellOutcome } from "@/data/bench/seat-outcome";
import { listWells, noteWell, putBack, takeParts } from "@/data/bench/tray";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

let shop: Workshop;
let id = 0;
const job = () => findJob(shop.db, id)!;
const rub = () => getAccount(shop.db, job()).sentences;
const apart = () => {
  const { anatomy } = machineOf(shop.db, job());
  takeParts(
    shop.ctx,
    id,
    anatomy.positions.filter(({ stays }) => stays === undefined).map((seat) => seat.id),
  );
  cleanedAllByHand(shop.ctx, id);
};
const build = () =>
  doSteps(
    shop.ctx,
    id,
    getBuild(shop.db, job()).steps.flatMap(({ operation, state, notDue }) => (state === "waiting" && !notDue ? [operation.id] : [])),
    "as agreed",
  );
beforeEach(() => {
  shop = openWorkshop();
  id = shop.open({ serial: "SO 1" });
  apart();
});

describe("what went on in place of the rule's product", () => {
  it("is told in the report and comes from its own tin; what was not told stays as recommended", () => {
    const drops = (product: string) =>
      lubricantsUsed(shop.db, job(), machineOf(shop.db, job())).find((use) => use.product === product)?.drops ?? 0;
    build();
    const [light, medium] = [drops("light oil"), drops("medium oil")];
    tellOutcome(shop.ctx, id, "head-bearing", { product: "medium oil", onPurpose: true });
    expect([drops("light oil") < light, drops("medium oil") > medium]).toEqual([true, true]);
    expect(saying(rub(), "oil").find((words) => words.startsWith("Medium oil"))).toMatch(/spool bearing \(head/i);
    tellOutcome(shop.ctx, id, "head-bearing", { product: null });
    expect(drops("light oil")).toBe(light);
  });

  it("is refused where it is doubted, and kept on purpose; a product not for reels is no tin's", () => {
    const told = { product: "petroleum jelly" };
    expect(refusal(() => tellOutcome(shop.ctx, id, "friction-low", told))).toMatchObject({ code: "doubted-product", field: "product" });
    expect(listOutcomes(shop.db, id).size).toBe(0);
    tellOutcome(shop.ctx, id, "friction-low", { ...told, onPurpose: true });
    build();
    expect(saying(rub(), "oil").join(" ")).toMatch(/Petroleum jelly: /);
    expect(lubricantsUsed(shop.db, job(), machineOf(shop.db, job())).map((use) => String(use.product))).not.toContain("petroleum jelly");
  });

  it("left dry is said where the rule gives oil, and nothing is said to be oiled there", () => {
    tellOutcome(shop.ctx, id, "head-bearing", { product: "nothing" });
    build();
    const said = saying(rub(), "oil");
    expect(said.filter((words) => /spool bearing \(head/i.test(words))).toEqual([expect.stringMatching(/^Left dry on purpose: /)]);
  });

  it("is not told of a part that has not gone in", () => {
    tellOutcome(shop.ctx, id, "head-bearing", { product: "nothing", feel: "rough" });
    expect(rub().some(({ words }) => /dry on purpose|Rough/.test(words))).toBe(false);
  });
});

describe("how a part came out, and how it felt", () => {
  it("stands in the account: what is wrong among what is to be watched", () => {
    tellOutcome(shop.ctx, id, "main-gear", { clean: "stained" });
    tellOutcome(shop.ctx, id, "head-bearing", { feel: "rough" });
    tellOutcome(shop.ctx, id, "tail-bearing", { feel: "free" });
    build();
    expect(saying(rub(), "done")).toContainEqual(expect.stringMatching(/^A stain stays: main gear\.$/i));
    expect(saying(rub(), "watch")).toContainEqual(expect.stringMatching(/^Rough as fitted: spool bearing \(head/i));
    expect(saying(rub(), "checks")).toContainEqual(expect.stringMatching(/^Runs free as fitted: spool bearing \(tail/i));
  });

  it("is one thing at a time: a second word keeps the first, null takes it back, nothing left is no row", () => {
    tellOutcome(shop.ctx, id, "head-bearing", { feel: "rough" });
    tellOutcome(shop.ctx, id, "head-bearing", { clean: "pitted" });
    expect(listOutcomes(shop.db, id).get("head-bearing")).toEqual({ product: null, clean: "pitted", feel: "rough" });
    tellOutcome(shop.ctx, id, "head-bearing", { feel: null, clean: null });
    expect(listOutcomes(shop.db, id).size).toBe(0);
  });

  it("says of what went back uncleaned that it did, where the rest was cleaned", () => {
    expect(rub().some(({ words }) => words.startsWith("Refitted uncleaned"))).toBe(false);
    build();
    expect(rub().some(({ words }) => words.startsWith("Refitted uncleaned"))).toBe(false);
    const other = shop.open({ serial: "SO 3" });
    takeParts(shop.ctx, other, ["handle-nut", "handle"]);
    cleanedAllByHand(shop.ctx, other);
    takeParts(shop.ctx, other, ["star"]);
    doSteps(
      shop.ctx,
      other,
      getBuild(shop.db, findJob(shop.db, other)!).steps.map(({ operation }) => operation.id),
      "as agreed",
    );
    expect(saying(getAccount(shop.db, findJob(shop.db, other)!).sentences, "done")).toContainEqual(
      expect.stringMatching(/^Refitted uncleaned: star/i),
    );
  });

  it("is refused where such a part is not felt so, or the seat is none", () => {
    expect(refusal(() => tellOutcome(shop.ctx, id, "head-bearing", { feel: "limp" })).code).toBe("no-feel");
    expect(refusal(() => tellOutcome(shop.ctx, id, "no-such-seat", { feel: "free" })).code).toBe("no-seat");
  });

  it("goes with the old piece when a new one is fitted, and with the part when it is put back on the reel", () => {
    tellOutcome(shop.ctx, id, "head-bearing", { feel: "rough", product: "nothing" });
    const lies = listWells(shop.db, id).find(({ positionId }) => positionId === "head-bearing")!;
    noteWell(shop.ctx, id, "head-bearing", { verdict: "replace", orientation: lies.orientation, note: "" });
    fitFromStock(shop.ctx, id, "head-bearing");
    expect(listOutcomes(shop.db, id).get("head-bearing")).toEqual({ product: "nothing", clean: null, feel: null });
    const other = shop.open({ serial: "SO 2" });
    takeParts(shop.ctx, other, ["star"]);
    tellOutcome(shop.ctx, other, "star", { clean: "stained" });
    putBack(shop.ctx, other);
    expect(listOutcomes(shop.db, other).size).toBe(0);
  });
});
