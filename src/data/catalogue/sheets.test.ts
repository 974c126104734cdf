import { describe, expect, it } from "vitest";
import { drawSheet, sheetStyles } from "#tests/sheets/draw-sheet";
import { startJobOn } from "#tests/sheets/start-job";
import { writtenSheets } from "#tests/sheets/written-sheets";
import { openWorkshop, refusal } from "#tests/workshop";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import { loadSolver } from "@/core/blind-spots/least-cover";
import { isOpen, keptRows } from "@/core/sheets/kept-sheet";
import { matchSeats } from "@/core/sheets/match-seats";
import { readList } from "@/core/sheets/read-list";
import { keptWords, wordsOf } from "@/core/sheets/sheet-words";
import { findModelPicture } from "./model-pictures";
import { getCurrentModelVersion } from "./models";
import { findPartByNumber } from "./part-types";
import {
  confirmSure,
  dropSheet,
  editionOfSheet,
  findSheet,
  keepSheet,
  keepSheetPage,
  listWaitingSheets,
  modelOfSheet,
  ownHeaders,
  pricesAgainst,
  pricesOfSheet,
  setSheetColumns,
  setSheetRow,
  wordsOfSheet,
} from "./sheets";

const solver = await loadSolver();
const written = writtenSheets.find(({ family }) => family === "star-drag-bridge")!;

/** A sheet as the page that read it keeps it. */
function kept() {
  const shop = openWorkshop();
  const drawn = drawSheet(written, sheetStyles[0]!, 7);
  const list = readList(drawn.words);
  const found = matchSeats(
    solver,
    list.rows.map(({ cells, quantity }) => ({ description: cells.description ?? "", quantity: quantity ?? undefined })),
  );
  const rows = keptRows(list, found, { 1: { width: 900, height: 1200 } });
  const words = keptWords(drawn.words, { 1: { width: 900, height: 1200 } });
  const built = { family: found.family, chosen: found.chosen };
  const { id } = keepSheet(shop.ctx, { name: "sheet.pdf", ...built, rows, doubts: list.doubts, words });
  return { shop, id, now: () => findSheet(shop.db, id)!, words: drawn.words };
}
const said = (sheet: { id: number; rowVersion: number }, more: object = {}) => ({
  ...{ sheetId: sheet.id, seen: sheet.rowVersion, maker: "Own", name: "Of a sheet", prefix: "OS" },
  ...more,
});

