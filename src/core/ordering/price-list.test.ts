import { describe, expect, it } from "vitest";
import { guessPriceColumns, isJump, readPriceList } from "./price-list";

const catalogue = [
  { id: "a", number: "SK-104", name: "Washer", supersededBy: "" },
  { id: "b", number: "SK-213", name: "Dog", supersededBy: "SK-213A" },
  { id: "c", number: "SK-213A", name: "Dog, later", supersededBy: "" },
  { id: "d", number: "X-1", name: "One", supersededBy: "" },
  { id: "e", number: "X1", name: "Another", supersededBy: "" },
];
const read = (rows: readonly [string, string, string?][], now: [string, number][] = []) =>
  readPriceList(
    rows.map(([number, price, pack = ""]) => ({ number, price, pack })),
    catalogue,
    new Map(now),
  );

describe("a supplier's price list", () => {
  it("finds numbers however they are written, and leaves alone what reads like two", () => {
    expect(read([["sk 104", "3.40"]]).lines).toMatchObject([{ partTypeId: "a", priceMinor: 340, pack: 1 }]);
    expect(read([["X-1", "1"]]).lines[0]!.partTypeId).toBe("d");
    expect(read([["X 1", "1"]]).unknown).toEqual([{ row: 1, number: "X 1" }]);
    expect(read([["SK-999", "1"]]).unknown).toEqual([{ row: 1, number: "SK-999" }]);
  });

  it("puts the price of a superseded number to the part it is sold as, and says so", () => {
    expect(read([["SK-213", "EUR 4,20"]]).lines).toMatchObject([{ partTypeId: "c", under: "SK-213", priceMinor: 420 }]);
  });

  it("tells jumps of more than ten per cent a piece, packs counted", () => {
    const jump = (price: string, pack: string) => isJump(read([["SK-104", price, pack]], [["a", 100]]).lines[0]!);
    expect(jump("1.10", "")).toBe(false);
    expect(jump("1.11", "")).toBe(true);
    expect(jump("0.89", "")).toBe(true);
    expect(jump("10.00", "10")).toBe(false);
    expect(read([["SK-104", "9.00"]]).lines[0]!.change).toBeNull();
  });

  it("names each row that cannot be read, and takes the rest", () => {
    const { lines, faults } = read([
      ["SK-104", "on request"],
      ["SK-104", "3.40"],
      ["SK-213A", "1", "a bag"],
      ["sk104", "3.50"],
      ["", ""],
    ]);
    expect(lines.map(({ row }) => row)).toEqual([2]);
    expect(faults.map(({ row, message }) => [row, message])).toEqual([
      [1, '"on request" is no price.'],
      [3, '"a bag" is no number of pieces.'],
      [4, "It is already in row 2."],
    ]);
  });

  it("guesses its columns by their headings", () => {
    expect(guessPriceColumns(["Part no.", "Description", "Price EUR", "Pack"])).toEqual({ number: 0, price: 2, pack: 3 });
    expect(guessPriceColumns(["a", "b"])).toEqual({ number: -1, price: -1, pack: -1 });
  });
});
