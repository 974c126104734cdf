import { beforeEach, describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { getBuild } from "@/data/bench/build";
import { doStep } from "@/data/bench/build-steps";
import { fitFromDonor, fitFromElsewhere } from "@/data/bench/fit-part";
import { expectedNext, takePart } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { correctJob } from "@/data/hand-back/corrections";
import { declineJob } from "@/data/hand-back/decline";
import { getReport } from "@/data/hand-back/report";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { balanceOfPaper, findPaper, invoiceOfJob } from "@/data/papers/papers";
import { takePayment } from "@/data/papers/payments";
import { scrapReel } from "@/data/parts/donors";
import { setForeseen } from "@/data/parts/quote-parts";
import { addJobLine, getBill, getQuote, recordAnswer } from "./quotes";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const strip = (id: number) => {
  for (const seat of expectedNext(shop.db, job(id))) takePart(shop.ctx, id, seat);
};
const payments = () => shop.db.prepare("SELECT count(*) FROM payment").pluck().get() as number;
const goesHome = (note: Parameters<typeof closeJob>[3]) => {
  const id = shop.open();
  addJobLine(shop.ctx, id, { words: "Postage", priceMinor: 700 });
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada", note);
  return id;
};
const openOf = (id: number) => balanceOfPaper(shop.db, findPaper(shop.db, invoiceOfJob(shop.db, id)!)!).openMinor;

describe("a payment that nobody noted was not made", () => {
  it.each([undefined, null, "invoice", "nothing"] as const)("%s leaves the invoice open, in books and journal", (paidBy) => {
    const id = goesHome({ paidBy: paidBy ?? null });
    expect(openOf(id)).toBe(job(id).finalTotalMinor);
    expect(payments()).toBe(0);
    expect(shop.db.prepare("SELECT count(*) FROM journal WHERE action = 'payment-taken'").pluck().get()).toBe(0);
  });

  it.each(["cash", "card", "transfer"] as const)("%s settles it", (paidBy) => {
    expect(openOf(goesHome({ paidBy }))).toBe(0);
  });

  it("nor with what is added to a returned job; a part payment belongs to its invoice", () => {
    const id = goesHome({});
    const total = openOf(id);
    takePayment(shop.ctx, invoiceOfJob(shop.db, id)!, { amountMinor: 300, how: "card", onDay: "2026-03-05" });
    expect(openOf(id)).toBe(total - 300);
    correctJob(shop.ctx, id, { words: "A spool forgotten", amountMinor: 500 });
    correctJob(shop.ctx, id, { words: "Too much for postage", amountMinor: -100 });
    expect(payments()).toBe(1);
    expect(openOf(id)).toBe(total - 400);
    // Taken off what is still open, there is nothing to pay back.
    expect(refusal(() => correctJob(shop.ctx, id, { words: "And more off", amountMinor: -50, paidBy: "cash" })).code).toBe("not-owed");
  });
});

describe("lines of the shop's own", () => {
  it("may be nothing or less than nothing", () => {
    const id = shop.open();
    const before = getQuote(shop.db, job(id)).sum.netMinor;
    addJobLine(shop.ctx, id, { words: "Sticker, on the house", priceMinor: 0 });
    addJobLine(shop.ctx, id, { words: "For the wait", priceMinor: -500 });
    expect(getQuote(shop.db, job(id)).sum.netMinor).toBe(before - 500);
  });
});

describe("a piece with a price of its own", () => {
  const everywhere = (id: number, positionId: string) => {
    const bill = getBill(shop.db, job(id)).sum.partsMinor;
    const quoted = getQuote(shop.db, job(id)).parts.find((part) => part.positionId === positionId)!.priceMinor;
    const printed = getReport(shop.db, job(id), reportDates).parts.reduce((sum, { price }) => sum + price, 0);
    return { quoted, bill, printed };
  };

  it("from a donor costs the same at quote, bill and report, below the model's price and above it", () => {
    for (const price of [100, 7700]) {
      const donor = shop.open({ serial: `D${price}` });
      declineJob(shop.ctx, donor, "its parts only");
      closeJob(shop.ctx, donor, "Ada");
      scrapReel(shop.ctx, job(donor).reel.id, { pieces: [{ positionId: "main-gear", condition: "good" }], drawer: "D1" });
      const piece = shop.db.prepare("SELECT max(id) FROM donor_piece").pluck().get() as number;
      shop.db.prepare("UPDATE donor_piece SET price_minor = ? WHERE id = ?").run(price, piece);
      const id = shop.open({ limitMinor: 90_000 });
      strip(id);
      fitFromDonor(shop.ctx, id, "main-gear", piece);
      expect(everywhere(id, "main-gear")).toEqual({ quoted: price, bill: price, printed: price });
    }
  });

  it("made here is asked for at its own price; agreed, it is fitted and billed so", () => {
    const id = shop.open({ limitMinor: 8000 });
    strip(id);
    const made = { source: "made" as const, size: "", material: "steel", closure: "" as const, priceMinor: 12_300, anyway: false };
    const refused = refusal(() => fitFromElsewhere(shop.ctx, id, ["main-gear"], made));
    expect(refused.way).toEqual({
      to: "ask-for",
      tag: job(id).tag,
      positionId: "main-gear",
      piece: { source: "made", priceMinor: 12_300 },
    });
    setForeseen(shop.ctx, id, "main-gear", true, { source: "made", priceMinor: 12_300 });
    expect(getQuote(shop.db, job(id)).parts[0]).toMatchObject({ priceMinor: 12_300, words: expect.stringContaining("made here") });
    recordAnswer(shop.ctx, id, { accepted: true, words: "by phone" });
    fitFromElsewhere(shop.ctx, id, ["main-gear"], made);
    expect(everywhere(id, "main-gear")).toEqual({ quoted: 12_300, bill: 12_300, printed: 12_300 });
    // A dearer one than agreed is asked for anew.
    expect(refusal(() => setForeseen(shop.ctx, id, "main-gear", false)).code).toBe("fitted");
  });
});

describe("our own work that came back", () => {
  it("is not priced until it is clear who pays, and pays line by line", () => {
    const first = shop.open({ serial: "C9", intake: intake({ complaints: ["drag-weak"] }) });
    settleFault(shop.ctx, first, "drag-worn", true);
    strip(first);
    for (const { operation } of getBuild(shop.db, job(first)).steps) doStep(shop.ctx, first, operation.id, "looked at: still good");
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, first);
    const back = (pays: "us" | "customer" | "open") => shop.open({ serial: "C9", kind: "comeback", intake: intake({ pays }) });
    const open = back("open");
    settleFault(shop.ctx, open, "knob-stiff", true);
    setForeseen(shop.ctx, open, "main-gear", true);
    expect(getQuote(shop.db, job(open)).sum.totalMinor).toBe(0);
  });
});
