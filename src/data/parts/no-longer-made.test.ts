import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { interchangeSetSchema } from "@/core/interchange/interchange";
import { askForPart } from "@/data/bench/fit-part";
import { saveInterchangeSet } from "@/data/catalogue/interchange";
import { setNoLongerMade } from "@/data/catalogue/part-types";
import { ensureReel } from "@/data/customers/reels";
import { findJob } from "@/data/jobs/jobs";
import { listNeeds, setLowestGrade } from "@/data/parts/needs";
import { getQuote } from "@/data/quote/quotes";
import { orderSituation } from "@/data/stores/order-situation";
import { scrapReel } from "./donors";
import { cannotBeHad, listNotToBeHad, otherWays, wordsForOwner } from "./no-longer-made";
import { setBin } from "./stock";
import { removeOffer } from "./suppliers";

function nowhere() {
  const shop = openWorkshop();
  setBin(shop.ctx, "sk-star", "A1", 0, 0);
  const jobId = shop.open({ limitMinor: 100_000 });
  askForPart(shop.ctx, jobId, "star");
  removeOffer(shop.ctx, "quay", "sk-star");
  const { id: needId } = listNeeds(shop.db, { states: ["open"] })[0]!;
  return { ...shop, jobId, needId };
}

describe("a part nobody sells", () => {
  it("comes off a scrapped reel, named with its state and drawer, once donors are allowed", () => {
    const { ctx, db, needId } = nowhere();
    expect(otherWays(db, needId)).toEqual([]);
    const donor = ensureReel(ctx, { modelId: "skerry-30", serial: "MS30 90009", hand: "right", ownerId: 1 });
    scrapReel(ctx, donor, { drawer: "D4", pieces: [{ positionId: "star", condition: "good" }] });
    const [way] = otherWays(db, needId);
    expect(way).toMatchObject({ kind: "donor", grade: "donor-only" });
    expect(way!.words).toMatch(/good, off .*MS30.*90009.*drawer D4/);
    expect(orderSituation(db, "2026-03-02").needs[0]!.nowhere).toBe(true);
    setLowestGrade(ctx, needId, way!.grade);
    expect(orderSituation(db, "2026-03-02").needs[0]!.nowhere).toBe(false);
  });

  it("or another part will do, with its note", () => {
    const { ctx, db, needId } = nowhere();
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
    expect(otherWays(db, needId)).toMatchObject([{ kind: "instead", grade: "cut-to-size" }]);
    expect(otherWays(db, needId)[0]!.words).toContain("shorten the boss");
  });

  it("or it is not available: its need ends, it leaves the quote, and its owner is told", () => {
    const { ctx, db, jobId, needId } = nowhere();
    expect(wordsForOwner(db, needId)).toMatch(/No star was available/);
    setNoLongerMade(ctx, "sk-star", true);
    const words = wordsForOwner(db, needId);
    expect(words).toMatch(/no longer made/);
    cannotBeHad(ctx, needId, words);
    expect(listNeeds(db, { states: ["open"] })).toEqual([]);
    expect(getQuote(db, findJob(db, jobId)!).parts).toEqual([]);
    expect(listNotToBeHad(db, jobId)).toEqual([{ positionId: "star", words }]);
    expect(refusal(() => cannotBeHad(ctx, needId, words)).code).toBe("ordered");
  });
});
