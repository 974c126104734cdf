import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { openLot } from "@/data/counter/lots";
import { eraseCustomer } from "@/data/erasing/erase";
import { correctJob } from "@/data/hand-back/corrections";
import { closeJob, closeLot, markReady } from "@/data/hand-back/returns";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { bookExport, listPapers, openByAge, taxByMonth } from "@/data/papers/book-of-papers";
import { forgetInvoiceNames } from "@/data/papers/invoice-names";
import { creditInvoice } from "@/data/papers/make-paper";
import { takePayment } from "@/data/papers/payments";
import { addJobLine } from "@/data/quote/quotes";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { paperPdf } from "@/formats/paper-pdf";
import { balanceOfPaper, creditsOf, findPaper, invoiceOfJob } from "./papers";

/** A job that goes home with so much to pay. */
function handBack(shop: Workshop, paidBy: "cash" | "invoice", change: Parameters<Workshop["open"]>[0] = {}): number {
  const id = shop.open(change);
  addJobLine(shop.ctx, id, { words: "Postage", priceMinor: 700 });
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada", { paidBy });
  return id;
}
const open = (shop: Workshop, number: number) => balanceOfPaper(shop.db, findPaper(shop.db, number)!).openMinor;

describe("papers", () => {
  it("rise in number and day together, also where a clock was set back", () => {
    const shop = openWorkshop();
    handBack(shop, "cash");
    const back = { ...shop, ctx: { ...shop.ctx, now: "2026-02-27T09:00:00.000Z" } };
    const id = shop.open({}, back.ctx);
    addJobLine(back.ctx, id, { words: "Postage", priceMinor: 700 });
    markReady(back.ctx, id);
    closeJob(back.ctx, id, "Ada", { paidBy: "cash" });
    expect([1, 2].map((number) => findPaper(shop.db, number)!.onDay)).toEqual(["2026-03-02", "2026-03-02"]);
  });

  it("are made when a reel goes home, numbered without a gap, their lines adding up to the net", () => {
    const shop = openWorkshop();
    const ids = [handBack(shop, "cash"), handBack(shop, "invoice"), handBack(shop, "cash")];
    expect(ids.map((id) => invoiceOfJob(shop.db, id))).toEqual([1, 2, 3]);
    for (const number of [1, 2, 3]) {
      const paper = findPaper(shop.db, number)!;
      expect(paper.lines.reduce((sum, { amountMinor }) => sum + amountMinor, 0)).toBe(paper.netMinor);
      expect(paper.name).toBe("Ada Brook");
    }
    const { final_total_minor: total } = shop.db.prepare("SELECT final_total_minor FROM job WHERE id = ?").get(ids[1]) as {
      final_total_minor: number;
    };
    expect(open(shop, 1)).toBe(0);
    expect(open(shop, 2)).toBe(total);
  });

  it("hold what an invoice has to say, as it was on the day: who made it out, to which address, supplied and due when", () => {
    const shop = openWorkshop();
    const settings = {
      ...getShopSettings(shop.db),
      shopName: "Bench",
      address: "3 Rope Walk, Saltmere",
      taxNumber: "T 1",
      bank: "B 2",
      terms: "T",
      payWithinDays: 30,
    };
    saveShopSettings(shop.ctx, settings);
    shop.db.prepare("UPDATE customer SET address = '12 Net Loft Lane, Saltmere' WHERE id = ?").run(shop.customerId);
    const id = handBack(shop, "invoice");
    saveShopSettings(shop.ctx, { ...settings, address: "Elsewhere", taxNumber: "T 9" });
    shop.db.prepare("UPDATE customer SET address = 'Moved' WHERE id = ?").run(shop.customerId);
    const paper = findPaper(shop.db, invoiceOfJob(shop.db, id)!)!;
    expect(paper).toMatchObject({
      name: "Ada Brook",
      address: "12 Net Loft Lane, Saltmere",
      suppliedOn: "2026-03-02",
      onDay: "2026-03-02",
      dueOn: "2026-04-01",
      shop: { name: "Bench", address: "3 Rope Walk, Saltmere", taxNumber: "T 1", bank: "B 2", terms: "T" },
    });
    // What is charged later was supplied when the reel went home.
    const later = { ...shop.ctx, now: "2026-03-20T10:00:00.000Z" };
    correctJob(later, id, { words: "Forgotten", amountMinor: 600 });
    expect(findPaper(shop.db, 2)).toMatchObject({ onDay: "2026-03-20", suppliedOn: "2026-03-02" });
  });

  it("print all of it", async () => {
    const printed = {
      kind: "invoice" as const,
      number: 7,
      ofNumber: null,
      shopName: "The Bench",
      shop: {
        address: "3 Rope Walk, Saltmere",
        phone: "0555 1",
        taxNumber: "SQ 417",
        bank: "Estuary Savings 22",
        terms: "Ours until paid.",
      },
      name: "Ada Brook",
      address: "12 Net Loft Lane, Mereside",
      onDay: "Mon 2 March",
      suppliedOn: "Fri 27 February",
      dueOn: "Mon 16 March",
      tags: ["Z-00001-9"],
      currency: "EUR",
      tax: 2000,
      netMinor: 5000,
      taxMinor: 1000,
      lines: [{ words: "Work", amountMinor: 5000 }],
      payments: [],
      openMinor: 6000,
    };
    const path = join(mkdtempSync(join(tmpdir(), "zorbek-paper-")), "paper.pdf");
    writeFileSync(path, await paperPdf(printed));
    const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
    for (const words of [
      "3 Rope Walk",
      "Saltmere",
      "0555 1",
      "Tax number SQ 417",
      "Ada Brook",
      "12 Net Loft Lane",
      "Mereside",
      "Mon 2 March",
      "Fri 27 February",
      "Mon 16 March",
      "Estuary Savings 22",
      "Ours until paid.",
      "Tax 20 % of 50.00",
      "R 000007",
    ])
      expect(text, words).toContain(words);
  });

  it("are paid in parts, never beyond what is open", () => {
    const shop = openWorkshop();
    handBack(shop, "invoice");
    const total = open(shop, 1);
    takePayment(shop.ctx, 1, { amountMinor: 500, how: "cash", onDay: "2026-03-10" });
    expect(open(shop, 1)).toBe(total - 500);
    expect(refusal(() => takePayment(shop.ctx, 1, { amountMinor: total, how: "card", onDay: "2026-03-10" })).code).toBe("too-much");
    takePayment(shop.ctx, 1, { amountMinor: total - 500, how: "card", onDay: "2026-03-12" });
    expect(refusal(() => takePayment(shop.ctx, 1, { amountMinor: 1, how: "card", onDay: "2026-03-12" })).message).toContain(
      "already fully paid",
    );
    expect(refusal(() => takePayment(shop.ctx, 1, { amountMinor: -1, how: "card", onDay: "2026-03-12" })).code).toBe("not-owed");
  });

  it("are taken back by credit notes with the next numbers, to the last hundredth, and what was paid too much goes back", () => {
    const shop = openWorkshop();
    handBack(shop, "cash");
    const paper = findPaper(shop.db, 1)!;
    const total = paper.netMinor + paper.taxMinor;
    expect(creditInvoice(shop.ctx, 1, { amountMinor: 333, words: "scratch" })).toBe(2);
    expect(creditInvoice(shop.ctx, 1, { amountMinor: null, words: "all of it" })).toBe(3);
    const credits = creditsOf(shop.db, 1);
    expect(credits.reduce((sum, { netMinor }) => sum + netMinor, 0)).toBe(-paper.netMinor);
    expect(credits.reduce((sum, { taxMinor }) => sum + taxMinor, 0)).toBe(-paper.taxMinor);
    expect(refusal(() => creditInvoice(shop.ctx, 1, { amountMinor: null, words: "again" })).code).toBe("all-back");
    expect(open(shop, 1)).toBe(-total);
    takePayment(shop.ctx, 1, { amountMinor: -total, how: "cash", onDay: "2026-03-12" });
    expect(open(shop, 1)).toBe(0);
    // Tax of the month is nothing again.
    expect(taxByMonth(shop.db, "2026-03-01", "2026-03-31")).toMatchObject([{ month: "2026-03", papers: 3, netMinor: 0, taxMinor: 0 }]);
  });

  it("are never changed nor taken away, whoever tries", () => {
    const shop = openWorkshop();
    handBack(shop, "cash");
    for (const sql of ["UPDATE paper SET net_minor = 1", "DELETE FROM paper", "UPDATE payment SET amount_minor = 1", "DELETE FROM payment"])
      expect(() => shop.db.exec(sql), sql).toThrow(/never/);
  });

  it("take a deposit off, and leave what was paid beyond the bill to be paid back", () => {
    const shop = openWorkshop();
    const id = handBack(shop, "invoice", { depositMinor: 300 });
    const number = invoiceOfJob(shop.db, id)!;
    const paper = findPaper(shop.db, number)!;
    expect(open(shop, number)).toBe(paper.netMinor + paper.taxMinor - 300);
  });

  it("stand for all of a lot that goes home together", () => {
    const shop = openWorkshop();
    const lot = openLot(shop.ctx, {
      name: "Hire",
      customer: { id: shop.customerId },
      modelId: "skerry-30",
      water: "salt",
      tripsPerYear: 60,
      life: [],
      dragWish: "shop",
      limitMinor: null,
      promisedOn: "2026-03-20",
      rows: [1, 2, 3].map((n) => ({ serial: `H${n}`, mark: `boat ${n}`, complaint: "", condition: "", depth: "", drag: "" })),
    }) as { id: number };
    for (const { id } of listJobsOfLot(shop.db, lot.id)) {
      addJobLine(shop.ctx, id, { words: "Line", priceMinor: 100 });
      markReady(shop.ctx, id);
    }
    closeLot(shop.ctx, lot.id, "Ada", { paidBy: "invoice" });
    const [paper, ...more] = listPapers(shop.db, {}, "2026-03-02", 10);
    expect(more).toEqual([]);
    expect(paper!.tags).toHaveLength(3);
    expect(paper!.age).toBe("not due yet");
    expect(openByAge(shop.db, "2026-06-30").get("older")?.papers).toBe(1);
  });

  it("come of what is added to a closed job: money on top by an invoice, money back by a credit note", () => {
    const shop = openWorkshop();
    const id = handBack(shop, "cash");
    correctJob(shop.ctx, id, { words: "A spool forgotten on the bill", amountMinor: 1200, paidBy: "card" });
    correctJob(shop.ctx, id, { words: "Too much for postage", amountMinor: -400, paidBy: "cash" });
    expect(listPapers(shop.db, {}, "2026-03-02", 10).map(({ kind, totalMinor, openMinor }) => [kind, totalMinor, openMinor])).toEqual([
      ["credit", -400, 0],
      ["invoice", 1200, 0],
      ["invoice", expect.any(Number), 0],
    ]);
  });

  it("are found by number, tag and name, and go to the book-keeper whole", () => {
    const shop = openWorkshop();
    const [first, second] = [handBack(shop, "cash"), handBack(shop, "invoice")];
    const found = (text: string) => listPapers(shop.db, { text }, "2026-03-02", 10).map(({ number }) => number);
    expect(found("R 000002")).toEqual([2]);
    expect(found("1")).toEqual(expect.arrayContaining([1]));
    expect(found("ada b")).toEqual([2, 1]);
    const tag = shop.db.prepare("SELECT tag FROM job WHERE id = ?").pluck().get(first) as string;
    expect(found(tag)).toEqual([1]);
    expect(found("%")).toEqual([]);
    expect(listPapers(shop.db, { openOnly: true }, "2026-03-02", 10).map(({ number }) => number)).toEqual([invoiceOfJob(shop.db, second)]);
    const { papers, payments } = bookExport(shop.db, "2026-01-01", "2026-12-31");
    expect([papers.length, payments.length]).toEqual([2, 1]);
  });

  it("keep their name as long as the law wants it, and then let it go, the paper staying", () => {
    const shop = openWorkshop();
    handBack(shop, "cash");
    eraseCustomer(shop.ctx, shop.customerId);
    expect(findPaper(shop.db, 1)!.name).toBe("Ada Brook");
    forgetInvoiceNames(shop.db, "2099-01-01");
    expect(findPaper(shop.db, 1)!.name).toBeNull();
    expect(findPaper(shop.db, 1)!.netMinor).toBeGreaterThan(0);
  });
});
