import { describe, expect, it } from "vitest";
import { readPartsCsv } from "./parts-csv";

const nothing = () => false;

describe("a parts list from a spreadsheet", () => {
  it("reads numbers, kinds by their words, prices and sizes, with comma, semicolon or tab", () => {
    for (const sign of [",", ";", "\t"]) {
      const text = [
        ["Part number", "Description", "Kind", "Price", "Outside mm", "Inside", "Thickness", "Colour"],
        ["KX-1", "Low washer", "friction washer", "3.40", "31", "10", "0.9", "black"],
        ["KX-2", "Bearing", "ball bearing", "6", "11", "", "", ""],
      ]
        .map((row) => row.join(sign))
        .join("\r\n");
      const read = readPartsCsv(text, nothing);
      expect(read.faults).toEqual([]);
      expect(read.ignored).toEqual(["Colour"]);
      expect(read.parts).toMatchObject([
        {
          id: "kx-1",
          number: "KX-1",
          name: "Low washer",
          priceMinor: 340,
          shape: { kind: "friction-washer", outsideMm: 31, insideMm: 10, thicknessMm: 0.9 },
        },
        { id: "kx-2", priceMinor: 600, shape: { kind: "bearing", outsideMm: 11 } },
      ]);
    }
  });

  it("names every fault by row and column and takes nothing of a list that has one", () => {
    const read = readPartsCsv(
      "number,name,kind,price,outside\nA1,Good,washer,1.00,12\nA2,Bad,doohickey,1.00,12\nA3,,washer,1.234,-4\nA1,Twice,washer,1,12\nOLD,Known,washer,1,12\n",
      ({ number }) => number === "OLD",
    );
    expect(read.parts).toEqual([]);
    expect(read.faults.map(({ row, column }) => `${row} ${column}`)).toEqual([
      "3 kind",
      "4 name",
      "4 price",
      "4 outside",
      "5 number",
      "6 number",
    ]);
    expect(read.rows).toBe(5);
  });

  it("says which column is missing", () => {
    expect(readPartsCsv("name,kind\nx,washer\n", nothing).faults).toEqual([
      { row: 1, column: "number", message: expect.stringContaining("number") },
    ]);
  });

  // RFC 4180 section 2, its own example of a doubled quote and a break inside a field.
  it("reads quoted fields as RFC 4180 does", () => {
    const read = readPartsCsv('number,name,kind\r\nQ1,"b""bb","washer"\r\nQ2,"two\r\nlines",screw\r\n', nothing);
    expect(read.parts.map((part) => part.name)).toEqual(['b"bb', "two\r\nlines"]);
  });
});
