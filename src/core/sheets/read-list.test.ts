import { describe, expect, it } from "vitest";
import { readList } from "./read-list";
import type { ColumnSaid, ListField, WordBox } from "./sheet";

/** Rows of words on a grid: each column begins at its place, 10 high. */
const grid = (rows: readonly (readonly string[])[], columns: readonly number[]): WordBox[] =>
  rows.flatMap((row, line) =>
    row.flatMap((text, i) => {
      let x = columns[i]!;
      return text
        .split(" ")
        .filter(Boolean)
        .map((word) => {
          const box = { text: word, x, y: line * 14, w: word.length * 5, h: 10 };
          x += box.w + 3;
          return box;
        });
    }),
  );
const list = [
  ["No.", "Part No.", "Description", "Qty", "Price"],
  ["1", "KR-1001", "Handle nut", "1", "2.50"],
  ["2", "KR-1002", "Handle", "1", "24.00"],
  ["3", "KR-1003", "Star", "1", "9.80"],
  ["4", "KR-1004", "Drag washer", "3", "1.20"],
  ["5", "KR-1005", "Main gear", "1", "18.00"],
  ["6", "KR-1006", "Pinion", "1", "11.00"],
];
const at = [0, 30, 100, 220, 260];

describe("a list read from its words", () => {
  it("has its columns by their headers, its counts and amounts as numbers", () => {
    const { rows, columns, doubts } = readList(grid(list, at));
    expect(columns.map(({ field }) => field)).toEqual(["callout", "number", "description", "quantity", "price"]);
    expect(rows[3]).toMatchObject({ quantity: 3, priceMinor: 120, cells: { number: "KR-1004", description: "Drag washer" } });
    expect(rows).toHaveLength(6);
    expect(doubts).toEqual([]);
  });

  it("tells callouts from counts without a header: callouts go up, counts come again", () => {
    const { columns } = readList(grid(list.slice(1), at));
    expect(columns.map(({ field }) => field)).toEqual(["callout", "number", "description", "quantity", "price"]);
  });

  it("settles letters for figures by the shape all numbers share, and says so", () => {
    const misread = list.map((row, i) => (i === 4 ? ["4", "KR-lOO4", ...row.slice(2)] : row));
    const [, , , row] = readList(grid(misread, at)).rows;
    expect(row!.cells.number).toBe("KR-1004");
    expect(row!.doubts).toEqual([{ field: "number", why: expect.stringContaining("KR-lOO4") }]);
  });

  it("settles a numeral by its neighbours, and says so", () => {
    const misread = list.map((row, i) => (i === 3 ? ["8", ...row.slice(1)] : row));
    const [, , row] = readList(grid(misread, at)).rows;
    expect(row!.cells.callout).toBe("3");
    expect(row!.doubts).toEqual([{ field: "callout", why: expect.stringContaining("read as 8") }]);
  });

  it("keeps the words of a remark together that only one row has", () => {
    // Wide spaces, each below nothing but itself.
    const remarked = list
      .slice(0, 6)
      .map((row, i) => [...row, ...(i === 0 ? ["Remarks", "", ""] : i === 2 ? ["superseded", "by", "KR-1009"] : ["", "", ""])]);
    const { rows } = readList(grid(remarked, [...at, 300, 356, 372]));
    expect(rows.map(({ cells }) => cells.remarks ?? "")).toEqual(["", "superseded by KR-1009", "", "", ""]);
  });

  it("reads the columns as somebody set them, and leaves out what they do not want", () => {
    // Without headers a shop's own shelf code looks like a part number, and goes before the maker's.
    const shelves = list.slice(1).map(([callout, number, words, count], i) => [callout!, `S0${i + 1}`, number!, words!, count!]);
    const words = grid(shelves, [0, 30, 80, 150, 270]);
    const column = (field: ListField | null, from: number, to: number): ColumnSaid => ({ page: 1, block: 0, field, from, to });
    const columns = [
      column("callout", 0, 20),
      column(null, 25, 70),
      column("number", 75, 140),
      column("description", 145, 260),
      column("quantity", 265, 290),
    ];
    const { rows, others } = readList(words, { columns });
    expect(rows.map(({ cells }) => cells.number)).toEqual(list.slice(1).map(([, number]) => number));
    expect(rows.map(({ cells }) => cells.description)).toEqual(list.slice(1).map(([, , words_]) => words_));
    expect(rows[3]!.quantity).toBe(3);
    expect(others.map(({ from }) => from)).toEqual([25]);
  });

  it("knows a header the shop has named once", () => {
    const foreign = [["Lfd.", "Bestellnr", "Bezeichnung", "Stk", "Preis"], ...list.slice(1)];
    const headers = new Map<string, ListField>([
      ["bestellnr", "number"],
      ["bezeichnung", "description"],
    ]);
    const { columns } = readList(grid(foreign, at), { headers });
    expect(columns.find(({ field }) => field === "number")!.header).toBe("Bestellnr");
    expect(columns.find(({ field }) => field === "description")!.header).toBe("Bezeichnung");
    // Until then they are told by what stands below them; the header is there to be named.
    expect(readList(grid(foreign, at)).columns.map(({ header }) => header)).toEqual(foreign[0]);
  });

  it("says which numerals no row was read for, and a sum that is another", () => {
    const short = readList(
      grid(
        list.filter((_, i) => i !== 3),
        at,
      ),
    );
    expect(short.doubts).toEqual(["No row was read for 3."]);
    const total = [...grid(list, at), ...grid([["Total", "68.90"]], [220, 260]).map((word) => ({ ...word, y: 160 }))];
    expect(readList(total).doubts).toEqual([]);
    expect(readList(total.map((word) => (word.text === "68.90" ? { ...word, text: "86.90" } : word))).doubts[0]).toContain("86.90");
  });

  it("ties a drawing's numerals to their rows, and no figure of a sentence", () => {
    const drawing = [
      { text: "4", x: 400, y: 500, w: 5, h: 10 },
      { text: "2", x: 300, y: 520, w: 5, h: 10, turned: 90 },
      ...grid([["see sheet 2 of this"]], [500]).map((word) => ({ ...word, y: 600 })),
    ];
    const { callouts, rows } = readList([...grid(list, at), ...drawing]);
    expect(callouts.map(({ text, row }) => [text, rows[row!]!.cells.description])).toEqual([
      ["4", "Drag washer"],
      ["2", "Handle"],
    ]);
  });

  it("reads a page that lies askew, and says where its words are on it", () => {
    const slope = Math.tan((2.5 * Math.PI) / 180);
    const askew = grid(list, at).map((word) => ({ ...word, x: word.x - slope * word.y, y: word.y + slope * word.x }));
    const { rows } = readList(askew);
    expect(rows.map(({ cells }) => cells.price)).toEqual(list.slice(1).map((row) => row[4]));
    const [, second] = rows;
    expect(second!.boxes.price!.y).toBeCloseTo(28 + slope * 260, 0);
  });

  it("asks about a word its reader was not sure of", () => {
    const words = grid(list, at).map((word) => (word.text === "Pinion" ? { ...word, sure: 0.4 } : { ...word, sure: 0.95 }));
    expect(readList(words).rows.map(({ doubts }) => doubts.length)).toEqual([0, 0, 0, 0, 0, 1]);
  });

  it("reads a run of words as well as single ones", () => {
    const runs = list.flatMap((row, line) => row.map((text, i) => ({ text, x: at[i]!, y: line * 14, w: text.length * 5, h: 10 })));
    expect(readList(runs).rows.map(({ cells }) => cells.description)).toEqual(list.slice(1).map((row) => row[2]));
  });

  it("finds no list where there is none: an empty sheet, a letter, a drawing with numerals alone", () => {
    const letter = grid(
      [
        ["On 12 May 2024 the reel came back with 3 screws loose,"],
        ["and nobody at the counter knew of the 4 parts that"],
        ["had been ordered in week 19 of the same year for it."],
        ["We took 5 photographs and wrote to the owner at once."],
      ],
      [0],
    );
    const numerals = Array.from({ length: 30 }, (_, i) => ({ text: `${i + 1}`, x: (i * 97) % 400, y: (i * 53) % 300, w: 8, h: 10 }));
    for (const words of [[], letter, numerals]) expect(readList(words).rows).toEqual([]);
  });
});
