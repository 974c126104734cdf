import { describe, expect, it } from "vitest";
import { skerry30 } from "#demo/models/skerry-30";
import { answer, openWorkshop, refusal, reportDates } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { openDayFrom } from "@/core/schedule/opening";
import { defaultShopSettings, shopSettingsSchema } from "@/core/shop/settings";
import { askForPart } from "@/data/bench/fit-part";
import { takePart } from "@/data/bench/tray";
import { addCustomer, changeCustomer, findCustomer, searchCustomers } from "@/data/customers/customers";
import { ensureReel, findReel, listReels, normaliseSerial } from "@/data/customers/reels";
import { addFault, listFaults, sayPutRight, withdrawFault } from "@/data/diagnosis/faults";
import { listObservations, recordObservation } from "@/data/diagnosis/observations";
import { hereFor, notGivenBack } from "@/data/hand-back/going-home";
import { getReport } from "@/data/hand-back/report";
import { closeJob, markReady, tickBrought } from "@/data/hand-back/returns";
import { findJob, findJobByTag, listClosedJobs, listJobsOfReel, listOpenJobs } from "@/data/jobs/jobs";
import { listNeeds, withdrawNeed } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";
import { addSupplier, listOffers, listSuppliers, setOffer } from "@/data/parts/suppliers";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { listRack } from "@/data/schedule/rack";
import { addShutDays, listShutDays, openingOf, removeShutDays } from "@/data/shop/opening";
import { addPerson, changePerson, ensureFirstPerson, findPerson, listFormerPeople, listPeople, retirePerson } from "@/data/shop/people";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { listOrders, placeOrder, sendWaitingOrders } from "./orders";

const observe = (jobId: number, phase: "before" | "after", value: number | null, verdict: "good" | "doubtful" | "bad" = "good") => ({
  jobId,
  phase,
  testId: "turning" as const,
  verdict,
  value,
  lineRadiusMm: 24,
  instrument: "typed",
  simulated: false,
  trace: null,
});

describe("people", () => {
  it("has a first one always, and each name once", () => {
    const { db, ctx } = openWorkshop();
    expect(ensureFirstPerson(db).id).toBe(ensureFirstPerson(db).id);
    const id = addPerson(ctx, { name: "Tobin", role: "counter" });
    expect(findPerson(db, id)).toEqual({ id, name: "Tobin", role: "counter" });
    expect(refusal(() => addPerson(ctx, { name: "Tobin", role: "bench" })).field).toBe("name");
    expect(findPerson(db, 999)).toBeNull();
    expect(listPeople(db)).toHaveLength(2);
    expect(() => db.prepare("INSERT INTO person (name, role) VALUES ('X', 'king')").run()).toThrow(/CHECK/);
  });
});

describe("people who come and go", () => {
  it("are renamed, change roles, leave and come back; the last owner stays one", () => {
    const { db, ctx } = openWorkshop();
    const id = addPerson(ctx, { name: "Tobin", role: "counter" });
    changePerson(ctx, { id, name: "Tobin R.", role: "bench" });
    expect(findPerson(db, id)).toEqual({ id, name: "Tobin R.", role: "bench" });
    expect(refusal(() => changePerson(ctx, { ...ctx.person, role: "bench" })).code).toBe("last-owner");
    expect(refusal(() => retirePerson(ctx, ctx.person.id, true)).code).toBe("yourself");
    expect(refusal(() => changePerson(ctx, { id, name: ctx.person.name, role: "bench" })).field).toBe("name");
    retirePerson(ctx, id, true);
    expect(findPerson(db, id)).toBeNull();
    expect(listFormerPeople(db).map((person) => person.id)).toEqual([id]);
    retirePerson(ctx, id, false);
    expect(findPerson(db, id)).not.toBeNull();
  });
});

