import { describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { asItCame } from "@/core/teardown/came-without";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doStep, skipStep } from "@/data/bench/build-steps";
import { listOilPoints } from "@/data/bench/oil-points";
import { findJob } from "@/data/jobs/jobs";
import { listNeeds } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";
import { setBin } from "@/data/parts/stock";
import { getQuote } from "@/data/quote/quotes";
import {
  beginSoak,
  cancelSoak,
  cleanAgain,
  cleanedAllByHand,
  cleanedByHand,
  cleanPartAs,
  countBack,
  getCleaning,
  listSoaks,
} from "./cleaning";
import { openAssembly } from "./opening";
import { expectedNext, leaveIn, listWells, noteWell, putBack, serveInPlace, takePart, takeParts } from "./tray";
import { listInPlace, setWay } from "./ways";

const job = (shop: Workshop, id: number) => findJob(shop.db, id)!;
/** Everything apart, to be cleaned in baths. */
const strip = (shop: Workshop, id: number) => {
  setWay(shop.ctx, id, "job", "cleaning", "bath");
  takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
};
const bath = (change: Partial<Parameters<typeof beginSoak>[2]> = {}) => ({
  method: "degreaser" as const,
  minutes: 20,
  intoSoakId: null,
  mark: "",
  ...change,
});
const later = (shop: Workshop, minutes: number) => ({
  ...shop.ctx,
  now: new Date(Date.parse(shop.ctx.now) + minutes * 60_000).toISOString(),
});
const group = (shop: Workshop, id: number, method: string) =>
  getCleaning(shop.db, job(shop, id)).groups.find((one) => one.method === method)!;

describe("a tray through its baths", () => {
  it("plans every part of the tray by its method, once", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    const { groups, plan } = getCleaning(shop.db, job(shop, id));
    expect(groups.flatMap(({ positionIds }) => positionIds).sort()).toEqual(
      listWells(shop.db, id)
        .map(({ positionId }) => positionId)
        .sort(),
    );
    expect(plan.doneMinute).toBeLessThan(plan.oneByOneMinutes);
  });

  it("counts back into the wells; what is missing is foreseen, wanted, and not fitted", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    setBin(shop.ctx, getQuoteType(shop, "yoke-spring-front"), "A1", 0, 0);
    const { soakId } = beginSoak(shop.ctx, id, bath());
    expect(listWells(shop.db, id).find(({ positionId }) => positionId === "main-gear")!.soakId).toBe(soakId);
    expect(refusal(() => doStep(shop.ctx, id, "place-main-gear")).code).toBe("in-bath");
    expect(refusal(() => countBack(shop.ctx, id, soakId, ["spool"])).code).toBe("not-in-bath");
    const { words } = countBack(later(shop, 21), id, soakId, ["yoke-spring-front"]);
    expect(words).toMatch(/Yoke spring, front: .*needs at Stores/);
    const lost = listWells(shop.db, id).find(({ positionId }) => positionId === "yoke-spring-front")!;
    expect(lost).toMatchObject({ verdict: "missing", note: "lost in the bath", cleanedAt: null, soakId: null });
    expect(listNeeds(shop.db, { states: ["open"], jobId: id }).map(({ positionId }) => positionId)).toEqual(["yoke-spring-front"]);
    expect(getQuote(shop.db, job(shop, id)).parts.map(({ positionId }) => positionId)).toContain("yoke-spring-front");
    expect(refusal(() => doStep(shop.ctx, id, "place-yoke-spring-front")).code).toBe("waits-for-part");
    expect(listSoaks(shop.db)).toEqual([]);
    expect(refusal(() => countBack(shop.ctx, id, soakId, [])).code).toBe("counted");
  });

  it("puts nothing into a bath twice, and what does not belong there not at all", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    beginSoak(shop.ctx, id, bath());
    expect(refusal(() => beginSoak(shop.ctx, id, bath())).code).toBe("nothing");
    expect(refusal(() => beginSoak(shop.ctx, id, bath({ method: "wipe" }))).code).toBe("no-bath");
    expect(refusal(() => cleanedByHand(shop.ctx, id, "degreaser")).code).toBe("bath");
    const few = shop.open();
    setWay(shop.ctx, few, "job", "cleaning", "bath");
    takeParts(shop.ctx, few, expectedNext(shop.db, job(shop, few)).slice(0, 1));
    beginSoak(shop.ctx, few, bath());
    expect(refusal(() => putBack(shop.ctx, few)).code).toBe("in-bath");
  });

  it("lets two reels share a basket: like ones only when marked, and empties it when both are counted", () => {
    const shop = openWorkshop();
    const [a, b] = [shop.open(), shop.open()];
    strip(shop, a);
    strip(shop, b);
    const { soakId } = beginSoak(shop.ctx, a, bath());
    const like = refusal(() => beginSoak(shop.ctx, b, bath({ intoSoakId: soakId })));
    expect([like.code, like.field]).toEqual(["like-reels", "mark"]);
    beginSoak(later(shop, 5), b, bath({ intoSoakId: soakId, mark: "red thread" }));
    const [soak] = listSoaks(shop.db);
    expect(soak!.jobs.map(({ tag, mark }) => [tag, mark])).toEqual([
      [job(shop, a).tag, ""],
      [job(shop, b).tag, "red thread"],
    ]);
    // The last in sets when it is up.
    expect(soak!.dueAt).toBe(later(shop, 25).now);
    countBack(later(shop, 25), a, soakId, []);
    expect(listSoaks(shop.db)).toHaveLength(1);
    countBack(later(shop, 26), b, soakId, []);
    expect(listSoaks(shop.db)).toHaveLength(0);
  });

  it("takes a bath back as it was, and cleans a group again", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    const { soakId } = beginSoak(shop.ctx, id, bath());
    cancelSoak(shop.ctx, id, soakId);
    expect(group(shop, id, "degreaser").waiting.length).toBe(group(shop, id, "degreaser").positionIds.length);
    cleanedByHand(shop.ctx, id, "wipe");
    expect(group(shop, id, "wipe").clean.length).toBeGreaterThan(0);
    cleanAgain(shop.ctx, id, "wipe");
    expect(group(shop, id, "wipe").waiting.length).toBeGreaterThan(0);
  });

  it("washes or wipes friction washers as the nearest word says", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    expect(group(shop, id, "friction-bath")).toBeUndefined();
    setWay(shop.ctx, id, "customer", "frictionWashing", "washed");
    expect(group(shop, id, "friction-bath").positionIds).toContain("friction-low");
    setWay(shop.ctx, id, "job", "frictionWashing", "wiped");
    expect(group(shop, id, "friction-bath")).toBeUndefined();
    setWay(shop.ctx, id, "job", "frictionWashing", null);
    expect(group(shop, id, "friction-bath")).toBeDefined();
    expect(refusal(() => setWay(shop.ctx, id, "job", "frictionWashing", "boiled")).code).toBe("no-choice");
  });
});

