import { beforeEach, describe, expect, it } from "vitest";
import { answer, intake, openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { defaultShopSettings } from "@/core/shop/settings";
import { takePart } from "@/data/bench/tray";
import { searchModels } from "@/data/catalogue/model-list";
import { addCustomer, classSaid, glanceAtCustomers, retireCustomer, searchCustomers, setDiscountClass } from "@/data/customers/customers";
import { declineJob } from "@/data/hand-back/decline";
import { getReport } from "@/data/hand-back/report";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob, listJobPhotos, pictureJob } from "@/data/jobs/jobs";
import { glanceAtReel } from "@/data/ledger/glance";
import { getBill } from "@/data/quote/quotes";
import { moveOf } from "@/data/schedule/rack";
import { saveShopSettings } from "@/data/shop/settings";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const reportOf = (id: number) => getReport(shop.db, job(id), reportDates);

describe("what the counter agrees", () => {
  it("pins the discount of the class as it was, and the deposit, into the report", () => {
    const id = shop.open({ discountClass: "trade", depositMinor: 1000 });
    const plain = shop.open();
    saveShopSettings(shop.ctx, { ...defaultShopSettings, discounts: { club: 0, trade: 9000, friend: 0 } });
    const [off, full] = [getBill(shop.db, job(id)).sum, getBill(shop.db, job(plain)).sum];
    expect(off.netMinor).toBe(Math.round(full.netMinor * 0.85));
    expect(reportOf(id).price).toMatchObject({ discount: off.discountMinor, deposit: 1000, total: off.totalMinor });
    expect(reportOf(plain).price).toMatchObject({ discount: 0, deposit: 0 });
  });

  it("leaves a known customer their class where only the name was typed, and takes what was chosen", () => {
    setDiscountClass(shop.ctx, shop.customerId, "club");
    expect(classSaid(shop.db, shop.customerId, false, "none")).toBe("club");
    expect(classSaid(shop.db, shop.customerId, false, "trade")).toBe("trade");
    expect(classSaid(shop.db, shop.customerId, true, "none")).toBe("none");
  });

  it("remembers a customer's class once it changed, and journals only a change", () => {
    const changes = () => shop.db.prepare("SELECT count(*) FROM journal WHERE action = 'customer-changed'").pluck().get();
    setDiscountClass(shop.ctx, shop.customerId, "club");
    setDiscountClass(shop.ctx, shop.customerId, "club");
    expect(searchCustomers(shop.db, "", 1)[0]!.discountClass).toBe("club");
    expect(changes()).toBe(1);
  });

  it("keeps marks with their places and says them in the report", () => {
    const id = shop.open({ intake: intake({ conditions: ["pitting"], marks: [{ mark: "pitting", zone: "foot" }] }) });
    expect(job(id).intake.marks).toEqual([{ mark: "pitting", zone: "foot" }]);
    expect(reportOf(id).asFound).toBe("pitting: foot");
  });

  it("keeps pictures of the reel as it came, each once, and none of a closed job", () => {
    const id = shop.open();
    for (const hash of ["a".repeat(64), "b".repeat(64)]) {
      shop.db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 1, ?)").run(hash, shop.ctx.now);
      pictureJob(shop.ctx, id, hash);
      pictureJob(shop.ctx, id, hash);
    }
    expect(listJobPhotos(shop.db, id)).toEqual(["a".repeat(64), "b".repeat(64)]);
    declineJob(shop.ctx, id, "no");
    closeJob(shop.ctx, id, "Ada");
    expect(refusal(() => pictureJob(shop.ctx, id, "a".repeat(64))).code).toBe("closed");
  });
});

describe("a reel that goes back unrepaired", () => {
  it("hangs ready with nothing to pay, can be taken on after all, and says why in its report", () => {
    const id = shop.open();
    const before = getBill(shop.db, job(id)).sum.totalMinor;
    declineJob(shop.ctx, id, "head plate cracked through");
    expect(moveOf(shop.db, job(id))).toBe("shelf");
    expect(getBill(shop.db, job(id)).sum.totalMinor).toBe(0);
    expect(reportOf(id).declined).toBe("head plate cracked through");
    declineJob(shop.ctx, id, null);
    expect(getBill(shop.db, job(id)).sum.totalMinor).toBe(before);
    declineJob(shop.ctx, id, "too dear for what it is");
    markReady(shop.ctx, id);
    closeJob(shop.ctx, id, "Ada");
    expect(job(id).finalTotalMinor).toBe(0);
  });

  it("still has to be whole, or say what stays out", () => {
    const id = shop.open();
    takePart(shop.ctx, id, "handle-nut");
    declineJob(shop.ctx, id, "no parts to be had");
    expect(refusal(() => markReady(shop.ctx, id)).code).toBe("left-over");
  });
});

describe("what is known before a word is written", () => {
  it("finds a customer by the first letters of name or phone, and offers the last ones before a letter is typed", () => {
    const add = (name: string, phone: string) => addCustomer(shop.ctx, { name, phone, email: "" });
    const ids = ["Elin Marsh", "Edda Marl", "Tove Elm"].map((name, i) => add(name, `070${i} 22`));
    const found = (text: string) => searchCustomers(shop.db, text, 12).map(({ name }) => name);
    expect(found("el").sort()).toEqual(["Elin Marsh", "Tove Elm"]);
    expect(found("mar ed")).toEqual(["Edda Marl"]);
    expect(found("0702")).toEqual(["Tove Elm"]);
    expect(found("nobody")).toEqual([]);
    shop.open();
    expect(found("").slice(0, 2)).toEqual(["Ada Brook", "Tove Elm"]);
    retireCustomer(shop.ctx, ids[0]!, true);
    expect(found("el")).toEqual(["Tove Elm"]);
    expect(searchCustomers(shop.db, "", 2)).toHaveLength(2);
  });

  it("finds a model by maker, name or family", () => {
    const found = (text: string) => searchModels(shop.db, text, 12).map(({ id }) => id);
    for (const text of ["marrow sk", "skerry", "star drag", ""]) expect(found(text), text).toEqual(["skerry-30"]);
    expect(found("nothing")).toEqual([]);
  });

  it("counts a customer's reels, visits and what hangs here", () => {
    const [first] = [shop.open({ serial: "A1" }), shop.open({ serial: "A2" })];
    declineJob(shop.ctx, first!, "no");
    closeJob(shop.ctx, first!, "Ada");
    expect(glanceAtCustomers(shop.db, [shop.customerId]).get(shop.customerId)).toEqual({
      reels: 2,
      visits: 2,
      hanging: 1,
      lastOn: shop.ctx.now,
    });
  });

  it("tells a reel's visits and falling drag, and leaves out those that were sent away", () => {
    const visit = (on: string, pull: number, declined: boolean) => {
      const ctx = { ...shop.ctx, now: `${on}T09:00:00.000Z` };
      const id = shop.open({ serial: "G1", promisedOn: on });
      shop.db.prepare("UPDATE job SET opened_at = ? WHERE id = ?").run(ctx.now, id);
      answer(ctx, id, "drag-full", "good", pull);
      if (declined) declineJob(ctx, id, "no");
      markReady(ctx, id);
      closeJob(ctx, id, "Ada");
      return job(id).reel.id;
    };
    visit("2024-01-01", 58, false);
    visit("2025-01-01", 20, true);
    const reel = visit("2026-01-01", 50, false);
    expect(glanceAtReel(shop.db, reel, "2026-06-01")).toEqual([
      "Third visit.",
      "Received with drag fully tight lower each time: 58, 50 N.",
    ]);
  });
});
