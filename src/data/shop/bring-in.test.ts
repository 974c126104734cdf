import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { type BringInKind, guessColumns, rowsOf } from "@/core/bring-in/kinds";
import { readTable } from "@/core/bring-in/table";
import { findAnything } from "@/data/database/find";
import { bringIn, listBroughtIn, listPastVisits, NotBroughtIn, tryBringIn, undoBringIn } from "./bring-in";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const rowsIn = (kind: BringInKind, text: string) => {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.message);
  const fields = table.value.columns;
  const { rows, faults } = rowsOf(kind, table.value.rows, Object.fromEntries(fields.map((field, i) => [field, i])));
  expect(faults).toEqual([]);
  return rows.map((row, i) => ({ row, line: table.value.lines[i]! }));
};
const bring = (kind: BringInKind, text: string) => shop.db.transaction(() => bringIn(shop.ctx, kind, `${kind}.csv`, rowsIn(kind, text)))();
const count = (table: string) => shop.db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
const model = () => shop.db.prepare("SELECT maker, name FROM model LIMIT 1").get() as { maker: string; name: string };
/** Everything the files touch, to be compared before and after. */
const everything = () =>
  ["customer", "reel", "past_visit", "supplier", "offer", "stock", "find"].map((table) =>
    shop.db.prepare(`SELECT * FROM ${table} ORDER BY 1, 2`).all(),
  );

describe("bringing a shop in", () => {
  it("takes customers, reels with their visits, suppliers, prices and stock, and finds them", () => {
    const { maker, name } = model();
    bring("customers", "name;phone;email\nJo Fell;0555 1;jo@post.example\nIda Marl;0555 2;");
    bring(
      "reels",
      `owner;maker;model;serial;hand;visitOn;visitWords;visitPaid\nJo Fell;${maker};${name};MS30 77001;left;2.3.2021;full service;64,50\nJo Fell;${maker};${name};ms30-77001;left;2023-04-01;drag washers;32\nIda Marl;;${name};;;;;`,
    );
    bring("suppliers", "name;postage;leadDays\nHarbour Parts;4.50;6");
    const number = shop.db.prepare("SELECT number FROM part_type ORDER BY number LIMIT 1").pluck().get() as string;
    bring("prices", `supplier;number;price\nharbour parts;${number};3.20`);
    bring("stock", `number;bin;count;minimum\n${number};Z9;7;2`);
    const reel = shop.db.prepare("SELECT id, hand FROM reel WHERE serial = 'MS3077001'").get() as { id: number; hand: string };
    expect(reel.hand).toBe("left");
    expect(listPastVisits(shop.db, reel.id)).toMatchObject([
      { on: "2023-04-01", words: "drag washers", paidMinor: 3200 },
      { on: "2021-03-02", words: "full service", paidMinor: 6450 },
    ]);
    expect(findAnything(shop.db, "MS3077001").map(({ kind }) => kind)).toEqual(["reel"]);
    expect(findAnything(shop.db, "Ida Marl")[0]!.kind).toBe("customer");
    expect(
      shop.db.prepare("SELECT bin, count, minimum FROM stock JOIN part_type ON part_type.id = part_type_id WHERE number = ?").get(number),
    ).toEqual({ bin: "Z9", count: 7, minimum: 2 });
  });

  it("brings in all of a file or nothing, with what is wrong in each row", () => {
    const before = everything();
    const { name } = model();
    const rows = rowsIn("reels", `owner;model;serial\nAda Brook;${name};A1\nNobody Here;${name};A2\nAda Brook;No Such 9;A3`);
    const faults = shop.db.transaction(() => tryBringIn(shop.ctx, "reels", rows))();
    expect(faults.map(({ row, field }) => [row, field])).toEqual([
      [3, "owner"],
      [4, "model"],
    ]);
    expect(() => shop.db.transaction(() => bringIn(shop.ctx, "reels", "x.csv", rows))()).toThrow(NotBroughtIn);
    expect(everything()).toEqual(before);
    expect(count("brought_in")).toBe(0);
  });

  it("takes the same file no second time", () => {
    bring("customers", "name;phone\nJo Fell;1");
    expect(
      shop.db.transaction(() => tryBringIn(shop.ctx, "customers", rowsIn("customers", "name;phone\nJo Fell;1\nJo Fell;2")))(),
    ).toMatchObject([{ row: 2 }]);
  });

  it("is undone as a whole: everything stands as it stood", () => {
    const { name } = model();
    const number = shop.db
      .prepare("SELECT part_type.number FROM stock JOIN part_type ON part_type.id = part_type_id ORDER BY 1 LIMIT 1")
      .pluck()
      .get() as string;
    const before = everything();
    const made = [
      bring("customers", "name\nJo Fell\nIda Marl"),
      bring("reels", `owner;model;serial;visitWords\nJo Fell;${name};B1;washed`),
      bring("suppliers", "name\nHarbour Parts"),
      bring("prices", `supplier;number;price\nHarbour Parts;${number};1.00\nQuay;${number};0.90`),
      bring("stock", `number;bin;count\n${number};Z9;70`),
    ];
    for (const { id } of made.reverse()) shop.db.transaction(() => undoBringIn(shop.ctx, id))();
    expect(everything()).toEqual(before);
    expect(listBroughtIn(shop.db).every(({ undoneAt }) => undoneAt !== null)).toBe(true);
    expect(refusal(() => undoBringIn(shop.ctx, made[0]!.id)).message).toMatch(/already undone/);
  });

  it("keeps all of a file of which something is in use, and says which row", () => {
    const { id } = bring("customers", "name\nJo Fell\nIda Marl");
    const ida = shop.db.prepare("SELECT id FROM customer WHERE name = 'Ida Marl'").pluck().get() as number;
    shop.open({ customer: { id: ida } });
    const undo = () => shop.db.transaction(() => undoBringIn(shop.ctx, id))();
    expect(refusal(undo).message).toMatch(/Row 3 is already in use \(customers\)/);
    expect(shop.db.prepare("SELECT count(*) FROM customer WHERE name = 'Jo Fell'").pluck().get()).toBe(1);
  });

  it("brings five thousand customers in", () => {
    bring("customers", `name;phone\n${Array.from({ length: 5000 }, (_, i) => `Person ${i};${i}`).join("\n")}`);
    expect(count("customer")).toBeGreaterThan(5000);
    expect(findAnything(shop.db, "Person 4711")[0]!.title).toBe("Person 4711");
  });
});