const getQuoteType = (shop: Workshop, positionId: string): string =>
  shop.db.prepare("SELECT part_type_id FROM position WHERE id = ?").pluck().get(positionId) as string;

describe("taking parts off", () => {
  it("takes a stack in one act into one well, in its order, all or none, and undoes it whole", () => {
    const shop = openWorkshop();
    const id = shop.open();
    const order = expectedNext(shop.db, job(shop, id));
    takeParts(shop.ctx, id, order.slice(0, order.indexOf("friction-high")));
    const pull = ["friction-high", "eared", "friction-mid", "keyed-low"];
    const before = listWells(shop.db, id).length;
    expect(refusal(() => takeParts(shop.ctx, id, [...pull, order[0]!])).code).toBe("in-tray");
    // A refusal rolls back at the action's edge; here the work is undone by hand to look on.
    shop.db.prepare("DELETE FROM tray_well WHERE job_id = ? AND well > 1").run(id);
    expect(takeParts(shop.ctx, id, pull, new Set(["eared"])).well).toBe(2);
    const wells = listWells(shop.db, id).slice(before);
    expect(wells.map(({ positionId, well, place }) => [positionId, well, place])).toEqual(pull.map((seat, i) => [seat, 2, i + 1]));
    // One was not there: it is missing, and wanted.
    expect(wells.find(({ positionId }) => positionId === "eared")).toMatchObject({ verdict: "missing", foundCount: 0 });
    expect(getQuote(shop.db, job(shop, id)).parts.map(({ positionId }) => positionId)).toEqual([]);
    // What the reel came without is no wish for a new one; a person's word makes it one.
    setForeseen(shop.ctx, id, "eared", true);
    expect(getQuote(shop.db, job(shop, id)).parts.map(({ positionId }) => positionId)).toEqual(["eared"]);
    expect(refusal(() => putBack(shop.ctx, id, ["eared"])).code).toBe("not-last");
    expect(putBack(shop.ctx, id, [...pull].reverse()).positionIds).toEqual(pull);
    expect(listWells(shop.db, id)).toHaveLength(before);
    expect(getQuote(shop.db, job(shop, id)).parts).toEqual([]);
  });

  it("serves in place with a reason, and takes it off after all", () => {
    const shop = openWorkshop();
    const id = shop.open();
    const [first] = expectedNext(shop.db, job(shop, id));
    serveInPlace(shop.ctx, id, first!, "pressed in");
    expect(expectedNext(shop.db, job(shop, id))).not.toContain(first);
    expect(listInPlace(shop.db, id)).toEqual([{ positionId: first, reason: "pressed in" }]);
    takePart(shop.ctx, id, first!);
    expect(listInPlace(shop.db, id)).toEqual([]);
    expect(refusal(() => serveInPlace(shop.ctx, id, first!, "no")).code).toBe("in-tray");
  });

  it("leaves in what is chosen and what that holds, asks no reason, and names it from Strip to the report", () => {
    const shop = openWorkshop();
    const id = shop.open();
    leaveIn(shop.ctx, id, ["main-gear", "head-bearing"], true);
    const next = expectedNext(shop.db, job(shop, id));
    for (const seat of ["main-gear", "head-bearing", "under-gear-washer", "ratchet"]) expect(next, seat).not.toContain(seat);
    for (const seat of ["friction-low", "spool"]) expect(next, seat).toContain(seat);
    // It is no piece of the build, and gets its drop where it sits.
    expect(getBuild(shop.db, job(shop, id)).steps.some(({ position }) => position?.id === "main-gear")).toBe(false);
    expect(listOilPoints(shop.db, job(shop, id)).map(({ positionId }) => positionId)).toContain("head-bearing");
    takePart(shop.ctx, id, "lock-screw");
    expect(getAccount(shop.db, job(shop, id)).sentences.map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^Left in: (spool bearing \(head\), main gear|main gear, spool bearing \(head\))\.$/),
    );
    leaveIn(shop.ctx, id, ["main-gear"], false);
    expect(expectedNext(shop.db, job(shop, id))).toEqual(expect.arrayContaining(["main-gear", "ratchet"]));
    expect(refusal(() => leaveIn(shop.ctx, id, ["no-such"], true)).code).toBe("no-seat");
  });

  it("leaves off as it came what was not there: nothing quoted, nothing wanted, and the report says so", () => {
    const shop = openWorkshop();
    const id = shop.open();
    takeParts(shop.ctx, id, ["lock-screw", "handle-nut", "handle"], new Set(["lock-screw"]));
    expect(getQuote(shop.db, job(shop, id)).parts).toEqual([]);
    expect(listNeeds(shop.db, { states: ["open", "ordered", "arrived"], jobId: id })).toEqual([]);
    cleanedAllByHand(shop.ctx, id);
    skipStep(shop.ctx, id, "place-lock-screw", asItCame);
    for (const { operation } of getBuild(shop.db, job(shop, id)).steps)
      if (operation.id !== "place-lock-screw" && !operation.id.startsWith("gate-")) doStep(shop.ctx, id, operation.id);
    const words = getAccount(shop.db, job(shop, id)).sentences.map((one) => one.words);
    expect(words).toContain("Handle lock screw: not there on arrival, left off: as it came.");
    expect(words).toContain("Handle and star, opened in part: handle, handle nut off.");
    expect(words).toContain("2 parts off: 2 refitted.");
  });

  it("opens only what the complaint needs where that is the way", () => {
    const shop = openWorkshop();
    const id = shop.open();
    const all = expectedNext(shop.db, job(shop, id)).length;
    setWay(shop.ctx, id, "job", "depth", "complaint");
    expect(expectedNext(shop.db, job(shop, id))).toEqual([]); // nothing says where it sits
    shop.db.prepare("INSERT INTO job_fault (job_id, fault_id, at) VALUES (?, 'click-tongue-worn', ?)").run(id, shop.ctx.now);
    const fewer = expectedNext(shop.db, job(shop, id));
    expect(fewer.length).toBeLessThan(all);
    expect(fewer).toContain("click-tongue");
    expect(fewer.length).toBeLessThan(12);
    // Once a part is off, what is found widens it and does not narrow it.
    const whole = shop.open();
    takePart(shop.ctx, whole, "lock-screw");
    shop.db.prepare("INSERT INTO job_fault (job_id, fault_id, at) VALUES (?, 'click-tongue-worn', ?)").run(whole, shop.ctx.now);
    expect(expectedNext(shop.db, job(shop, whole)).length).toBe(all - 1);
    // What somebody says stands above it.
    openAssembly(shop.ctx, id, "spool", true);
    expect(expectedNext(shop.db, job(shop, id))).toEqual(expect.arrayContaining(["click-tongue", "head-bearing"]));
    openAssembly(shop.ctx, id, "tail", false);
    expect(expectedNext(shop.db, job(shop, id))).not.toContain("click-tongue");
    openAssembly(shop.ctx, id, "tail", null);
    expect(expectedNext(shop.db, job(shop, id))).toContain("click-tongue");
    expect(refusal(() => openAssembly(shop.ctx, id, "ghost", true)).code).toBe("no-assembly");
  });

  it("sends a verdict to Quote and Stores at once, and takes it back", () => {
    const shop = openWorkshop();
    const id = shop.open();
    strip(shop, id);
    const note = (verdict: "replace" | "wrong" | "ok") => noteWell(shop.ctx, id, "star", { verdict, orientation: "", note: "" });
    expect(note("wrong").words).toMatch(/bin A1/);
    expect(getQuote(shop.db, job(shop, id)).parts.map(({ positionId }) => positionId)).toEqual(["star"]);
    setBin(shop.ctx, getQuoteType(shop, "star"), "A1", 0, 0);
    expect(note("replace").words).toMatch(/needs at Stores/);
    note("ok");
    expect(getQuote(shop.db, job(shop, id)).parts).toEqual([]);
    expect(listNeeds(shop.db, { states: ["open"], jobId: id })).toEqual([]);
  });
});

