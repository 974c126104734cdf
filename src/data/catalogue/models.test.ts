import { describe, expect, it } from "vitest";
import { skerry30, skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import { openWorkshop, refusal } from "#tests/workshop";
import { editPart, editSeat, startDraft } from "@/core/anatomy/draft";
import { families } from "@/core/families/families";
import { modelFromTemplate } from "@/core/families/template";
import { bringModelIn, previewModelFile } from "@/data/catalogue/model-files";
import { listModelsWithCounts } from "@/data/catalogue/model-list";
import { reviseModel } from "@/data/catalogue/write-model";
import { listPlaces } from "./interchange";
import { findModelPicture, markModelPicture, setModelPicture } from "./model-pictures";
import { getCurrentModelVersion } from "./models";
import { addPartType, findPartByNumber, findPartType, isPartKnown, listPartTypes } from "./part-types";

const draft = startDraft(skerry30Anatomy);
const catalogue = new Map(skerry30Parts.map((part) => [part.id, part]));
const renamed = editSeat(draft, "star", { name: "Star, black", orientation: "flat side out" });

describe("editing a model at its drawing", () => {
  it("is the next version; the one before stays as it was", () => {
    const { ctx, db, open } = openWorkshop();
    const before = getCurrentModelVersion(db, skerry30.id);
    open();
    expect(reviseModel(ctx, skerry30.id, 1, renamed).number).toBe(2);
    const after = getCurrentModelVersion(db, skerry30.id);
    expect(after.anatomy.positions.find((p) => p.id === "star")?.name).toBe("Star, black");
    expect(before.anatomy.positions.find((p) => p.id === "star")?.name).toBe("Star");
    expect(after.anatomy.positions).toHaveLength(before.anatomy.positions.length);
  });

  it("is refused when another window saved first", () => {
    const { ctx } = openWorkshop();
    reviseModel(ctx, skerry30.id, 1, renamed);
    expect(refusal(() => reviseModel(ctx, skerry30.id, 1, renamed)).code).toBe("changed-elsewhere");
  });

  it("is refused when the part no longer goes over what it rides on, in millimetres", () => {
    const { ctx, db } = openWorkshop();
    const shape = { kind: "washer", outsideMm: 18, insideMm: 7, thicknessMm: 0.8 } as const;
    const { message, code } = refusal(() =>
      db.transaction(() => reviseModel(ctx, skerry30.id, 1, editPart(draft, "under-gear-washer", { shape }, catalogue)))(),
    );
    expect(code).toBe("anatomy");
    expect(message).toContain("1.00 mm too tight");
    expect(getCurrentModelVersion(db, skerry30.id).number).toBe(1);
    expect(findPartByNumber(db, "SK-219.v2"), "no half-made catalogue entry is left").toBeNull();
  });
});

describe("models as files, in the library", () => {
  const file = (prefix: string) => ({
    model: { id: prefix.toLowerCase(), maker: "Own", name: prefix, family: "centrepin" as const },
    ...modelFromTemplate(families.centrepin, prefix),
  });

  it("comes in as a new model, then as its next version", () => {
    const { ctx, db } = openWorkshop();
    const draft = file("QX");
    expect(previewModelFile(db, draft)).toEqual({ known: false, changes: [] });
    expect(bringModelIn(ctx, draft).number).toBe(1);
    expect(previewModelFile(db, draft)).toEqual({ known: true, changes: [] });
    draft.anatomy.positions[0]!.name = "Drum, narrow";
    expect(previewModelFile(db, draft).changes).toMatchObject([{ what: "changed", kind: "seat", name: "Drum, narrow" }]);
    expect(bringModelIn(ctx, draft).number).toBe(2);
  });

  it("never writes over a part that is in the catalogue with other data", () => {
    const { ctx, db } = openWorkshop();
    const draft = file("QX");
    bringModelIn(ctx, draft);
    const first = draft.partTypes[0]!;
    const other = { ...draft, partTypes: [{ ...first, priceMinor: first.priceMinor + 1 }, ...draft.partTypes.slice(1)] };
    expect(refusal(() => bringModelIn(ctx, other)).code).toBe("part-differs");
    expect(findPartType(db, first.id)?.priceMinor).toBe(first.priceMinor);
  });

  it("is counted without reading a machine: seats, guesses, reels, newest version", () => {
    const { ctx, db, open } = openWorkshop();
    open();
    open();
    reviseModel(ctx, skerry30.id, 1, editSeat(draft, "star", { guessed: true }));
    expect(listModelsWithCounts(db, { limit: 50, offset: 0 })).toMatchObject([
      { id: skerry30.id, seats: skerry30Anatomy.positions.length, guessed: 1, reels: 2, number: 2 },
    ]);
  });
});

describe("the catalogue", () => {
  it("finds by number however it is written, and knows where else a part sits", () => {
    const { ctx, db } = openWorkshop();
    expect(findPartByNumber(db, " sk-220 ")?.id).toBe("sk-main-gear");
    expect(findPartByNumber(db, "SK-999")).toBeNull();
    expect(isPartKnown(db, { id: "other", number: "SK-220" })).toBe(true);
    expect(isPartKnown(db, { id: "other", number: "other" })).toBe(false);
    expect(listPlaces(db, "sk-keyed").places.map(({ seat }) => seat.seat)).toEqual(["Keyed washer, high", "Keyed washer, low"]);
    // Once the newest version asks for another part, the old one sits nowhere.
    reviseModel(
      ctx,
      skerry30.id,
      1,
      editPart(draft, "foot", { shape: { kind: "foot", lengthMm: 60, widthMm: 16, thicknessMm: 3 } }, catalogue),
    );
    expect(listPlaces(db, "sk-foot").places).toEqual([]);
    expect(listPlaces(db, "sk-foot-v2").places).toHaveLength(1);
  });

  it("keeps one part a number", () => {
    const { ctx, db } = openWorkshop();
    const part = listPartTypes(db)[0]!;
    expect(() => addPartType(ctx, { ...part, id: "again" })).toThrow(/in the catalogue already/);
  });
});

describe("the picture of a printed schematic", () => {
  const withPicture = () => {
    const shop = openWorkshop();
    shop.db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES ('a', 100, 50, 9, '2026'), ('b', 10, 10, 9, '2026')").run();
    return shop;
  };

  it("holds a place for each seat once, and begins anew with another picture", () => {
    const { ctx, db } = withPicture();
    setModelPicture(ctx, skerry30.id, { hash: "a", width: 100, height: 50 });
    markModelPicture(ctx, skerry30.id, { positionId: "star", x: 0.25, y: 0.5 });
    markModelPicture(ctx, skerry30.id, { positionId: "star", x: 0.75, y: 0.5 });
    expect(findModelPicture(db, skerry30.id)).toEqual({
      photoHash: "a",
      width: 100,
      height: 50,
      marks: [{ positionId: "star", x: 0.75, y: 0.5 }],
    });
    setModelPicture(ctx, skerry30.id, { hash: "b", width: 10, height: 10 });
    expect(findModelPicture(db, skerry30.id)?.marks).toEqual([]);
  });

  it("refuses a place outside it, a seat the model lacks, and marks without a picture", () => {
    const { ctx, db } = withPicture();
    expect(refusal(() => markModelPicture(ctx, skerry30.id, { positionId: "star", x: 0, y: 0 })).code).toBe("no-picture");
    setModelPicture(ctx, skerry30.id, { hash: "a", width: 100, height: 50 });
    expect(refusal(() => markModelPicture(ctx, skerry30.id, { positionId: "none", x: 0, y: 0 })).code).toBe("no-seat");
    expect(() => markModelPicture(ctx, skerry30.id, { positionId: "star", x: 1.2, y: 0 })).toThrow(/CHECK/);
    expect(refusal(() => setModelPicture(ctx, "no-model", { hash: "a", width: 1, height: 1 })).code).toBe("no-model");
    expect(findModelPicture(db, "no-model")).toBeNull();
  });
});
