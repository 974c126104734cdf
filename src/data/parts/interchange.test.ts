import { beforeEach, describe, expect, it } from "vitest";
import { skerry30Parts } from "#demo/models/skerry-30";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import type { PartType } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { modelFromTemplate } from "@/core/families/template";
import { interchangeSetSchema } from "@/core/interchange/interchange";
import { pieceLines } from "@/core/quote/kit-lines";
import { askForPart, fitFromDonor, fitFromStock, takeBack } from "@/data/bench/fit-part";
import { expectedNext, takePart } from "@/data/bench/tray";
import {
  listFits,
  listInterchangeSets,
  listKits,
  listPlaces,
  removeInterchangeSet,
  saveInterchangeSet,
  saveKit,
} from "@/data/catalogue/interchange";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { findJob } from "@/data/jobs/jobs";
import { listOverrides, machineOf } from "@/data/jobs/machine";
import { listNeeds } from "@/data/parts/needs";
import { listDeclined, setForeseen, strikeKit, wantedPart, wantInstead, wantKit } from "@/data/parts/quote-parts";
import { getBill, getQuote } from "@/data/quote/quotes";
import { listDonorPieces, listDonorSeats, listPiecesOfDonor, scrapReel } from "./donors";
import { setBin } from "./stock";
import { setOffer } from "./suppliers";

let shop: Workshop;
const strip = (jobId: number, ...until: string[]) => {
  for (const seat of expectedNext(shop.db, findJob(shop.db, jobId)!)) {
    takePart(shop.ctx, jobId, seat);
    if (until.includes(seat)) return;
  }
};
const star: PartType = {
  ...skerry30Parts.find((part) => part.id === "sk-star")!,
  id: "star-b",
  number: "ST-B",
  name: "Star, indented",
  priceMinor: 1500,
};

beforeEach(() => {
  shop = openWorkshop();
  const sibling = modelFromTemplate(families["star-drag-clutch"], "SX");
  for (const part of sibling.partTypes) addPartType(shop.ctx, part);
  addModel(shop.ctx, { id: "skerry-40x", maker: "Marrowby", name: "Skerry 40X", family: "star-drag-clutch" }, sibling);
  addPartType(shop.ctx, star);
  saveInterchangeSet(
    shop.ctx,
    interchangeSetSchema.parse({
      id: "stars",
      name: "Stars of the series",
      roles: ["star"],
      mark: "five arms",
      members: [
        { modelId: "skerry-30", grade: "drop-in" },
        { modelId: "skerry-40x", grade: "fits-with-note", note: "hub 0.2 mm higher" },
        { partTypeId: "star-b", grade: "drop-in" },
      ],
    }),
  );
});

describe("interchange sets", () => {
  it("tell what fits a seat and where else a part fits", () => {
    expect(listFits(shop.db, "skerry-30", "star").map((fit) => [fit.partTypeId, fit.grade])).toEqual([
      ["sk-star", "same-number"],
      ["star-b", "drop-in"],
      ["sx-star", "fits-with-note"],
    ]);
    expect(listPlaces(shop.db, "star-b").places.map(({ seat }) => seat.modelId)).toEqual(["skerry-30", "skerry-40x"]);
    expect(listFits(shop.db, "skerry-30", "nowhere")).toEqual([]);
  });

  it("are refused with names that are not here, changed by their id, and removed once", () => {
    const set = listInterchangeSets(shop.db)[0]!;
    expect(refusal(() => saveInterchangeSet(shop.ctx, { ...set, members: [{ modelId: "gone", grade: "drop-in", note: "" }] })).code).toBe(
      "no-model",
    );
    expect(
      refusal(() => saveInterchangeSet(shop.ctx, { ...set, members: [{ partTypeId: "gone", grade: "drop-in", note: "" }] })).code,
    ).toBe("no-part");
    saveInterchangeSet(shop.ctx, { ...set, name: "Stars" });
    expect(listInterchangeSets(shop.db).map((one) => one.name)).toEqual(["Stars"]);
    removeInterchangeSet(shop.ctx, "stars");
    expect(refusal(() => removeInterchangeSet(shop.ctx, "stars")).code).toBe("no-set");
  });

  it("offer the number a part is sold under now", () => {
    shop.db.prepare("UPDATE part_type SET superseded_by = 'ST-B' WHERE id = 'sk-handle-nut'").run();
    expect(listFits(shop.db, "skerry-30", "handle-nut").map((fit) => fit.partTypeId)).toEqual(["sk-handle-nut", "star-b"]);
  });
});

