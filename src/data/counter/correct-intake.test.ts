import { beforeEach, describe, expect, it } from "vitest";
import { answer, intake, openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { addUnknownModel } from "@/data/bench/loose-parts";
import { expectedNext, takePart } from "@/data/bench/tray";
import { findReel, listWorkedReelsOf } from "@/data/customers/reels";
import { findAnything } from "@/data/database/find";
import { reopenReturn } from "@/data/hand-back/reopen";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob, listOpenJobs } from "@/data/jobs/jobs";
import { balanceOfPaper, creditsOf, findPaper, invoiceOfJob } from "@/data/papers/papers";
import { addJobLine } from "@/data/quote/quotes";
import { cancelIntake, correctIntake, type IntakeAsItShouldBe, seenIntake } from "./correct-intake";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
/** The intake as it stands, to be changed in one thing. */
const asItIs = (id: number, change: Partial<IntakeAsItShouldBe> = {}): IntakeAsItShouldBe => {
  const { customer, reel, kind, complaint, limitMinor, depositMinor, promisedOn, brought, intake: told } = job(id);
  return {
    owner: customer.name,
    phone: customer.phone,
    modelId: reel.modelId,
    serial: reel.serial,
    hand: reel.hand,
    kind,
    depth: "full",
    complaints: told.complaints,
    complaint,
    brought: brought.map(({ item }) => item),
    limit: limitMinor ?? undefined,
    deposit: depositMinor || undefined,
    promisedOn,
    seen: seenIntake(job(id)),
    ...change,
  };
};
const correct = (id: number, change: Partial<IntakeAsItShouldBe>) => correctIntake(shop.ctx, id, asItIs(id, change));

