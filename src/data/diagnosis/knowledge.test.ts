import { beforeEach, describe, expect, it } from "vitest";
import { intake, openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { commonKnowledge, shopFaultSchema, shopFindingSchema } from "@/core/diagnosis/knowledge";
import { findJob } from "@/data/jobs/jobs";
import { getQuote } from "@/data/quote/quotes";
import { diagnosisOf, recordLook, settleFault } from "./diagnosis";
import { addShopFault, addShopFinding, faultOf, knowledgeFaults, knowledgeOf, setStrength } from "./knowledge";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const fault = {
  name: "Salt crust under the foot",
  section: "outside",
  commonness: "uncommon",
  tellBy: "Foot off the rod: a white line",
  remedy: "Warm water, dry, a film of oil",
  minutes: 10,
} as const;
const sign = {
  name: "White line round the foot",
  area: "outside",
  how: "Foot off the rod, look under it",
  minutes: 1,
  open: "nothing",
} as const;
const suspect = (id: number, faultId: string) =>
  diagnosisOf(shop.db, findJob(shop.db, id)!).diagnosis.ranked.find((one) => one.fault.id === faultId);

describe("what a shop knows better than the tables", () => {
  it("is nothing at first, and the common tables hang together", () => {
    expect(knowledgeOf(shop.db)).toBe(commonKnowledge);
    expect(knowledgeFaults(shop.db)).toEqual([]);
  });

  it("adds a fault with its sign, which then is suspected, looked for, proved, billed and learned from", () => {
    const [faultId, signId] = [addShopFault(shop.ctx, fault), addShopFinding(shop.ctx, sign)];
    setStrength(shop.ctx, faultId, signId, "always", "it is the crust itself");
    expect(knowledgeFaults(shop.db)).toEqual([]);
    const id = shop.open();
    const before = suspect(id, faultId)!.probability;
    expect(before).toBeGreaterThan(0);
    recordLook(shop.ctx, id, signId, true);
    // Bayes by hand: prior .025; the sign is so with the fault 1 − .03·.99, without it .01; a look sees it .95 and errs .008.
    const [withIt, without] = [0.95 * 0.9703 + 0.008 * 0.0297, 0.95 * 0.01 + 0.008 * 0.99];
    expect(suspect(id, faultId)!.probability).toBeCloseTo((0.025 * withIt) / (0.025 * withIt + 0.975 * without), 6);
    settleFault(shop.ctx, id, faultId, true);
    expect(getQuote(shop.db, findJob(shop.db, id)!).labour).toContainEqual(expect.objectContaining({ words: fault.remedy, minutes: 10 }));
    expect(faultOf(shop.db, faultId)?.name).toBe(fault.name);
    expect(suspect(shop.open(), faultId)!.prior).toBeGreaterThan(before);
  });

  it("says what hangs in the air, by name", () => {
    addShopFault(shop.ctx, fault);
    addShopFinding(shop.ctx, sign);
    const said = knowledgeFaults(shop.db);
    expect(said).toContainEqual(expect.stringContaining(`“${fault.name}” causes nothing`));
    expect(said).toContainEqual(expect.stringContaining(`Nothing causes “${sign.name}”`));
    const twin = addShopFault(shop.ctx, { ...fault, name: "The same by another name" });
    for (const id of ["shop-fault-1", twin]) setStrength(shop.ctx, id, "shop-sign-1", "always", "");
    expect(knowledgeFaults(shop.db)).toEqual([expect.stringMatching(/No check tells “Salt crust.* and “The same/)]);
  });

  it("says otherwise than the tables, strikes a pair, and takes its word back", () => {
    const id = shop.open({ intake: intake({ complaints: ["drag-weak"] }) });
    const as = () => suspect(id, "drag-worn")!.probability;
    const common = as();
    setStrength(shop.ctx, "drag-worn", "drag-weak", "seldom", "here they jerk first");
    const less = as();
    expect(less).toBeLessThan(common);
    setStrength(shop.ctx, "drag-worn", "drag-weak", null, "");
    expect(as()).toBeLessThan(less);
    setStrength(shop.ctx, "drag-worn", "drag-weak", "as-common", "");
    expect(as()).toBeCloseTo(common, 12);
    expect(knowledgeOf(shop.db)).toBe(commonKnowledge);
  });

  it("refuses twins, and what names nothing", () => {
    addShopFault(shop.ctx, fault);
    expect(refusal(() => addShopFault(shop.ctx, { ...fault, name: "salt CRUST under the foot" })).code).toBe("twin");
    expect(refusal(() => addShopFinding(shop.ctx, { ...sign, name: "Hard to turn in gear" })).code).toBe("twin");
    expect(refusal(() => setStrength(shop.ctx, "ghost", "drag-weak", "often", "")).code).toBe("no-fault");
    expect(refusal(() => setStrength(shop.ctx, "drag-worn", "ghost", "often", "")).code).toBe("no-finding");
    expect(shopFaultSchema.safeParse({ ...fault, minutes: Number.NaN }).success).toBe(false);
    expect(shopFindingSchema.safeParse({ ...sign, how: "" }).success).toBe(false);
  });
});
