import { beforeEach, describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { noPrices } from "@/core/quote/price-list";
import { openAssembly } from "@/data/bench/opening";
import { takePart } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { findJob } from "@/data/jobs/jobs";
import { setForeseen } from "@/data/parts/quote-parts";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { sayCover } from "./comeback";
import { addJobLine, getBill, getQuote, quotesOf, recordAnswer, removeJobLine, requireConsent, withConsent } from "./quotes";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const total = (id: number) => getQuote(shop.db, job(id)).sum.totalMinor;
const rows = (sql: string, ...of: unknown[]) =>
  shop.db
    .prepare(sql)
    .pluck()
    .all(...of);
const journaled = (action: string) => rows("SELECT detail FROM journal WHERE action = ?", action) as string[];

describe("what a customer said", () => {
  it("is kept for the sum as it stands, by whom and when, and its words stand in no journal", () => {
    const id = shop.open({ limitMinor: null });
    recordAnswer(shop.ctx, id, { accepted: true, words: "go ahead, said my wife", totalMinor: total(id) });
    expect(getQuote(shop.db, job(id)).answers).toMatchObject([
      { accepted: true, totalMinor: total(id), words: "go ahead, said my wife", at: shop.ctx.now, person: shop.ctx.person.name },
    ]);
    expect(getQuote(shop.db, job(id)).consent).toBe("agreed");
    expect(journaled("quote-agreed")).toEqual([JSON.stringify({ totalMinor: total(id) })]);
    expect(job(id).station).toBe("quote");
  });

  it("to another sum counts for nothing: it is refused, and the sum of now is named", () => {
    const id = shop.open({ limitMinor: null });
    const asked = total(id);
    addJobLine(shop.ctx, id, { words: "Postage", priceMinor: 700 });
    for (const totalMinor of [asked, asked - 1, total(id) + 1]) {
      const refused = refusal(() => recordAnswer(shop.ctx, id, { accepted: true, words: "yes", totalMinor }));
      expect(refused.code).toBe("changed");
      expect(refused.message).toContain((total(id) / 100).toFixed(2));
    }
    expect(getQuote(shop.db, job(id)).answers).toEqual([]);
    expect(journaled("quote-agreed")).toEqual([]);
  });

  it("of no stops the work, and is told apart from a yes in the journal", () => {
    const id = shop.open();
    recordAnswer(shop.ctx, id, { accepted: false, words: "too dear" });
    expect(refusal(() => requireConsent(shop.db, job(id))).code).toBe("refused");
    expect(journaled("quote-refused")).toHaveLength(1);
    recordAnswer(shop.ctx, id, { accepted: true, words: "do it after all" });
    requireConsent(shop.db, job(id));
  });
});

describe("a change that may raise the sum", () => {
  it("is undone as a whole where nobody said yes to it, with the way to ask for just that seat", () => {
    const id = shop.open({ limitMinor: total(shop.open({ limitMinor: null })) });
    const work = () => withConsent(shop.ctx, id, "main-gear", () => setForeseen(shop.ctx, id, "main-gear", true));
    const refused = refusal(work);
    expect([refused.code, refused.way]).toEqual(["ask-first", { to: "ask-for", tag: job(id).tag, positionId: "main-gear" }]);
    expect(getQuote(shop.db, job(id)).parts).toEqual([]);
    shop.db.prepare("UPDATE job SET limit_minor = 1000000 WHERE id = ?").run(id);
    work();
    expect(getQuote(shop.db, job(id)).parts).toHaveLength(1);
  });
});

describe("how far a reel is opened, for its price", () => {
  const minutes = (id: number) => getQuote(shop.db, job(id)).labour.map((line) => line.minutes);
  const full = () => shop.open({ kind: "service", depth: "full" });
  const assemblies = () => rows("SELECT id FROM assembly WHERE json_extract(more, '$.stays') IS NULL ORDER BY id") as string[];

  beforeEach(() => saveShopSettings(shop.ctx, { ...getShopSettings(shop.db), prices: noPrices }));

  it("goes by what this job shut and opened, and by no other job's", () => {
    const [id, other] = [full(), full()];
    expect(minutes(id)).toEqual([60]);
    openAssembly(shop.ctx, other, assemblies()[0]!, false);
    openAssembly(shop.ctx, other, assemblies()[1]!, true);
    expect(minutes(id)).toEqual([60]);
    expect(minutes(other)[0]).toBeLessThan(60);
  });

  it("counts the assemblies that are serviced, and not what stays in the reel", () => {
    const id = full();
    const n = assemblies().length;
    openAssembly(shop.ctx, id, assemblies()[0]!, false);
    expect(minutes(id)).toEqual([Math.round((60 * (n + n - 1)) / (2 * n))]);
  });

  it("of a bill charges what was opened, and before the first part is off nothing but the intake of a repair", () => {
    const id = shop.open({ depth: "complaint", intake: intake({ complaints: ["drag-weak"] }) });
    expect(minutes(id)).toEqual([15, 25]);
    expect(getBill(shop.db, job(id)).labour.map((line) => line.minutes)).toEqual([15]);
    takePart(shop.ctx, id, "lock-screw");
    expect(getBill(shop.db, job(id)).labour.length).toBeGreaterThanOrEqual(1);
    // Asked for beside the complaint, it comes on top.
    openAssembly(shop.ctx, id, assemblies()[0]!, true);
    expect(getQuote(shop.db, job(id)).labour.reduce((sum, line) => sum + line.minutes, 0)).toBeGreaterThan(40);
  });
});

describe("quotes of a whole rack", () => {
  it("are each its own: lines, parts, faults and answers of one stand in no other", () => {
    const [a, b] = [shop.open({ limitMinor: null }), shop.open({ limitMinor: null })];
    addJobLine(shop.ctx, a, { words: "Postage", priceMinor: 700 });
    setForeseen(shop.ctx, a, "main-gear", true);
    settleFault(shop.ctx, a, "knob-stiff", true);
    recordAnswer(shop.ctx, a, { accepted: true, words: "yes" });
    const quotes = quotesOf(shop.db, [job(a), job(b)]);
    expect(quotes.get(a)).toEqual(getQuote(shop.db, job(a)));
    expect(quotes.get(b)).toMatchObject({ parts: [], answers: [], faults: 0 });
    expect(quotes.get(b)!.sum).toEqual(getQuote(shop.db, job(b)).sum);
  });
});

describe("a line of the shop's own", () => {
  it("is taken off its own job alone, once", () => {
    const [a, b] = [shop.open(), shop.open()];
    const line = addJobLine(shop.ctx, a, { words: "Postage", priceMinor: 700 });
    expect(refusal(() => removeJobLine(shop.ctx, b, line)).code).toBe("no-line");
    removeJobLine(shop.ctx, a, line);
    expect(refusal(() => removeJobLine(shop.ctx, a, line)).code).toBe("no-line");
    expect(getQuote(shop.db, job(a)).extras.filter(({ id }) => id !== 0)).toEqual([]);
  });
});

describe("a line of our own work", () => {
  it("is said only of a comeback we pay for, and the journal knows which and how", () => {
    expect(refusal(() => sayCover(shop.ctx, shop.open(), "fault", "drag-worn", true)).code).toBe("no-cover");
    const first = shop.open({ serial: "C9" });
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, first);
    const back = shop.open({ serial: "C9", kind: "comeback", intake: intake({ pays: "us" }) });
    settleFault(shop.ctx, back, "knob-stiff", true);
    const charged = () => getQuote(shop.db, job(back)).labour.find(({ faultId }) => faultId === "knob-stiff")!;
    const before = charged();
    sayCover(shop.ctx, back, "fault", "knob-stiff", true);
    expect(charged()).toMatchObject({ minutes: 0, ours: true });
    sayCover(shop.ctx, back, "fault", "knob-stiff", false);
    expect(charged().minutes).toBeGreaterThan(0);
    expect(before.faultId).toBe("knob-stiff");
    expect(journaled("cover-said")).toEqual([true, false].map((ours) => JSON.stringify({ kind: "fault", ref: "knob-stiff", ours })));
  });
});
