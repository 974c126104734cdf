import { beforeEach, describe, expect, it } from "vitest";
import { answer, intake, openWorkshop, type Workshop } from "#tests/workshop";
import { getBuild } from "@/data/bench/build";
import { doStep } from "@/data/bench/build-steps";
import { fitFromStock } from "@/data/bench/fit-part";
import { expectedNext, noteWell, takePart } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { setForeseen } from "@/data/parts/quote-parts";
import { oldBackOf } from "./old-back";
import { addJobLine, forgetWordsOfAnswers, getQuote, quoteOptions, quotesOf, recordAnswer, removeJobLine } from "./quotes";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const strip = (id: number) => {
  for (const seat of expectedNext(shop.db, job(id))) takePart(shop.ctx, id, seat);
};
const build = (id: number, reason: string) => {
  for (const { operation } of getBuild(shop.db, job(id)).steps) doStep(shop.ctx, id, operation.id, reason);
};
const back = (...ids: number[]) => Object.fromEntries([...oldBackOf(shop.db, ids)].map(([id, faults]) => [id, [...faults]]));
const worn = (change: object = {}) => {
  const id = shop.open({ limitMinor: 90_000, ...change });
  settleFault(shop.ctx, id, "drag-worn", true);
  strip(id);
  return id;
};

describe("the old piece of a proved fault", () => {
  it("that went back by a word is told with it, of its own job alone", () => {
    const [kept, other] = [worn(), worn()];
    build(kept, "none to be had");
    expect(back(kept, other)).toEqual({ [kept]: [["drag-worn", "none to be had"]] });
    expect(back(other)).toEqual({});
    expect(back()).toEqual({});
  });

  it("is none once one of the fault's pieces was renewed, or the piece was dressed or is watched", () => {
    const one = worn();
    noteWell(shop.ctx, one, "friction-low", { verdict: "replace", orientation: "", note: "" });
    fitFromStock(shop.ctx, one, "friction-low");
    build(one, "the others are good");
    expect(back(one)).toEqual({});
    const dressed = worn();
    for (const seat of ["friction-low", "friction-mid", "friction-high"])
      noteWell(shop.ctx, dressed, seat, { verdict: "dressed", dressed: "polished", orientation: "", note: "" });
    build(dressed, "repaired by hand");
    expect(back(dressed)).toEqual({});
  });

  it("is none of a part that a person foresaw without a fault", () => {
    const id = shop.open({ limitMinor: 90_000 });
    setForeseen(shop.ctx, id, "friction-low", true);
    strip(id);
    build(id, "kept");
    expect(back(id)).toEqual({});
  });
});

describe("a quote among others", () => {
  it("has its own lines, parts and opening, however many are read at once", () => {
    const [first, second] = [shop.open({ limitMinor: 90_000 }), shop.open({ limitMinor: 90_000 })];
    addJobLine(shop.ctx, first, { words: "Postage", priceMinor: 700 });
    settleFault(shop.ctx, second, "click-tongue-worn", true);
    strip(second);
    const quotes = quotesOf(shop.db, [job(first), job(second)]);
    expect(quotes.get(first)).toEqual(getQuote(shop.db, job(first)));
    expect(quotes.get(second)).toEqual(getQuote(shop.db, job(second)));
    expect(quotes.get(first)!.parts).toEqual([]);
    expect(quotes.get(first)!.sum.extrasMinor).toBe(700);
    expect(quotes.get(second)!.sum.extrasMinor).toBe(0);
  });

  it("prices an upgrade by the part's own price", () => {
    const id = shop.open({ kind: "upgrade", complaint: "" });
    shop.db.prepare("UPDATE part_type SET price_minor = 4321 WHERE id = 'sk-star'").run();
    const sums = (upgrades: string[]) => JSON.stringify(quoteOptions(shop.db, job(id), upgrades));
    expect(sums(["sk-star"])).not.toBe(sums([]));
  });

  it("tells the journal when a line comes and goes, and forgets what an erased customer said", () => {
    const id = shop.open({ limitMinor: null });
    const line = addJobLine(shop.ctx, id, { words: "Postage", priceMinor: 700 });
    removeJobLine(shop.ctx, id, line);
    const actions = shop.db.prepare("SELECT action FROM journal WHERE job_id = ? ORDER BY id").pluck().all(id);
    expect(actions).toEqual(expect.arrayContaining(["line-added", "line-removed"]));
    recordAnswer(shop.ctx, id, { accepted: true, words: "go ahead, said my wife" });
    const other = shop.open({ limitMinor: null, customer: { name: "Brindle Okafor", phone: "", email: "" } });
    recordAnswer(shop.ctx, other, { accepted: true, words: "yes please" });
    forgetWordsOfAnswers(shop.db, shop.customerId);
    expect(getQuote(shop.db, job(id)).answers[0]!.words).toBe("erased");
    expect(getQuote(shop.db, job(other)).answers[0]!.words).toBe("yes please");
  });
});

it("a comeback covers what was found, renewed and touched in the job it came back from, and nothing of another", () => {
  const first = shop.open({ serial: "C1", limitMinor: 90_000, intake: intake() });
  settleFault(shop.ctx, first, "click-tongue-worn", true);
  strip(first);
  build(first, "kept");
  answer(shop.ctx, first, "click", "good", null, "after");
  markReady(shop.ctx, first);
  closeJob(shop.ctx, first, "Ada Brook");
  const comeback = shop.open({ serial: "C1", kind: "comeback" });
  const plain = shop.open({ serial: "C2", limitMinor: 90_000 });
  for (const id of [comeback, plain]) settleFault(shop.ctx, id, "click-tongue-worn", true);
  const quotes = quotesOf(shop.db, [job(plain), job(comeback)]);
  expect(quotes.get(comeback)!.sum.labourMinor).toBe(0);
  expect(quotes.get(plain)!.sum.labourMinor).toBeGreaterThan(0);
});
