import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  bringInKindIds,
  bringInKinds,
  dayOf,
  faultWords,
  guessColumns,
  kindOfColumns,
  leftOutRows,
  rowsOf,
  templateColumns,
} from "./kinds";
import { readText } from "./read-text";
import { readTable } from "./table";

const latin1 = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const utf16 = (text: string, little: boolean, mark: boolean) => {
  const units = [...(mark ? [0xfeff] : []), ...Array.from(text, (_, i) => text.charCodeAt(i))];
  return Uint8Array.from(units.flatMap((unit) => (little ? [unit & 255, unit >> 8] : [unit >> 8, unit & 255])));
};

describe("a file's letters", () => {
  const text = "Name;Ort\nJörg Müße;Ærø\n";
  it.each([
    ["UTF-8", new TextEncoder().encode(text)],
    ["UTF-8", new TextEncoder().encode(`\uFEFF${text}`)],
    ["Latin-1", latin1(text)],
    ["UTF-16", utf16(text, true, true)],
    ["UTF-16", utf16(text, false, true)],
    ["UTF-16", utf16(text, true, false)],
    ["UTF-16", utf16(text, false, false)],
  ] as const)("are the same in %s", (encoding, bytes) => expect(readText(bytes)).toEqual({ text, encoding }));

  it("are read back whatever they are, by the platform's own encoder", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme", minLength: 4 }), (any) => {
        expect(readText(new TextEncoder().encode(`${any}é`)).text).toBe(`${any}é`.replace(/^\uFEFF/, ""));
      }),
    );
  });
});

describe("a spreadsheet's text", () => {
  it("is the same with any separator and any line end (RFC 4180 quoting)", () => {
    for (const separator of [";", "\t", ",", "|"])
      for (const end of ["\n", "\r\n", "\r"]) {
        const text = [
          ["name", "note"],
          ["Ada", `"two${separator} in one, ""so"""`],
          ["", ""],
          ["Ben", "x"],
        ]
          .map((row) => row.join(separator))
          .join(end);
        const table = readTable(text);
        expect(table.ok && table.value.rows, JSON.stringify([separator, end])).toEqual([
          ["Ada", `two${separator} in one, "so"`],
          ["Ben", "x"],
        ]);
      }
  });

  it("refuses an open quotation mark, an empty file and too many rows, and drops what no key types", () => {
    expect(readTable('a;b\n"open;1')).toMatchObject({ ok: false, code: "quotes" });
    expect(readTable("a;b\n")).toMatchObject({ ok: false, code: "empty" });
    expect(readTable(`a\n${"x\n".repeat(10_001)}`)).toMatchObject({ ok: false, code: "too-long" });
    const table = readTable("a;b\nA\u0000da\u0007;1");
    expect(table.ok && table.value.rows[0]).toEqual(["Ada", "1"]);
  });
});

describe("columns", () => {
  it("are found by what they are usually called, each once", () => {
    expect(guessColumns("customers", ["Full Name", "Telephone", "E-Mail", "Town"])).toEqual({ name: 0, phone: 1, email: 2, town: 3 });
    expect(guessColumns("reels", ["customer", "Brand", "Model", "Serial No", "Date", "Work"])).toMatchObject({
      owner: 0,
      maker: 1,
      model: 2,
      serial: 3,
      visitOn: 4,
      visitWords: 5,
    });
    for (const kind of bringInKindIds)
      expect(new Set(Object.values(guessColumns(kind, ["name", "number", "price", "date"]))).size).toBeGreaterThan(0);
  });

  it("that are needed and not chosen are asked for; a row's faults stand at its field and line", () => {
    expect(rowsOf("stock", [["a"]], {}).faults.map(({ field }) => field)).toEqual(["number", "bin", "count"]);
    const { faults } = rowsOf(
      "stock",
      [
        ["P1", "A1", "3"],
        ["", "A2", "many"],
        ["P3", "A3", "-1"],
      ],
      { number: 0, bin: 1, count: 2 },
    );
    expect(faults).toEqual([
      { row: 3, field: "number", message: "No part number here." },
      { row: 3, field: "count", message: "Enter a whole number, 0 or more." },
      { row: 4, field: "count", message: "Enter a whole number, 0 or more." },
    ]);
  });

  it("reads days as people write them, and none that no calendar has", () => {
    expect([dayOf("2024-02-29"), dayOf("29.2.2024"), dayOf("1/3/2024"), dayOf("2024-5-3")]).toEqual([
      "2024-02-29",
      "2024-02-29",
      "2024-03-01",
      "2024-05-03",
    ]);
    expect([dayOf("2023-02-29"), dayOf("31.4.2024"), dayOf("yesterday"), dayOf("13/13/2024")]).toEqual([null, null, null, null]);
  });
});

describe("lines and what stays out", () => {
  const text = 'name;note\n\nJo;"two\nlines"\n;no name\n\nIda;x';
  const table = readTable(text);
  if (!table.ok) throw new Error(table.message);

  it("are those of the file itself: empty lines count, and a cell of two lines is two", () => {
    expect(table.value.lines).toEqual([3, 5, 7]);
    expect(readTable("\n\nname\nJo")).toMatchObject({ ok: true, value: { columns: ["name"], lines: [4] } });
  });

  it("name line and column of what is wrong, and come back as a table with the reason", () => {
    const of = guessColumns("customers", table.value.columns);
    const { faults } = rowsOf("customers", table.value.rows, of, table.value.lines);
    expect(faults.map((fault) => faultWords("customers", fault, table.value.columns, of))).toEqual([
      'Line 5, column "name": No name here.',
    ]);
    expect(leftOutRows(table.value, faults)).toEqual([
      ["name", "note", "why it was left out"],
      ["", "no name", "No name here."],
    ]);
  });

  it("have a template whose columns are known again", () => {
    for (const kind of bringInKindIds) {
      const columns = templateColumns(kind);
      expect(Object.values(guessColumns(kind, columns)).length, kind).toBeGreaterThanOrEqual(
        Object.values(bringInKinds[kind].fields).filter((field) => "must" in field).length,
      );
    }
  });
});

describe("the kind of a list", () => {
  it("is told by its columns where those chosen are not there, and stays as it was chosen where they are", () => {
    expect(kindOfColumns(["Number", "Description", "Price", "Qty", "Shelf"], "customers")).toBe("parts");
    expect(kindOfColumns(["Name", "Phone"], "parts")).toBe("customers");
    expect(kindOfColumns(["Name", "Phone"], "suppliers")).toBe("suppliers");
    expect(kindOfColumns(["Owner", "Model", "Serial"], "customers")).toBe("reels");
    expect(kindOfColumns(["Wer", "Telephone"], "customers")).toBe("customers");
  });
});