describe("a sheet", () => {
  it("waits with its rows until a model is made of it, and is forgotten by a press", () => {
    const { shop, id, now } = kept();
    expect(now().rows).toHaveLength(written.rows.length);
    expect(now().rows.filter(({ mark }) => mark !== null).length).toBeGreaterThan(30);
    expect(listWaitingSheets(shop.db).map((one) => one.id)).toEqual([id]);
    dropSheet(shop.ctx, id);
    expect(listWaitingSheets(shop.db)).toEqual([]);
    expect(refusal(() => dropSheet(shop.ctx, id)).code).toBe("gone");
  });

  it("has its sure rows taken at once; a row said anew takes its seat from any other", () => {
    const { shop, id, now } = kept();
    const open = now().rows.filter(isOpen).length;
    expect(confirmSure(shop.ctx, id, now().rowVersion).rows).toBe(written.rows.length - open);
    const [first] = now().rows;
    const seat = now().rows.find(({ seats }) => seats.length > 0)!.seats[0]!.positionId;
    const at = now().rows.length - 1;
    setSheetRow(shop.ctx, {
      ...{ sheetId: id, seen: now().rowVersion, row: at, number: "X-1", description: "Another", quantity: 1, positionIds: [seat] },
    });
    expect(now().rows.filter(({ seats }) => seats.some(({ positionId }) => positionId === seat))).toHaveLength(1);
    expect(now().rows[at]).toMatchObject({ number: "X-1", confirmed: true });
    expect(first).toBeDefined();
    expect(refusal(() => confirmSure(shop.ctx, id, 1)).code).toBe("changed-elsewhere");
  });

  it("keeps its words, is read again with other columns, and what those were called is known for the next", () => {
    const { shop, id, now, words } = kept();
    const back = wordsOf(wordsOfSheet(shop.db, id)!);
    expect(back.words.map(({ text }) => text)).toEqual(words.map(({ text }) => text));
    expect(readList(back.words).rows.map(({ cells }) => cells)).toEqual(readList(words).rows.map(({ cells }) => cells));
    const { family, chosen, rows, rowVersion } = now();
    confirmSure(shop.ctx, id, rowVersion);
    const headers = [{ words: "bestellnr", field: "number" as const }];
    const again = { sheetId: id, family, chosen, rows: rows.slice(0, 5), doubts: ["Read anew."], headers };
    setSheetColumns(shop.ctx, { ...again, seen: now().rowVersion });
    expect(now()).toMatchObject({ doubts: ["Read anew."], rows: { length: 5 } });
    expect(now().rows.some(({ confirmed }) => confirmed)).toBe(false);
    expect(ownHeaders(shop.db)).toEqual(headers);
    expect(refusal(() => setSheetColumns(shop.ctx, { ...again, seen: rowVersion })).code).toBe("changed-elsewhere");
    // Called otherwise on another sheet, the last word holds.
    setSheetColumns(shop.ctx, { ...again, headers: [{ words: "bestellnr", field: "remarks" }], seen: now().rowVersion });
    expect(ownHeaders(shop.db)).toEqual([{ words: "bestellnr", field: "remarks" }]);
  });

  it("becomes a model: its parts in the family's seats by number and price, its page as the picture, and a reel of it is taken apart", () => {
    const { shop, id, now } = kept();
    keepSheetPage(shop.ctx, id, 1, { jpeg: Buffer.from("a page"), width: 900, height: 1200 });
    const { id: modelId } = modelOfSheet(shop.ctx, said(now()));
    const { anatomy, partTypes } = getCurrentModelVersion(shop.db, modelId);
    const star = anatomy.positions.find((position) => position.id === "star")!;
    const row = now().rows.find(({ seats }) => seats.some(({ positionId }) => positionId === "star"))!;
    expect(partTypes.get(star.partTypeId)).toMatchObject({ number: row.number, priceMinor: row.priceMinor, name: row.description });
    // Four of one part in four seats are one part.
    const screws = anatomy.positions.filter(({ id: seat }) => seat.startsWith("bridge-screw")).map(({ partTypeId }) => partTypeId);
    expect(new Set(screws).size).toBe(1);
    // What no seat is, and no part of the works, is in the catalogue alone.
    expect(findPartByNumber(shop.db, now().rows.at(-1)!.number)?.name).toBe("Rod clamp");
    expect(findModelPicture(shop.db, modelId)!.marks.length).toBeGreaterThan(25);
    expect(shop.db.prepare("SELECT words FROM sheet WHERE id = ?").pluck().get(id)).toBe("");
    expect(refusal(() => modelOfSheet(shop.ctx, said(now()))).code).toBe("done");
    expect(startJobOn(shop, modelId)).toBeGreaterThan(20);
  });

  it("as a newer price list changes amounts and superseded numbers of parts that are known, and is then gone", () => {
    const { shop, id, now } = kept();
    modelOfSheet(shop.ctx, said(now()));
    const [first, second] = now().rows.filter(({ number }) => number !== "");
    const list = [
      { ...first!, priceMinor: first!.priceMinor! + 55, successor: second!.number },
      { ...second! },
      { ...first!, number: "QQ-404", priceMinor: 100 },
    ].map((row) => ({ ...row, doubts: [] }));
    const { family, chosen } = now();
    const again = keepSheet(shop.ctx, { name: "prices.pdf", family, chosen, rows: list, doubts: [], words: null }).id;
    const parts = shop.db.prepare("SELECT count(*) FROM part_type").pluck();
    const before = parts.get();
    expect(pricesAgainst(shop.db, list).unknown).toEqual(["QQ-404"]);
    expect(pricesOfSheet(shop.ctx, { sheetId: again, seen: 1 })).toEqual({ parts: 1 });
    const part = findPartByNumber(shop.db, first!.number)!;
    expect([part.priceMinor, part.supersededBy]).toEqual([first!.priceMinor! + 55, second!.number]);
    expect(parts.get()).toBe(before);
    expect(findSheet(shop.db, again)).toBeNull();
    expect(findSheet(shop.db, id)).not.toBeNull();
    // Said once more it says nothing new.
    const same = keepSheet(shop.ctx, { name: "prices.pdf", family, chosen, rows: list, doubts: [], words: null }).id;
    expect(refusal(() => pricesOfSheet(shop.ctx, { sheetId: same, seen: 1 })).code).toBe("nothing-new");
  });

  it("of another year becomes an edition of its model: the parts that differ in their seats, new in the catalogue or known; a reel of it is that edition's", () => {
    const { shop, now } = kept();
    const { id: modelId } = modelOfSheet(shop.ctx, said(now()));
    const first = getCurrentModelVersion(shop.db, modelId);
    const rows = now().rows.map((row) => ({
      ...row,
      ...(row.seats.some(({ positionId }) => positionId === "star")
        ? { number: "KR-9001", priceMinor: 777, description: "Star, large" }
        : {}),
    }));
    const keepAgain = () =>
      keepSheet(shop.ctx, { name: "late.pdf", family: now().family, chosen: now().chosen, rows, doubts: [], words: null }).id;
    const late = keepAgain();
    const asEdition = (sheetId: number, more: object = {}) =>
      editionOfSheet(shop.ctx, {
        ...{ sheetId, seen: 1, modelId, baseNumber: first.number, name: "From 1985", before: "To 1984", fromYear: 1985, mark: "" },
        ...more,
      });
    expect(refusal(() => asEdition(late, { baseNumber: first.number + 1 })).code).toBe("changed-elsewhere");
    expect(asEdition(late)).toEqual({ id: modelId, parts: 1 });
    const second = getCurrentModelVersion(shop.db, modelId);
    expect(second.anatomy.editions.map(({ name }) => name)).toEqual(["To 1984", "From 1985"]);
    const starIn = (edition: string) => {
      const { partTypeId } = anatomyOfEdition(second.anatomy, edition).positions.find(({ id }) => id === "star")!;
      return second.partTypes.get(partTypeId)!;
    };
    expect(starIn("from-1985")).toMatchObject({ number: "KR-9001", priceMinor: 777, name: "Star, large" });
    expect(starIn("to-1984").number).toBe(now().rows.find(({ seats }) => seats.some(({ positionId }) => positionId === "star"))!.number);
    expect(listWaitingSheets(shop.db)).toEqual([]);
    // Another that says nothing new, and one of that name.
    const again = keepAgain();
    expect(refusal(() => asEdition(again, { baseNumber: second.number })).code).toBe("known-name");
    dropSheet(shop.ctx, again);
    expect(startJobOn(shop, modelId)).toBeGreaterThan(20);
  });

  it("takes a part that the catalogue has by its number, whatever the sheet calls it", () => {
    const { shop, now } = kept();
    const known = shop.db.prepare("SELECT number FROM part_type ORDER BY id LIMIT 1").pluck().get() as string;
    const at = now().rows.findIndex(({ seats }) => seats.some(({ positionId }) => positionId === "pinion"));
    setSheetRow(shop.ctx, {
      ...{ sheetId: now().id, seen: now().rowVersion, row: at, number: known, description: "Pinion", quantity: 1, positionIds: ["pinion"] },
    });
    const { id } = modelOfSheet(shop.ctx, said(now()));
    const { anatomy, partTypes } = getCurrentModelVersion(shop.db, id);
    expect(partTypes.get(anatomy.positions.find((position) => position.id === "pinion")!.partTypeId)!.number).toBe(known);
  });
});
