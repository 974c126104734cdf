import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import type { LotRow } from "@/core/lots/lot-rows";
import { searchCustomers } from "@/data/customers/customers";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { findJob, listJobsOfLot } from "@/data/jobs/jobs";
import { setForeseen } from "@/data/parts/quote-parts";
import { getQuote } from "@/data/quote/quotes";
import { answerLot, findLot, listOpenLots, type NewLot, openLot } from "./lots";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const row = (n: number, more: Partial<LotRow> = {}): LotRow => ({
  serial: `LF ${1000 + n}`,
  mark: `boat ${n}`,
  complaint: "",
  condition: "",
  depth: "",
  drag: "",
  ...more,
});
const lot = (rows: readonly LotRow[], more: Partial<NewLot> = {}): NewLot => ({
  name: "Lake ferry, autumn",
  customer: { id: shop.customerId },
  modelId: "skerry-30",
  water: "fresh",
  tripsPerYear: 120,
  life: ["fleet"],
  dragWish: "shop",
  limitMinor: 4000,
  promisedOn: "2026-04-01",
  rows,
  ...more,
});

describe("a lot of like reels", () => {
  it("is taken in whole, each with its mark, and none of it while a row is wrong", () => {
    const rows = Array.from({ length: 34 }, (_, i) => row(i));
    const bad = openLot(shop.ctx, lot([...rows.slice(0, 10), row(3), { ...row(40), serial: "??" }, ...rows.slice(10)]));
    expect("faults" in bad && bad.faults.map((fault) => [fault.row, fault.column])).toEqual([
      [11, "serial"],
      [12, "serial"],
    ]);
    expect(shop.db.prepare("SELECT count(*) FROM job").pluck().get()).toBe(0);
    const made = openLot(shop.ctx, lot(rows.map((one, i) => (i === 5 ? { ...one, complaint: "drag weak, star loose" } : one))));
    if (!("id" in made)) throw new Error("not taken in");
    expect(made.tags).toHaveLength(34);
    const jobs = listJobsOfLot(shop.db, made.id);
    expect(jobs[5]).toMatchObject({
      mark: "boat 5",
      lotId: made.id,
      complaint: "star loose",
      intake: { complaints: ["drag-weak"], life: ["fleet"] },
    });
    expect(findLot(shop.db, made.id)).toMatchObject({ reels: 34, customerName: "Ada Brook" });
    expect(listOpenLots(shop.db)).toHaveLength(1);
    // The same reels cannot come twice.
    const again = openLot(shop.ctx, lot(rows.slice(0, 2)));
    expect("faults" in again && again.faults.map((fault) => fault.message)).toEqual([
      expect.stringContaining("Already in the shop"),
      expect.stringContaining("Already in the shop"),
    ]);
  });

  it("adds a new customer with the lot, and not while a row is wrong", () => {
    const named = () => searchCustomers(shop.db, "Orrin", 5).map(({ name }) => name);
    const wrong = openLot(shop.ctx, lot([row(1), row(1)], { customer: { name: "Orrin Vale" } }));
    expect("faults" in wrong).toBe(true);
    expect(named()).toEqual([]);
    openLot(shop.ctx, lot([row(1), row(2)], { customer: { name: "Orrin Vale" } }));
    expect(named()).toEqual(["Orrin Vale"]);
  });

  it("refuses nobody, nothing and too much", () => {
    expect(refusal(() => openLot(shop.ctx, lot([row(1)], { customer: { id: 99 } }))).code).toBe("no-customer");
    expect(refusal(() => openLot(shop.ctx, lot([{ serial: " ", mark: "", complaint: "", condition: "", depth: "", drag: "" }]))).code).toBe(
      "empty",
    );
    expect(refusal(() => openLot(shop.ctx, lot(Array.from({ length: 101 }, (_, i) => row(i))))).code).toBe("too-many");
  });

  it("takes one answer for all that wait for one", () => {
    const made = openLot(shop.ctx, lot([row(1), row(2), row(3)], { limitMinor: 6000 }));
    if (!("id" in made)) throw new Error("not taken in");
    const jobs = listJobsOfLot(shop.db, made.id);
    expect(refusal(() => answerLot(shop.ctx, made.id, { accepted: true, words: "Yes" })).code).toBe("none");
    for (const job of jobs.slice(0, 2)) {
      settleFault(shop.ctx, job.id, "drag-worn", true);
      setForeseen(shop.ctx, job.id, "main-gear", true);
    }
    expect(jobs.map((job) => getQuote(shop.db, findJob(shop.db, job.id)!).consent)).toEqual(["ask", "ask", "within-limit"]);
    expect(answerLot(shop.ctx, made.id, { accepted: true, words: "Yes, all of them" })).toEqual({ reels: 2 });
    expect(jobs.map((job) => getQuote(shop.db, findJob(shop.db, job.id)!).consent)).toEqual(["agreed", "agreed", "within-limit"]);
  });
});