describe("the shop's days", () => {
  it("are those of its week without its holidays", () => {
    const { db, ctx } = openWorkshop();
    saveShopSettings(ctx, { ...defaultShopSettings, openOn: [1, 2, 3, 4, 5] });
    const id = addShutDays(ctx, { from: "2026-12-24", to: "2026-12-31", words: "Holidays" });
    expect(openDayFrom(openingOf(db), "2026-12-26")).toBe("2027-01-01");
    expect(listShutDays(db, "2027-01-01")).toEqual([]);
    removeShutDays(ctx, id);
    expect(openDayFrom(openingOf(db), "2026-12-26")).toBe("2026-12-28");
    expect(refusal(() => addShutDays(ctx, { from: "2026-12-24", to: "2026-12-23", words: "x" })).field).toBe("to");
    expect(refusal(() => removeShutDays(ctx, id)).code).toBe("gone");
  });
});

describe("the shop's rules", () => {
  it("are the defaults until saved, and what was saved after", () => {
    const { db, ctx } = openWorkshop();
    expect(getShopSettings(db)).toEqual(defaultShopSettings);
    saveShopSettings(ctx, { ...defaultShopSettings, shopName: "Quay", benchHoursPerDay: 4.5 });
    saveShopSettings(ctx, { ...defaultShopSettings, shopName: "Quay two" });
    expect(getShopSettings(db)).toMatchObject({ shopName: "Quay two", benchHoursPerDay: 6 });
  });

  it.each([
    [{ shopName: " " }, "shopName"],
    [{ currency: "euro" }, "currency"],
    [{ benchHoursPerDay: 0.4 }, "benchHoursPerDay"],
    [{ benchHoursPerDay: 16.5 }, "benchHoursPerDay"],
    [{ taxBasisPoints: 10_001 }, "taxBasisPoints"],
    [{ ratePerHourMinor: 12.5 }, "ratePerHourMinor"],
  ])("refuse %j at its field", (change, field) => {
    const parsed = shopSettingsSchema.safeParse({ ...defaultShopSettings, ...change });
    expect(parsed.error?.issues[0]?.path).toEqual([field]);
  });
});

describe("customers and reels", () => {
  it("changes a card and finds it by its new name", () => {
    const { db, ctx, customerId } = openWorkshop();
    changeCustomer(ctx, { ...findCustomer(db, customerId)!, name: "Ada Brooke", note: "gate code 4" });
    expect(findCustomer(db, customerId)).toMatchObject({ name: "Ada Brooke", note: "gate code 4", rowVersion: 2 });
    expect(searchCustomers(db, "", 50)).toHaveLength(1);
  });

  it("lets a reel change hands with its history", () => {
    const { db, ctx, open } = openWorkshop();
    const first = open({ serial: "H-1" });
    markReady(ctx, first);
    closeJob(ctx, first, "Ada");
    const other = addCustomer(ctx, { name: "Ben Cole", phone: "", email: "" });
    const second = open({ serial: "H1", customer: { id: other } });
    const reelId = findJob(db, second)!.reel.id;
    expect(findJob(db, first)!.reel.id).toBe(reelId);
    expect(findReel(db, reelId)).toMatchObject({ ownerName: "Ben Cole", visits: 2 });
    expect(listJobsOfReel(db, reelId).map((job) => job.customer.name)).toEqual(["Ben Cole", "Ada Brook"]);
  });

  it("reads worn serials alike and keeps models apart", () => {
    expect(normaliseSerial(" ab-1 2-C ")).toBe("AB12C");
    const { ctx, db, customerId } = openWorkshop();
    const reel = { modelId: skerry30.id, hand: "right" as const, ownerId: customerId };
    expect(ensureReel(ctx, { ...reel, serial: "7 7" })).toBe(ensureReel(ctx, { ...reel, serial: "77" }));
    expect(listReels(db, { limit: 9 })).toHaveLength(1);
  });
});

