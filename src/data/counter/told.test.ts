import { beforeEach, describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { fitFromStock } from "@/data/bench/fit-part";
import { takePart } from "@/data/bench/tray";
import { findReelsAlike, listWorkedReelsOf, takenFor } from "@/data/customers/reels";
import { findAnything } from "@/data/database/find";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob, setWhoPays } from "@/data/jobs/jobs";
import { setForeseen } from "@/data/parts/quote-parts";
import { getBill, getQuote, recordAnswer } from "@/data/quote/quotes";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const quote = (id: number) => getQuote(shop.db, job(id));

describe("a part the customer wants to be called for", () => {
  it("stops the work whatever the sum, and a yes lets it go on", () => {
    const id = shop.open({ intake: intake({ callFor: "main gear" }) });
    expect(quote(id).consent).toBe("within-limit");
    setForeseen(shop.ctx, id, "main-gear", true);
    expect(quote(id)).toMatchObject({ consent: "call", callFor: [expect.stringContaining("gear")] });
    expect(refusal(() => takePart(shop.ctx, id, "lock-screw"))).toMatchObject({ code: "call-first" });
    recordAnswer(shop.ctx, id, { accepted: true, words: "by phone" });
    expect(quote(id).consent).toBe("within-limit");
    takePart(shop.ctx, id, "lock-screw");
  });

  it("that is not in the quote yet is refused with the way to ask for it", () => {
    const id = shop.open({ intake: intake({ callFor: "lock screw" }) });
    takePart(shop.ctx, id, "lock-screw");
    const refused = refusal(() => fitFromStock(shop.ctx, id, "lock-screw"));
    expect(refused.way).toEqual({ to: "ask-for", tag: job(id).tag, positionId: "lock-screw" });
    // The way out works: added, asked, fitted.
    setForeseen(shop.ctx, id, "lock-screw", true);
    recordAnswer(shop.ctx, id, { accepted: true, words: "at the counter" });
    fitFromStock(shop.ctx, id, "lock-screw");
  });
});

/** A reel that left here, worked on. */
function returned(serial: string): number {
  const id = shop.open({ serial });
  settleFault(shop.ctx, id, "drag-worn", true);
  // The whole way back is told elsewhere; here only that it is closed counts.
  shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, id);
  return id;
}

describe("our own work that came back", () => {
  it("is free while it is ours, a repair like another when it is not, and does not go home while that is open", () => {
    returned("C1");
    const back = shop.open({ serial: "C1", kind: "comeback", intake: intake({ pays: "open" }) });
    settleFault(shop.ctx, back, "drag-worn", true);
    expect(quote(back).labour.every(({ minutes }) => minutes === 0)).toBe(true);
    expect(refusal(() => markReady(shop.ctx, back)).code).not.toBe("");
    setWhoPays(shop.ctx, back, "customer");
    expect(quote(back).sum.labourMinor).toBeGreaterThan(0);
    expect(quote(back).labour.some(({ words }) => words.includes("free"))).toBe(false);
    setWhoPays(shop.ctx, back, "us");
    expect(getBill(shop.db, job(back)).sum.totalMinor).toBe(0);
    const plain = shop.open({ serial: "P1" });
    expect(refusal(() => setWhoPays(shop.ctx, plain, "us")).code).toBe("no-comeback");
  });

  it("names who pays among what keeps it here", () => {
    returned("C2");
    const back = shop.open({ serial: "C2", kind: "comeback", intake: intake({ pays: "open" }) });
    declineJob(shop.ctx, back, "taken along as it is");
    markReady(shop.ctx, back); // sent back as it is, nothing is left to pay for
    closeJob(shop.ctx, back, "Ada");
  });

  it("needs no serial: it is picked out of the customer's reels", () => {
    const first = returned("");
    const reelId = job(first).reel.id;
    expect(listWorkedReelsOf(shop.db, shop.customerId).map(({ id }) => id)).toEqual([reelId]);
    const back = shop.open({ serial: "", reelId, kind: "comeback", intake: intake({ pays: "us" }) });
    expect(job(back)).toMatchObject({ comebackOf: first, reel: { id: reelId } });
    expect(refusal(() => shop.open({ serial: "", reelId: 999 })).field).toBe("reelId");
  });
});

describe("a serial with signs nobody can read", () => {
  it("tells no reel from another, and offers those it may be", () => {
    const whole = job(shop.open({ serial: "MS 30-617" })).reel.id;
    const [one, two] = [shop.open({ serial: "MS3?617" }), shop.open({ serial: "MS3?617" })].map((id) => job(id).reel.id);
    expect(new Set([whole, one, two]).size).toBe(3);
    expect(findReelsAlike(shop.db, "ms3? 617").map(({ id }) => id)).toEqual([whole]);
    expect(findReelsAlike(shop.db, "???")).toEqual([]);
    expect(findReelsAlike(shop.db, "MS%")).toEqual([]);
  });
});

describe("what a reel is believed to be", () => {
  it("is kept with the reel, found by its words and as a guess, and not lost by a visit that says nothing", () => {
    const id = shop.open({ serial: "G1", takenFor: { madeBy: "Fennock Bros?", madeWhen: "about 1955?", madeWhere: "" } });
    const { reel } = job(id);
    const refs = (words: string) =>
      findAnything(shop.db, words, 9)
        .filter(({ kind }) => kind === "reel")
        .map(({ ref }) => ref);
    expect(refs("fennock")).toEqual([String(reel.id)]);
    expect(refs("1955 guess")).toEqual([String(reel.id)]);
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, id);
    shop.open({ serial: "G1", takenFor: { madeBy: "", madeWhen: "1957", madeWhere: "" } });
    expect(takenFor(shop.db, reel.id)).toEqual({ madeBy: "Fennock Bros?", madeWhen: "1957", madeWhere: "" });
  });
});
