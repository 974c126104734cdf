import highsLoader, { type Highs } from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { interchangeSetSchema } from "@/core/interchange/interchange";
import { orderProblemSchema } from "@/core/ordering/plan/problem";
import { quickPlan } from "@/core/ordering/plan/quick-plan";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import { askForPart } from "@/data/bench/fit-part";
import { saveInterchangeSet } from "@/data/catalogue/interchange";
import { listNeeds, setLowestGrade } from "@/data/parts/needs";
import { setBin } from "@/data/parts/stock";
import { addSupplier, changeSupplier, listOffers, listSuppliers, setOffer, setPostageTier } from "@/data/parts/suppliers";
import { leadTimesOf } from "./experience";
import { getOrderRules, saveOrderRules } from "./order-rules";
import { orderSituation } from "./order-situation";
import { listOrders, placeBasket } from "./orders";
import { takePriceList } from "./price-lists";
import { receive } from "./receiving";

let solver: Highs;
beforeAll(async () => {
  solver = await highsLoader();
});
const today = "2026-03-02";

/** A job that wants a star, its bin empty. */
function wanting(count = 1) {
  const shop = openWorkshop();
  setBin(shop.ctx, "sk-star", "A1", 0, 0);
  const jobs = Array.from({ length: count }, () => {
    const job = shop.open({ limitMinor: 100_000 });
    askForPart(shop.ctx, job, "star");
    return job;
  });
  return { ...shop, jobs };
}

describe("what is to be ordered", () => {
  it("is a sound problem: needs with their days and worth, offers with packs and breaks, postage as the supplier has it", () => {
    const { ctx, db } = wanting(2);
    addSupplier(ctx, { id: "bags", name: "Bags", postageMinor: 300, leadDays: 6, freePostFromMinor: 4000, smallestOrderMinor: 200 });
    setPostageTier(ctx, "bags", 2000, 150);
    setOffer(ctx, { supplierId: "bags", partTypeId: "sk-star", priceMinor: 900, pack: 10, breaks: [{ fromPacks: 3, priceMinor: 800 }] });
    const { problem, needs, slotDays } = orderSituation(db, today);
    expect(orderProblemSchema.safeParse(problem).success).toBe(true);
    expect(needs.map(({ nowhere, waitsForYes }) => [nowhere, waitsForYes])).toEqual([
      [false, false],
      [false, false],
    ]);
    expect(problem.demands.filter(({ jobId }) => jobId !== null)).toHaveLength(2);
    expect(problem.suppliers.find(({ id }) => id === "bags")).toMatchObject({
      postage: [
        { fromMinor: 0, postageMinor: 300 },
        { fromMinor: 2000, postageMinor: 150 },
      ],
      freeFromMinor: 4000,
      smallestOrderMinor: 200,
    });
    expect(problem.offers.find(({ id }) => id === "bags|sk-star")).toMatchObject({
      pack: 10,
      breaks: [
        { fromPacks: 1, priceMinor: 900 },
        { fromPacks: 3, priceMinor: 800 },
      ],
    });
    // Monday the second; the shop orders on Mondays and Thursdays.
    expect(slotDays).toEqual([today, "2026-03-05"]);
    saveOrderRules(ctx, { ...getOrderRules(db), orderOn: [2] });
    expect(orderSituation(db, today).slotDays[1]).toBe("2026-03-03");
    const job = problem.jobs[0]!;
    expect(job.dayLateMinor).toBeGreaterThan(0);
    expect(solvePlan(solver, problem, { seconds: 10, start: quickPlan(problem) })?.proven).toBe(true);
  });

  it("says which need nobody sells, and takes a substitute only as far as somebody allowed it", () => {
    const { ctx, db } = wanting();
    const { id: needId } = listNeeds(db, { states: ["open"] })[0]!;
    db.prepare("DELETE FROM offer WHERE part_type_id = 'sk-star'").run();
    saveInterchangeSet(
      ctx,
      interchangeSetSchema.parse({
        id: "stars",
        name: "Stars",
        roles: ["star"],
        members: [
          { modelId: "skerry-30", grade: "drop-in" },
          { partTypeId: "sk-handle", grade: "cut-to-size", note: "shorten the boss" },
        ],
      }),
    );
    expect(orderSituation(db, today).needs[0]).toMatchObject({ nowhere: true });
    setLowestGrade(ctx, needId, "cut-to-size");
    const { needs, problem } = orderSituation(db, today);
    expect(needs[0]).toMatchObject({ nowhere: false });
    expect(problem.demands[0]!.accepts.map(({ partId }) => partId)).toEqual(["sk-handle"]);
  });

  it("fills a bin below its level beside other things, and offers what lies here to whoever may have it", () => {
    const { ctx, db } = wanting();
    setBin(ctx, "sk-handle", "A2", 1, 4);
    const { bins, problem } = orderSituation(db, today);
    expect(bins).toEqual([{ partTypeId: "sk-handle", bin: "A2", missing: 3, position: 1 }]);
    expect(problem.demands.find(({ id }) => id === "bin|sk-handle")).toMatchObject({ jobId: null, quantity: 3 });
    setBin(ctx, "sk-star", "A1", 1, 0);
    const plan = solvePlan(solver, orderSituation(db, today).problem, { seconds: 10 })!.plan;
    expect(plan.allocations.find(({ demandId }) => demandId.startsWith("need|"))!.offerId).toBe("bin|sk-star");
  });
});