describe("an intake put right", () => {
  it("changes one thing and nothing else", () => {
    const id = shop.open({
      serial: "AB12",
      brought: ["box"],
      depositMinor: 500,
      intake: intake({ complaints: ["stiff"], water: "fresh" }),
    });
    correct(id, {
      complaint: "stiff since March",
      complaints: ["gritty"],
      brought: ["box", "bag"],
      limit: undefined,
      deposit: 700,
      depth: "quick",
      promisedOn: "2026-04-01",
    });
    expect(job(id)).toMatchObject({
      complaint: "stiff since March",
      limitMinor: null,
      depositMinor: 700,
      depth: "quick",
      depthSaid: true,
      promisedOn: "2026-04-01",
      intake: { complaints: ["gritty"], water: "fresh" },
    });
    expect(
      job(id)
        .brought.map(({ item }) => item)
        .sort(),
    ).toEqual(["bag", "box"]);
    correct(id, { brought: [] });
    expect(job(id).brought).toEqual([]);
  });

  it("mends a serial where the reel stands, and finds it by the new one", () => {
    const id = shop.open({ serial: "AB12" });
    const { id: reelId } = job(id).reel;
    correct(id, { serial: "AB13" });
    expect([job(id).reel.id, findReel(shop.db, reelId)!.serial]).toEqual([reelId, "AB13"]);
    expect(
      findAnything(shop.db, "AB13", 5)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(["job", "reel"]);
    expect(findAnything(shop.db, "AB12", 5)).toEqual([]);
  });

  it("goes over to the reel the book has by that serial, unless that one hangs here or this one is begun", () => {
    const first = shop.open({ serial: "K1" });
    answer(shop.ctx, first, "turning", "good");
    markReady(shop.ctx, first);
    closeJob(shop.ctx, first, "Ada Brook");
    const known = job(first).reel.id;
    const id = shop.open({ serial: "WRONG" });
    correct(id, { serial: "K1" });
    expect(job(id).reel.id).toBe(known);
    const other = shop.open({ serial: "K2" });
    expect(refusal(() => correct(other, { serial: "K1" }))).toMatchObject({ code: "already-here", field: "serial" });
  });

  it("changes owner by name, a new one gets a card", () => {
    const id = shop.open({ serial: "AB12" });
    correct(id, { owner: "Brindle Okafor", phone: "7" });
    expect(job(id).customer).toMatchObject({ name: "Brindle Okafor", phone: "7" });
    expect(findReel(shop.db, job(id).reel.id)!.ownerName).toBe("Brindle Okafor");
    expect(listWorkedReelsOf(shop.db, shop.customerId)).toEqual([]);
  });

  it("changes the model while nothing was begun by its schematic, and not after", () => {
    const other = addUnknownModel(shop.ctx, { maker: "Not known", name: "small", family: "spinning" });
    const id = shop.open({ serial: "AB12" });
    correct(id, { modelId: other });
    expect(job(id).reel.modelId).toBe(other);
    correct(id, { modelId: "skerry-30" });
    takePart(shop.ctx, id, expectedNext(shop.db, job(id))[0]!);
    expect(refusal(() => correct(id, { modelId: other }))).toMatchObject({ code: "begun", field: "modelId" });
    correct(id, { serial: "AB99" });
    expect(job(id).reel.serial).toBe("AB99");
  });

  it("is no comeback of nothing, and not written over by an older window", () => {
    const id = shop.open({ serial: "AB12" });
    expect(refusal(() => correct(id, { kind: "comeback" }))).toMatchObject({ code: "no-earlier-job", field: "kind" });
    const older = asItIs(id);
    correct(id, { complaint: "now" });
    expect(refusal(() => correctIntake(shop.ctx, id, older)).code).toBe("changed-elsewhere");
  });
});

describe("an intake cancelled", () => {
  it("ends the job for nothing, with its tag never given again", () => {
    const id = shop.open({ serial: "AB12" });
    const { tag } = job(id);
    cancelIntake(shop.ctx, id);
    expect(job(id)).toMatchObject({ station: "closed", finalTotalMinor: 0 });
    expect(invoiceOfJob(shop.db, id)).toBeNull();
    expect(job(shop.open({ serial: "AB12" })).tag).not.toBe(tag);
    expect(refusal(() => shop.open({ serial: "AB12", kind: "comeback" })).code).toBeDefined();
  });

  it("is refused once it is begun, and while its deposit is here", () => {
    const paid = shop.open({ serial: "D1", depositMinor: 500 });
    expect(refusal(() => cancelIntake(shop.ctx, paid))).toMatchObject({ code: "deposit", field: "deposit" });
    correct(paid, { deposit: undefined });
    takePart(shop.ctx, paid, expectedNext(shop.db, job(paid))[0]!);
    expect(refusal(() => cancelIntake(shop.ctx, paid)).code).toBe("begun");
  });
});

describe("a return taken back", () => {
  const returned = () => {
    const id = shop.open({ serial: "R1" });
    addJobLine(shop.ctx, id, { words: "postage", priceMinor: 500 });
    answer(shop.ctx, id, "turning", "good");
    markReady(shop.ctx, id);
    closeJob(shop.ctx, id, "Ada Brook", { paidBy: "cash" });
    return id;
  };

  it("hangs ready again, what was charged is credited in whole, and a second return has an invoice of its own", () => {
    const id = returned();
    const first = invoiceOfJob(shop.db, id)!;
    reopenReturn(shop.ctx, id);
    expect(job(id)).toMatchObject({ station: "return", closedAt: null, finalTotalMinor: null });
    const paper = findPaper(shop.db, first)!;
    expect(creditsOf(shop.db, first).reduce((sum, { netMinor }) => sum + netMinor, 0)).toBe(-paper.netMinor);
    // It was paid in cash: that is to be given back.
    expect(balanceOfPaper(shop.db, paper).openMinor).toBe(-(paper.netMinor + paper.taxMinor));
    closeJob(shop.ctx, id, "Ada Brook");
    expect(invoiceOfJob(shop.db, id)).not.toBe(first);
    expect(listOpenJobs(shop.db)).toEqual([]);
  });

  it("only on the same day, and only where the reel is not here again", () => {
    const id = returned();
    const tomorrow = { ...shop.ctx, now: "2026-03-03T09:00:00.000Z" };
    expect(refusal(() => reopenReturn(tomorrow, id)).code).toBe("another-day");
    const again = shop.open({ serial: "R1" });
    expect(refusal(() => reopenReturn(shop.ctx, id)).code).toBe("already-here");
    expect(refusal(() => reopenReturn(shop.ctx, again)).code).toBe("gone");
  });
});