describe("a tray cleaned by hand", () => {
  const handed = (dirt: "brush" | "wipe") => {
    const shop = openWorkshop();
    const id = shop.open();
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
    setWay(shop.ctx, id, "job", "cleaning", dirt);
    return { shop, id };
  };

  it("is done by one press, each part in its way, and one press takes it back", () => {
    const { shop, id } = handed("brush");
    cleanedAllByHand(shop.ctx, id);
    const how = new Map(listWells(shop.db, id).map(({ positionId, cleanedHow }) => [positionId, cleanedHow]));
    expect(how.get("main-gear")).toBe("brush");
    expect(how.get("tail-bearing")).toBe("flush");
    expect([...how.values()]).not.toContain(null);
    expect(refusal(() => cleanedAllByHand(shop.ctx, id)).code).toBe("nothing");
    cleanAgain(shop.ctx, id, null);
    expect(listWells(shop.db, id).every(({ cleanedAt, cleanedHow }) => cleanedAt === null && cleanedHow === null)).toBe(true);
  });

  it("cleans one part otherwise, never in a way that spoils it, and keeps how it was cleaned when the dirt is judged anew", () => {
    const { shop, id } = handed("wipe");
    cleanPartAs(shop.ctx, id, "main-gear", "degreaser");
    const washer = listWells(shop.db, id).find(({ positionId }) => positionId === "friction-low")!;
    expect(refusal(() => cleanPartAs(shop.ctx, id, washer.positionId, "degreaser")).code).toBe("spoils");
    beginSoak(shop.ctx, id, bath());
    expect(refusal(() => cleanPartAs(shop.ctx, id, "main-gear", null)).code).toBe("in-bath");
    cleanedAllByHand(shop.ctx, id);
    countBack(later(shop, 21), id, listSoaks(shop.db)[0]!.id, []);
    const how = () => Object.fromEntries(listWells(shop.db, id).map(({ positionId, cleanedHow }) => [positionId, cleanedHow]));
    expect(how()).toMatchObject({ "main-gear": "degreaser", pinion: "wipe", "tail-bearing": "flush" });
    const before = how();
    setWay(shop.ctx, id, "job", "cleaning", "bath");
    expect(how()).toEqual(before);
    expect(getCleaning(shop.db, job(shop, id)).groups.every(({ waiting, soaking }) => !waiting.length && !soaking.length)).toBe(true);
  });
});