describe("an order of several lines", () => {
  it("is placed in packs, what is over goes to the bin, and the price is the one that was seen", () => {
    const { ctx, db, jobs } = wanting(2);
    setOffer(ctx, { supplierId: "quay", partTypeId: "sk-star", priceMinor: 300, pack: 5, breaks: [{ fromPacks: 2, priceMinor: 250 }] });
    const gets = listNeeds(db, { states: ["open"] }).map(({ id }) => ({ needId: id, partTypeId: "sk-star" }));
    const basket = { supplierId: "quay", lines: [{ partTypeId: "sk-star", packs: 2, priceMinor: 500 }], gets };
    expect(refusal(() => placeBasket(ctx, { ...basket, lines: [{ partTypeId: "sk-star", packs: 2, priceMinor: 600 }] }, today)).code).toBe(
      "price",
    );
    expect(listOrders(db, 5)).toEqual([]);
    placeBasket(ctx, basket, today);
    const [order] = listOrders(db, 5);
    expect(order!.lines).toMatchObject([{ quantity: 10, received: 0, priceMinor: 250 }]);
    expect(refusal(() => placeBasket(ctx, basket, today)).code).toBe("nothing-to-order");
    expect(receive(ctx, order!.lines[0]!.id, 10).keptAsideFor).toHaveLength(2);
    expect(db.prepare("SELECT count FROM stock WHERE part_type_id = 'sk-star'").pluck().get()).toBe(10);
    expect(jobs).toHaveLength(2);
  });

  it("keeps to the smallest order, and asks again where a substitute lifts the sum over the limit", () => {
    const { ctx, db, open } = openWorkshop();
    setBin(ctx, "sk-star", "A1", 0, 0);
    const job = open({ limitMinor: 100_000 });
    askForPart(ctx, job, "star");
    const [need] = listNeeds(db, { states: ["open"] });
    const quay = listSuppliers(db).find(({ id }) => id === "quay")!;
    changeSupplier(ctx, { ...quay, smallestOrderMinor: 500 });
    const basket = (partTypeId: string) => ({
      supplierId: "quay",
      lines: [{ partTypeId, packs: 1, priceMinor: 100 }],
      gets: [{ needId: need!.id, partTypeId }],
    });
    expect(refusal(() => placeBasket(ctx, basket("sk-star"), today)).code).toBe("too-small");
    changeSupplier(ctx, { ...quay, rowVersion: quay.rowVersion + 1, smallestOrderMinor: 0 });
    db.prepare("UPDATE job_price SET price_minor = 900000 WHERE part_type_id = 'sk-handle'").run();
    expect(refusal(() => placeBasket(ctx, basket("sk-handle"), today)).way).toMatchObject({ to: "station", station: "quote" });
  });

  it("teaches how long its supplier takes once it is all here", () => {
    const { ctx, db } = wanting();
    const quay = [{ id: "quay", leadDays: 3 }];
    expect(leadTimesOf(db, quay, 0.8).get("quay")!.parcels).toBe(0);
    const [need] = listNeeds(db, { states: ["open"] });
    placeBasket(
      ctx,
      {
        supplierId: "quay",
        lines: [{ partTypeId: "sk-star", packs: 1, priceMinor: 100 }],
        gets: [{ needId: need!.id, partTypeId: "sk-star" }],
      },
      today,
    );
    const line = listOrders(db, 1)[0]!.lines[0]!.id;
    receive({ ...ctx, now: new Date(Date.parse(ctx.now) + 9 * 86_400_000).toISOString() }, line, 1);
    const learned = leadTimesOf(db, quay, 0.8).get("quay")!;
    expect(learned.parcels).toBe(1);
    expect(learned.middle).toBeGreaterThan(3);
    expect(learned.middle).toBeLessThan(9);
  });
});

describe("a price list that is taken over", () => {
  it("keeps a lower price for several packs only while it is lower, and for the same pack", () => {
    const { ctx, db } = openWorkshop();
    const breaksAfter = (price: string, pack: string) => {
      setOffer(ctx, { supplierId: "quay", partTypeId: "sk-star", priceMinor: 300, pack: 1, breaks: [{ fromPacks: 5, priceMinor: 250 }] });
      takePriceList(ctx, "quay", [{ number: "SK-250", price, pack }]);
      return listOffers(db, "sk-star")[0]!.breaks;
    };
    expect(breaksAfter("3.20", "")).toEqual([{ fromPacks: 5, priceMinor: 250 }]);
    expect(breaksAfter("2.40", "")).toEqual([]);
    expect(breaksAfter("20.00", "10")).toEqual([]);
    expect(refusal(() => takePriceList(ctx, "quay", [{ number: "ZZ-9", price: "1", pack: "" }])).code).toBe("nothing");
  });
});