describe("a plain list of parts", () => {
  const list = [
    "part number;description;price;qty;shelf;supplier;net",
    "BZ-1;Handle screw M3x8;1,20;12;A1;Quay;0,60",
    "BZ-2;Bearing 5x11x4;9.80;4;A2;;",
    "BZ-3;Assembly 4;30;;;;",
  ].join("\n");
  const rowsOfList = (text: string) => {
    const table = readTable(text);
    if (!table.ok) throw new Error(table.message);
    const { rows, faults } = rowsOf("parts", table.value.rows, guessColumns("parts", table.value.columns), table.value.lines);
    expect(faults).toEqual([]);
    return rows.map((row, i) => ({ row, line: table.value.lines[i]! }));
  };
  const bringList = (text: string) => shop.db.transaction(() => bringIn(shop.ctx, "parts", "list.csv", rowsOfList(text)))();
  const part = (number: string) =>
    shop.db
      .prepare(
        `SELECT part_type.id, name, price_minor AS price, json_extract(shape, '$.kind') AS kind, json_extract(shape, '$.boreMm') AS bore, bin, count
         FROM part_type LEFT JOIN stock ON stock.part_type_id = part_type.id WHERE number = ?`,
      )
      .get(number);

  it("makes parts that no model knows, each of the kind its words say, with its shelf and who sells it; undone it leaves nothing", () => {
    const tables = () =>
      ["part_type", "offer", "stock", "stock_move", "find"].map((table) => shop.db.prepare(`SELECT * FROM ${table} ORDER BY 1, 2`).all());
    const before = tables();
    const { id } = bringList(list);
    expect(part("BZ-1")).toMatchObject({ name: "Handle screw M3x8", price: 120, kind: "screw", bin: "A1", count: 12 });
    expect(part("BZ-2")).toMatchObject({ kind: "bearing", bore: 5, count: 4 });
    expect(part("BZ-3")).toMatchObject({ kind: "unsorted", bin: null });
    expect(
      shop.db
        .prepare("SELECT offer.price_minor FROM offer JOIN part_type ON part_type.id = part_type_id WHERE number = 'BZ-1'")
        .pluck()
        .get(),
    ).toBe(60);
    expect(findAnything(shop.db, "Assembly 4")[0]).toMatchObject({ kind: "part" });
    shop.db.transaction(() => undoBringIn(shop.ctx, id))();
    expect(tables()).toEqual(before);
  });

  it("changes price, shelf and offer of a part that is known, and never what it is; undone they are as before", () => {
    const known = shop.db.prepare("SELECT number, name, shape FROM part_type ORDER BY number LIMIT 1").get() as {
      number: string;
      name: string;
      shape: string;
    };
    const is = () => shop.db.prepare("SELECT name, shape, price_minor FROM part_type WHERE number = ?").get(known.number);
    const was = is();
    const { id } = bringList(`number;description;price;bin;count\n${known.number};Something quite else 5x11x4;99;Q7;3`);
    expect(is()).toEqual({ name: known.name, shape: known.shape, price_minor: 9900 });
    expect(part(known.number)).toMatchObject({ bin: "Q7", count: 3 });
    shop.db.transaction(() => undoBringIn(shop.ctx, id))();
    expect(is()).toEqual(was);
  });

  it("says with its line what cannot be: a number twice, pieces without a shelf, a supplier nobody knows", () => {
    const text = "number;description;count;bin;supplier\n\nA1;Screw;1;X;\nA1;Screw;1;X;\n\nA2;Screw;3;;\nA3;Screw;;;Nobody";
    const faults = shop.db.transaction(() => tryBringIn(shop.ctx, "parts", rowsOfList(text)))();
    expect(faults.map(({ row, field }) => [row, field])).toEqual([
      [4, "number"],
      [6, "bin"],
      [7, "supplier"],
    ]);
  });

  it("is in use once a reel wants a part of it: then nothing is taken back", () => {
    const { id } = bringList(list);
    const bz1 = (part("BZ-1") as { id: string }).id;
    const job = shop.open({});
    shop.db
      .prepare("INSERT INTO need (job_id, position_id, part_type_id, state, at) VALUES (?, 'lock-screw', ?, 'open', '2026-01-01')")
      .run(job, bz1);
    expect(refusal(() => shop.db.transaction(() => undoBringIn(shop.ctx, id))()).code).toBe("in-use");
    expect(part("BZ-2")).toMatchObject({ count: 4 });
  });
});
