import { describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { doStep, openAgain } from "@/data/bench/build-steps";
import { askForPart, fitFromDonor, fitFromStock, takeBack } from "@/data/bench/fit-part";
import { expectedNext, listWells, noteWell, takePart } from "@/data/bench/tray";
import { findCustomer } from "@/data/customers/customers";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { listNeeds } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { listOpenNeeds, listOrders, placeOrder } from "@/data/stores/orders";
import { receive } from "@/data/stores/receiving";
import { scrapReel } from "./donors";
import { countBin, findStock } from "./stock";

const strip = ({ db, ctx }: Workshop, id: number) => {
  for (const seat of expectedNext(db, findJob(db, id)!)) takePart(ctx, id, seat);
};
const needs = ({ db }: Workshop) =>
  listNeeds(db, { states: ["open", "ordered", "arrived", "used", "withdrawn"] }).map(({ state }) => state);
const order = (shop: Workshop) =>
  placeOrder(
    shop.ctx,
    "quay",
    listNeeds(shop.db, { states: ["open"] }).map(({ id }) => id),
    "2026-03-02",
  );
const come = (shop: Workshop) => receive(shop.ctx, listOrders(shop.db, 1)[0]!.lines[0]!.id, 1);
/** A reel stripped, its gear wanted, and the need as far on as asked. */
const wanting = (state: "open" | "ordered" | "arrived") => {
  const shop = openWorkshop();
  const id = shop.open();
  strip(shop, id);
  askForPart(shop.ctx, id, "main-gear");
  if (state !== "open") order(shop);
  if (state === "arrived") come(shop);
  expect(needs(shop)).toEqual([state]);
  return { shop, id };
};
const donorOf = (shop: Workshop): number => {
  const id = shop.open({ serial: "DONOR" });
  declineJob(shop.ctx, id, "its parts only");
  closeJob(shop.ctx, id, "Ada");
  scrapReel(shop.ctx, findJob(shop.db, id)!.reel.id, { pieces: [{ positionId: "main-gear", condition: "good" }], drawer: "D1" });
  return shop.db.prepare("SELECT id FROM donor_piece").pluck().get() as number;
};

describe("consent, asked once the change is in", () => {
  it("orders no part that would take the sum above the limit, and leaves nothing of it", () => {
    const shop = openWorkshop();
    const id = shop.open({ limitMinor: 7000 });
    const before = getQuote(shop.db, findJob(shop.db, id)!);
    expect(before.consent).toBe("within-limit");
    const refused = refusal(() => askForPart(shop.ctx, id, "main-gear"));
    expect([refused.code, refused.way]).toEqual(["ask-first", expect.objectContaining({ to: "ask-for", positionId: "main-gear" })]);
    expect(needs(shop)).toEqual([]);
    expect(getQuote(shop.db, findJob(shop.db, id)!)).toEqual(before);
  });

  it("fits no such part either, from the bin or off a donor: bin, drawer and well stay as they were", () => {
    const shop = openWorkshop();
    const piece = donorOf(shop);
    shop.db.prepare("UPDATE donor_piece SET price_minor = 9000").run();
    const id = shop.open({ limitMinor: 7000 });
    strip(shop, id);
    const wells = listWells(shop.db, id);
    expect(refusal(() => fitFromStock(shop.ctx, id, "main-gear")).code).toBe("ask-first");
    expect(refusal(() => fitFromDonor(shop.ctx, id, "main-gear", piece)).code).toBe("ask-first");
    expect(findStock(shop.db, "sk-main-gear")?.count).toBe(2);
    expect(shop.db.prepare("SELECT state FROM donor_piece").pluck().get()).toBe("lying");
    expect(listWells(shop.db, id)).toEqual(wells);
  });

  it("asks for the sum at every door though the customer wishes to be called for a part", () => {
    const shop = openWorkshop();
    const id = shop.open({ limitMinor: 20_000, intake: intake({ callFor: "main gear" }) });
    strip(shop, id);
    askForPart(shop.ctx, id, "lock-screw");
    setForeseen(shop.ctx, id, "main-gear", true);
    shop.db.prepare("UPDATE job SET limit_minor = 100 WHERE id = ?").run(id);
    const quote = () => getQuote(shop.db, findJob(shop.db, id)!);
    expect(quote()).toMatchObject({ consent: "ask", callFor: [expect.stringContaining("gear")] });
    expect(refusal(() => askForPart(shop.ctx, id, "main-gear")).code).toBe("ask-first");
    expect(refusal(() => fitFromStock(shop.ctx, id, "main-gear")).code).toBe("ask-first");
    expect(listOpenNeeds(shop.db).map(({ waitsForYes }) => waitsForYes)).toEqual([true]);
    expect(refusal(() => order(shop)).code).toBe("ask-first");
    // Within the limit again the call alone is left, and still stops the order.
    shop.db.prepare("UPDATE job SET limit_minor = 90000 WHERE id = ?").run(id);
    expect(quote().consent).toBe("call");
    expect(refusal(() => order(shop)).code).toBe("ask-first");
    recordAnswer(shop.ctx, id, { accepted: true, words: "by phone" });
    order(shop);
    expect(listOrders(shop.db, 5)).toHaveLength(1);
  });

  it("keeps needs off an order while their customer's yes is waited for", () => {
    const { shop, id } = wanting("open");
    shop.db.prepare("UPDATE job SET limit_minor = 100 WHERE id = ?").run(id);
    expect(listOpenNeeds(shop.db).map(({ waitsForYes }) => waitsForYes)).toEqual([true]);
    expect(refusal(() => order(shop)).way).toMatchObject({ to: "station", station: "quote" });
    expect(listOrders(shop.db, 5)).toEqual([]);
  });
});

describe("a need dies with its job", () => {
  it.each(["open", "ordered", "arrived"] as const)("closed, one that was %s ends, and nothing lies aside for it", (state) => {
    const { shop, id } = wanting(state);
    declineJob(shop.ctx, id, "too dear");
    declineJob(shop.ctx, id, null);
    expect(needs(shop), "taken on after all it is wanted as before").toEqual([state]);
    declineJob(shop.ctx, id, "too dear after all");
    expect(needs(shop)).toEqual(["withdrawn"]);
    expect(findStock(shop.db, "sk-main-gear")).toMatchObject({ keptAside: 0 });
    for (const { positionId } of listWells(shop.db, id))
      shop.db.prepare("UPDATE tray_well SET left_out_reason = 'goes back in a bag' WHERE position_id = ?").run(positionId);
    closeJob(shop.ctx, id, "Ada");
    expect(needs(shop)).toEqual(["withdrawn"]);
    if (state === "ordered") {
      come(shop);
      expect(findStock(shop.db, "sk-main-gear"), "what comes goes to stock").toMatchObject({ count: 3, keptAside: 0 });
    }
    expect(findCustomer(shop.db, shop.customerId)).not.toBeNull();
  });

  it("struck from the quote, or its verdict taken back, it ends as well", () => {
    const { shop, id } = wanting("arrived");
    setForeseen(shop.ctx, id, "main-gear", false);
    expect(needs(shop)).toEqual(["withdrawn"]);
    countBin(shop.ctx, "sk-pinion", 0);
    const well = { orientation: "", note: "" };
    noteWell(shop.ctx, id, "pinion", { ...well, verdict: "replace" });
    expect(listNeeds(shop.db, { states: ["open"] }).map(({ positionId }) => positionId)).toEqual(["pinion"]);
    noteWell(shop.ctx, id, "pinion", { ...well, verdict: "ok" });
    expect(listNeeds(shop.db, { states: ["open"] })).toEqual([]);
    expect(getQuote(shop.db, findJob(shop.db, id)!).parts).toEqual([]);
  });
});

describe("a piece fitted and taken back", () => {
  it.each(["open", "ordered", "arrived"] as const)("off a donor frees what was %s; undone, it is wanted as before", (state) => {
    const { shop, id } = wanting(state);
    const before = { keptAside: findStock(shop.db, "sk-main-gear")?.keptAside, count: findStock(shop.db, "sk-main-gear")?.count };
    fitFromDonor(shop.ctx, id, "main-gear", donorOf(shop));
    expect(needs(shop)).toEqual(["withdrawn"]);
    expect(findStock(shop.db, "sk-main-gear")).toMatchObject({ keptAside: 0 });
    takeBack(shop.ctx, id, "main-gear");
    expect(needs(shop)).toEqual([state]);
    expect(findStock(shop.db, "sk-main-gear")).toMatchObject(before);
  });

  it("out of the bin uses the one put aside, and undone puts it aside again", () => {
    const { shop, id } = wanting("arrived");
    fitFromStock(shop.ctx, id, "main-gear");
    expect(needs(shop)).toEqual(["used"]);
    takeBack(shop.ctx, id, "main-gear");
    expect(needs(shop)).toEqual(["arrived"]);
    expect(findStock(shop.db, "sk-main-gear")).toMatchObject({ count: 3, keptAside: 1 });
  });

  it("that alone brought itself into the quote leaves it again", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    fitFromStock(shop.ctx, id, "star");
    expect(getQuote(shop.db, findJob(shop.db, id)!).parts).toHaveLength(1);
    takeBack(shop.ctx, id, "star");
    expect(getQuote(shop.db, findJob(shop.db, id)!).parts).toEqual([]);
  });

  it("finds its piece given to another reel meanwhile: then it is on the list again", () => {
    const { shop, id } = wanting("arrived");
    fitFromDonor(shop.ctx, id, "main-gear", donorOf(shop));
    countBin(shop.ctx, "sk-main-gear", 0);
    takeBack(shop.ctx, id, "main-gear");
    expect(needs(shop)).toEqual(["open"]);
  });
});

describe("a seat that is built in again", () => {
  it("takes no piece, and offers to be opened; opened, it takes one", () => {
    const shop = openWorkshop();
    const id = shop.open();
    takePart(shop.ctx, id, "lock-screw");
    doStep(shop.ctx, id, "place-lock-screw");
    const way = { to: "open-again", operationId: "place-lock-screw", tag: findJob(shop.db, id)!.tag };
    expect(refusal(() => fitFromStock(shop.ctx, id, "lock-screw")).way).toEqual(way);
    openAgain(shop.ctx, id, "place-lock-screw", null);
    fitFromStock(shop.ctx, id, "lock-screw");
    expect(listWells(shop.db, id)[0]).toMatchObject({ renewed: true });
  });
});
