import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { seenSettings } from "@/core/shop/settings";
import { getAccount } from "@/data/account/job-acts";
import { addExtraPiece, extrasOfModel, listExtraPieces } from "@/data/bench/extra-pieces";
import { overrideSeat } from "@/data/bench/own-part";
import { noteStep } from "@/data/bench/step-noted";
import { putBack, takeParts } from "@/data/bench/tray";
import { setWay, waysOf } from "@/data/bench/ways";
import { findPartByNumber, findPartCard, listPartTypes, listPiece } from "@/data/catalogue/part-types";
import { modelWorth, setModelWorth } from "@/data/catalogue/write-model";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { setForeseen } from "@/data/parts/quote-parts";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";

let shop: Workshop;
let id = 0;
beforeEach(() => {
  shop = openWorkshop();
  id = shop.open({ serial: "PT 1" });
});
const job = () => findJob(shop.db, id)!;
const typeAt = (positionId: string) => {
  const { anatomy, partTypes } = machineOf(shop.db, job());
  return partTypes.get(anatomy.positions.find((seat) => seat.id === positionId)!.partTypeId)!;
};

describe("a hybrid's foreign part without a number", () => {
  it("sits in its seat by words and size, is offered by no list, and gets a number later", () => {
    overrideSeat(shop.ctx, id, "main-gear", "", { name: "brass gear off an older one", size: "" });
    const own = typeAt("main-gear");
    expect(own).toMatchObject({ name: "brass gear off an older one", role: "main-gear" });
    expect(listPartTypes(shop.db).some((part) => part.id === own.id)).toBe(false);
    expect(findPartCard(shop.db, own.id)?.unlisted).toBe(true);
    expect(refusal(() => listPiece(shop.ctx, own.id, typeAt("handle").number)).field).toBe("number");
    listPiece(shop.ctx, own.id, "OWN-1");
    expect(findPartByNumber(shop.db, "OWN-1")?.id).toBe(own.id);
    expect(refusal(() => listPiece(shop.ctx, own.id, "OWN-2")).code).toBe("listed");
    // An empty number gives the seat back to the model.
    overrideSeat(shop.ctx, id, "main-gear", "");
    expect(typeAt("main-gear").id).not.toBe(own.id);
  });

  it("is refused with a size that cannot be read, at its field", () => {
    expect(refusal(() => overrideSeat(shop.ctx, id, "head-bearing", "", { name: "odd bearing", size: "big" })).field).toBe("size");
  });
});

describe("what two windows do at once", () => {
  it("overwrites no setting that was changed since the page was opened", () => {
    const before = getShopSettings(shop.db);
    saveShopSettings(shop.ctx, { ...before, ratePerHourMinor: 5000 }, seenSettings(before));
    expect(refusal(() => saveShopSettings(shop.ctx, { ...before, taxBasisPoints: 0 }, seenSettings(before))).code).toBe(
      "changed-elsewhere",
    );
    expect(getShopSettings(shop.db)).toMatchObject({ ratePerHourMinor: 5000, taxBasisPoints: before.taxBasisPoints });
  });

  it("overwrites no way that was chosen otherwise, and takes the same choice twice", () => {
    setWay(shop.ctx, id, "job", "bearings", "talk", null);
    setWay(shop.ctx, id, "job", "bearings", "talk", null);
    expect(refusal(() => setWay(shop.ctx, id, "job", "bearings", "upgrade", null)).code).toBe("changed");
    expect(waysOf(shop.db, job()).job?.bearings).toBe("talk");
    setWay(shop.ctx, id, "job", "bearings", "upgrade", "talk");
  });

  it("takes no yes to a sum that is no more", () => {
    const asked = getQuote(shop.db, job()).sum.totalMinor;
    setForeseen(shop.ctx, id, "main-gear", true);
    expect(refusal(() => recordAnswer(shop.ctx, id, { accepted: true, words: "yes", totalMinor: asked })).code).toBe("changed");
    recordAnswer(shop.ctx, id, { accepted: true, words: "yes", totalMinor: getQuote(shop.db, job()).sum.totalMinor });
  });
});

describe("what a model is told by its jobs", () => {
  it("keeps a worth for jobs where nobody typed one", () => {
    setModelWorth(shop.ctx, "skerry-30", 12_000);
    expect([modelWorth(shop.db, "skerry-30"), job().valueMinor]).toEqual([12_000, 12_000]);
    expect(findJob(shop.db, shop.open({ valueMinor: 3000 }))?.valueMinor).toBe(3000);
    expect(refusal(() => setModelWorth(shop.ctx, "none", 1)).code).toBe("no-model");
  });

  it("lists once what lay in several of its reels and is not on the drawing", () => {
    const other = shop.open({ serial: "PT 2" });
    addExtraPiece(shop.ctx, id, "thin shim under the gear");
    addExtraPiece(shop.ctx, other, "Thin shim under the gear");
    expect(extrasOfModel(shop.db, "skerry-30")).toEqual([
      { words: "Thin shim under the gear", tags: [findJob(shop.db, other)!.tag, job().tag] },
    ]);
  });
});

describe("what hands find and do beyond the drawing", () => {
  it("takes one screw more than drawn off with its ring, and the undo takes it back", () => {
    addExtraPiece(shop.ctx, id, "2 more than drawn, said by hand");
    takeParts(shop.ctx, id, ["head-screw-top", "head-screw-front", "head-screw-rear"], new Set(), 1);
    expect(listExtraPieces(shop.db, id).map(({ words }) => words)).toEqual([
      "2 more than drawn, said by hand",
      expect.stringMatching(/^1 extra Head .*screw/),
    ]);
    putBack(shop.ctx, id);
    expect(listExtraPieces(shop.db, id).map(({ words }) => words)).toEqual(["2 more than drawn, said by hand"]);
  });

  it("keeps a measure, a repeat or an amount with its step, through to the report", () => {
    takeParts(shop.ctx, id, ["lock-screw"]);
    noteStep(shop.ctx, id, "place-lock-screw", "pressed twice");
    noteStep(shop.ctx, id, "place-lock-screw", "0.12 mm shim under it");
    expect(refusal(() => noteStep(shop.ctx, id, "place-nothing", "x")).code).toBe("no-step");
    expect(saying(getAccount(shop.db, job()).sentences, "done").join(" ")).toContain("0.12 mm shim under it.");
    noteStep(shop.ctx, id, "place-lock-screw", "");
    expect(getAccount(shop.db, job()).account.noted).toEqual([]);
  });
});
