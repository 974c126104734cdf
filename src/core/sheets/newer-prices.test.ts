import { describe, expect, it } from "vitest";
import type { SheetRow } from "./kept-sheet";
import { successorIn } from "./list-fields";
import { newerPrices } from "./newer-prices";

const row = (number: string, priceMinor: number | null, more: Partial<SheetRow> = {}): SheetRow => ({
  ...{ callout: "", number, description: "A part", quantity: 1, priceMinor, page: 1, box: null, mark: null, seats: [], doubts: [] },
  ...{ confirmed: false },
  ...more,
});
const catalogue = new Map(
  [
    { id: "nut", number: "KR-1", name: "Handle nut", priceMinor: 250 },
    { id: "star", number: "KR-2", name: "Star", priceMinor: 980 },
    { id: "star-new", number: "KR-2A", name: "Star, new", priceMinor: 1100 },
    { id: "dog", number: "KR-3", name: "Dog", priceMinor: 400, supersededBy: "KR-2A" },
  ].map((part) => [part.number, part]),
);
const against = (rows: readonly SheetRow[]) => newerPrices(rows, (number) => catalogue.get(number.toUpperCase()) ?? null);

describe("a newer price list", () => {
  it("changes amounts of parts that are known, and names what it does not know", () => {
    const { changed, same, unknown } = against([row("KR-1", 275), row("kr-2", 980), row("ZZ-9", 100)]);
    expect(changed).toEqual([{ id: "nut", number: "KR-1", name: "Handle nut", wasMinor: 250, isMinor: 275, supersededBy: null }]);
    expect([same, unknown]).toEqual([1, ["ZZ-9"]]);
  });

  it("takes a number that follows another where the catalogue has it, and leaves what followed before", () => {
    const { changed } = against([row("KR-2", null, { successor: "KR-2A" }), row("KR-1", 250, { successor: "QQ-1" }), row("KR-3", 400)]);
    expect(changed).toMatchObject([{ id: "star", wasMinor: 980, isMinor: 980, supersededBy: "KR-2A" }]);
  });

  it("leaves out what is in doubt until somebody has looked; a doubt about a seat is none about a price", () => {
    const unsure = { doubts: [{ field: "price" as const, why: "is hard to read" }] };
    expect(against([row("KR-1", 275, unsure)])).toMatchObject({ changed: [], doubtful: 1 });
    expect(against([row("KR-1", 275, { ...unsure, confirmed: true })]).changed).toHaveLength(1);
    expect(against([row("KR-1", 275, { doubts: [{ field: "seat", why: "is no seat" }] })]).changed).toHaveLength(1);
  });

  it("finds the number that follows in the words lists use, and no other word", () => {
    const words = ["superseded by KR-2A", "superseded b y KR-2A", "Replaced by kr-77", "now KR-5", "now sold as KR/9"];
    expect(words.map(successorIn)).toEqual(["KR-2A", "KR-2A", "KR-77", "KR-5", "KR/9"]);
    expect(["use with KR-5", "use KR-5", "see KR-5", "now out of stock", "5×11×4"].map(successorIn)).toEqual(["", "", "", "", ""]);
  });
});