describe("another part than the model's", () => {
  it("is foreseen, ordered, fitted, remembered by the reel, and goes back the same way", () => {
    const id = shop.open();
    wantInstead(shop.ctx, id, "star", "star-b");
    expect(getQuote(shop.db, findJob(shop.db, id)!).parts).toMatchObject([{ partTypeId: "star-b", priceMinor: 1500 }]);
    setOffer(shop.ctx, { supplierId: "quay", partTypeId: "star-b", priceMinor: 900 });
    askForPart(shop.ctx, id, "star");
    expect(listNeeds(shop.db, { states: ["open"], jobId: id })).toMatchObject([{ partTypeId: "star-b" }]);
    strip(id, "star");
    expect(refusal(() => fitFromStock(shop.ctx, id, "star")).code).toBe("short");
    setBin(shop.ctx, "star-b", "B1", 1, 0);
    fitFromStock(shop.ctx, id, "star");
    expect(listOverrides(shop.db, findJob(shop.db, id)!.reel.id).get("star")).toBe("star-b");
    expect(machineOf(shop.db, findJob(shop.db, id)!).partTypes.get("star-b")?.name).toBe("Star, indented");
    takeBack(shop.ctx, id, "star");
    expect(listOverrides(shop.db, findJob(shop.db, id)!.reel.id).size).toBe(0);
    expect(refusal(() => wantInstead(shop.ctx, id, "star", "gone")).code).toBe("no-part");
  });
});

describe("a conversion kit", () => {
  const gear: PartType = {
    ...skerry30Parts.find((part) => part.id === "sk-main-gear")!,
    id: "kit-gear",
    number: "K-1",
    shape: { kind: "gear", teeth: 56, moduleMm: 0.8, boreMm: 8.1, faceMm: 6, cupMm: 36 },
  };
  const pinion: PartType = {
    ...skerry30Parts.find((part) => part.id === "sk-pinion")!,
    id: "kit-pinion",
    number: "K-2",
    shape: { kind: "pinion", teeth: 12, moduleMm: 0.8, boreMm: 5.1, lengthMm: 18 },
  };
  const kit = (...seats: [string, string][]) => ({
    id: "fast",
    name: "Faster gears",
    modelId: "skerry-30",
    seats: seats.map(([positionId, partTypeId]) => ({ positionId, partTypeId })),
    note: "",
    caution: "",
  });
  beforeEach(() => {
    addPartType(shop.ctx, gear);
    addPartType(shop.ctx, pinion);
  });

  it("is refused without a companion it needs, in millimetres", () => {
    expect(refusal(() => saveKit(shop.ctx, kit(["main-gear", "kit-gear"]))).message).toContain("mm too close");
    expect(listKits(shop.db, "skerry-30")).toEqual([]);
  });

  it("foresees all its parts in one act", () => {
    saveKit(shop.ctx, kit(["main-gear", "kit-gear"], ["pinion", "kit-pinion"]));
    const id = shop.open();
    expect(wantKit(shop.ctx, id, "fast")).toEqual({ parts: 2 });
    const job = findJob(shop.db, id)!;
    expect(["main-gear", "pinion"].map((seat) => wantedPart(shop.db, job, seat).partTypeId)).toEqual(["kit-gear", "kit-pinion"]);
    expect(refusal(() => wantKit(shop.ctx, id, "slow")).code).toBe("no-kit");
    // One line in the quote with the sum of its parts, and one no.
    const lines = () => pieceLines(getQuote(shop.db, findJob(shop.db, id)!).parts);
    expect(lines().map(({ kitId, positionIds }) => [kitId, positionIds.length])).toEqual([["fast", 2]]);
    strikeKit(shop.ctx, id, "fast", true);
    expect([lines(), listDeclined(shop.db, id)]).toEqual([[], ["main-gear", "pinion"]]);
    expect(refusal(() => strikeKit(shop.ctx, id, "fast", false)).code).toBe("no-kit");
  });
});