describe("tests kept", () => {
  it("counts the newest answer and keeps the ones before", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    recordObservation(ctx, observe(id, "before", 20, "bad"));
    recordObservation(ctx, observe(id, "before", 18, "doubtful"));
    recordObservation(ctx, observe(id, "after", 9));
    expect(listObservations(db, id).map((o) => [o.phase, o.value, o.verdict])).toEqual([
      ["before", 18, "doubtful"],
      ["after", 9, "good"],
    ]);
    expect(db.prepare("SELECT count(*) AS n FROM observation").get()).toEqual({ n: 3 });
  });

  it("has a unit exactly when it has a number, and a line radius only for a pull", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    recordObservation(ctx, observe(id, "before", null));
    recordObservation(ctx, { ...observe(id, "before", 30), testId: "drag-full" });
    expect(listObservations(db, id).map((o) => [o.testId, o.unit, o.lineRadiusMm])).toEqual([
      ["turning", null, null],
      ["drag-full", "N", 24],
    ]);
  });

  it("moves the job on, never back", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    recordObservation(ctx, observe(id, "after", 9));
    recordObservation(ctx, observe(id, "before", 9));
    expect(findJob(db, id)?.station).toBe("prove");
  });
});

describe("findings and quotes", () => {
  it("foresees a fault's parts, strikes them, and withdraws the fault", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    addFault(ctx, id, "yoke-springs-weak", "");
    addFault(ctx, id, "yoke-springs-weak", "both");
    expect(listFaults(db, id)).toEqual([{ faultId: "yoke-springs-weak", note: "both", outcome: null, putRight: false }]);
    expect(getQuote(db, findJob(db, id)!).parts.map((part) => part.positionId)).toEqual(["yoke-spring-front", "yoke-spring-rear"]);
    setForeseen(ctx, id, "yoke-spring-front", false);
    expect(getQuote(db, findJob(db, id)!).parts).toHaveLength(1);
    withdrawFault(ctx, id, "yoke-springs-weak");
    expect(listFaults(db, id)).toEqual([]);
    expect(refusal(() => addFault(ctx, id, "made-up", "")).code).toBe("no-fault");
    expect(refusal(() => setForeseen(ctx, id, "made-up", true)).code).toBe("no-seat");
  });

  it("stops at a no, also within the limit, until the sum is smaller or the answer another", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    addFault(ctx, id, "gears-worn", "");
    recordAnswer(ctx, id, { accepted: false, words: "too dear" });
    expect(refusal(() => takePart(ctx, id, "lock-screw")).code).toBe("refused");
    setForeseen(ctx, id, "main-gear", false);
    expect(getQuote(db, findJob(db, id)!).consent).toBe("within-limit");
    takePart(ctx, id, "lock-screw");
  });
});

describe("suppliers", () => {
  it("are asked the cheapest first, and an order is sent once", async () => {
    const { ctx, db, open } = openWorkshop();
    addSupplier(ctx, { id: "far", name: "Far", postageMinor: 100, leadDays: 9 });
    setOffer(ctx, { supplierId: "far", partTypeId: "sk-star", priceMinor: 90 });
    expect(listOffers(db, "sk-star").map((offer) => offer.supplierId)).toEqual(["far", "quay"]);
    setOffer(ctx, { supplierId: "far", partTypeId: "sk-star", priceMinor: 300 });
    expect(listOffers(db, "sk-star").map((offer) => offer.supplierId)).toEqual(["quay", "far"]);
    expect(listSuppliers(db)).toHaveLength(2);
    const id = open();
    askForPart(ctx, id, "star");
    askForPart(ctx, id, "handle");
    const sent: number[] = [];
    const desk = {
      simulated: true,
      async place(order: { orderId: number }) {
        sent.push(order.orderId);
        return { reference: `R${order.orderId}` };
      },
    };
    const needs = listNeeds(db, { states: ["open"] }).map((need) => need.id);
    expect(refusal(() => placeOrder(ctx, "nobody", needs, "2026-03-02")).field).toBe("supplierId");
    const { orderId } = placeOrder(ctx, "quay", needs, "2026-03-02");
    await sendWaitingOrders(db, desk);
    await sendWaitingOrders(db, desk);
    expect(sent).toEqual([orderId]);
    expect(listOrders(db, 5)[0]?.lines).toHaveLength(2);
  });

  it("keeps an order that could not be sent, and sends it the next time", async () => {
    const { ctx, db, open } = openWorkshop();
    askForPart(ctx, open(), "star");
    placeOrder(ctx, "quay", [1], "2026-03-02");
    await expect(sendWaitingOrders(db, { simulated: true, place: () => Promise.reject(new Error("line down")) })).rejects.toThrow(
      "line down",
    );
    expect(listOrders(db, 1)[0]?.reference).toBe("");
    await sendWaitingOrders(db, { simulated: true, place: async () => ({ reference: "R1" }) });
    expect(listOrders(db, 1)[0]?.reference).toBe("R1");
  });

  it("lets an open need be withdrawn, an ordered one not", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open();
    askForPart(ctx, id, "star");
    withdrawNeed(ctx, 1);
    expect(listNeeds(db, { states: ["open"] })).toEqual([]);
    askForPart(ctx, id, "star");
    placeOrder(ctx, "quay", [2], "2026-03-02");
    expect(refusal(() => withdrawNeed(ctx, 2)).code).toBe("ordered");
  });
});