describe("a donor reel", () => {
  const donor = () => {
    const id = shop.open({ serial: "DONOR" });
    const { reel } = findJob(shop.db, id)!;
    return { id, reelId: reel.id };
  };
  const close = (id: number) => {
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = '2026-03-02T10:00:00Z' WHERE id = ?").run(id);
  };

  it("gives its parts once, when it hangs here no more, and takes no job after", () => {
    const { id, reelId } = donor();
    const give = {
      pieces: [
        { positionId: "main-gear", condition: "good" as const },
        { positionId: "star", condition: "worn" as const },
      ],
      drawer: "D2",
    };
    expect(refusal(() => scrapReel(shop.ctx, reelId, give)).code).toBe("hanging");
    close(id);
    expect(refusal(() => scrapReel(shop.ctx, reelId, { ...give, pieces: [] })).code).toBe("nothing");
    expect(scrapReel(shop.ctx, reelId, give)).toEqual({ pieces: 2 });
    expect(refusal(() => scrapReel(shop.ctx, reelId, give)).code).toBe("scrapped");
    expect(refusal(() => shop.open({ serial: "DONOR" })).code).toBe("scrapped");
    // Two fifths and three twentieths of new, the shares small shops ask (common practice).
    expect(listDonorPieces(shop.db).map((piece) => [piece.partTypeId, piece.priceMinor, piece.origin])).toEqual([
      ["sk-main-gear", Math.round(2890 * 0.4), "Marrowby Skerry 30 DONOR"],
      ["sk-star", Math.round(1190 * 0.15), "Marrowby Skerry 30 DONOR"],
    ]);
    expect(listDonorSeats(shop.db, reelId)).toHaveLength(
      findJob(shop.db, id) ? machineOf(shop.db, findJob(shop.db, id)!).anatomy.positions.length : 0,
    );
  });

  it("helps another: billed at its own price, gone from the drawer, back in it when undone", () => {
    const { id, reelId } = donor();
    close(id);
    scrapReel(shop.ctx, reelId, { pieces: [{ positionId: "main-gear", condition: "good" }], drawer: "D2" });
    const job = shop.open();
    const [piece] = listDonorPieces(shop.db, "sk-main-gear");
    expect(refusal(() => fitFromDonor(shop.ctx, job, "main-gear", piece!.id)).code).toBe("not-in-tray");
    strip(job, "main-gear");
    setForeseen(shop.ctx, job, "main-gear", true);
    fitFromDonor(shop.ctx, job, "main-gear", piece!.id);
    expect(getBill(shop.db, findJob(shop.db, job)!).sum.partsMinor).toBe(1156);
    expect(listDonorPieces(shop.db)).toEqual([]);
    expect(listPiecesOfDonor(shop.db, reelId)[0]?.usedTag).toBe(findJob(shop.db, job)!.tag);
    const other = shop.open();
    strip(other, "main-gear");
    expect(refusal(() => fitFromDonor(shop.ctx, other, "main-gear", piece!.id)).code).toBe("no-piece");
    takeBack(shop.ctx, job, "main-gear");
    expect(listDonorPieces(shop.db)).toHaveLength(1);
    expect(getBill(shop.db, findJob(shop.db, job)!).sum.partsMinor).toBe(0);
  });
});