describe("rack and return", () => {
  it("hangs open jobs by their day and knows a tag however it is typed", () => {
    const { db, open } = openWorkshop();
    const [later, sooner] = [open({ promisedOn: "2026-03-20" }), open({ promisedOn: "2026-03-05" })];
    expect(listOpenJobs(db).map((job) => job.id)).toEqual([sooner, later]);
    expect(listRack(db).every((hanging) => hanging.move === "ours" && hanging.minutesLeft >= 5)).toBe(true);
    const tag = findJob(db, later)!.tag;
    for (const typed of [tag, tag.toLowerCase(), tag.replaceAll("-", ""), ` ${tag} `])
      expect(findJobByTag(db, typed)).toMatchObject({ job: { id: later } });
    expect(findJobByTag(db, "Z-00001-9")).toMatchObject({ message: expect.stringContaining("check digit") });
  });

  it("keeps a job open for what came with it, and fixes its sum when it goes", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open({ depth: "complaint", brought: ["box", "clamp"] });
    addFault(ctx, id, "knob-stiff", "");
    expect(refusal(() => markReady(ctx, id)).code).toBe("fault");
    sayPutRight(ctx, id, "knob-stiff", true);
    answer(ctx, id, "turning", "good", null, "after");
    markReady(ctx, id);
    tickBrought(ctx, id, "box", true);
    expect(notGivenBack(findJob(db, id)!)).toEqual(["clamp"]);
    expect(hereFor(db, findJob(db, id)!)).toMatchObject([{ code: "brought" }]);
    tickBrought(ctx, id, "clamp", true);
    tickBrought(ctx, id, "clamp", false);
    expect(notGivenBack(findJob(db, id)!)).toEqual(["clamp"]);
    tickBrought(ctx, id, "clamp", true);
    expect(refusal(() => tickBrought(ctx, id, "bag", true)).code).toBe("no-item");
    // 15 + 5 minutes at 45.00 an hour is 15.00, with 20 % tax 18.00: worked by hand.
    expect(closeJob(ctx, id, "Ada").totalMinor).toBe(1800);
    saveShopSettings(ctx, { ...defaultShopSettings, ratePerHourMinor: 9000 });
    expect(listClosedJobs(db, 5)[0]).toMatchObject({ id, finalTotalMinor: 1800, station: "closed" });
  });

  it("says in the report what was found, measured and not better", () => {
    const { ctx, db, open } = openWorkshop();
    const id = open({ complaint: "stiff since spring" });
    recordObservation(ctx, observe(id, "before", 10));
    recordObservation(ctx, observe(id, "after", 20));
    addFault(ctx, id, "hardened-grease", "");
    const report = getReport(db, findJob(db, id)!, reportDates);
    expect(report).toMatchObject({
      complaint: "stiff since spring",
      openedOn: "then",
      closedOn: null,
      parts: [],
      nextService: expect.stringContaining("in 12 months"),
    });
    // Nothing was opened: the fault is not said to be put right.
    expect(saying(report.told, "found")).toEqual(["Grease hardened in the gear side: found, not repaired."]);
    expect(report.tests.find((test) => test.name === "Turning in gear")).toMatchObject({
      before: "10 cN·m",
      after: "20 cN·m",
      change: "not better",
      bars: { before: 10, after: 20 },
    });
    expect(report.tests.find((test) => test.name === "Click")).toMatchObject({ before: "", after: "", change: "" });
  });
});
