import { describe, expect, it } from "vitest";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { partOfWords } from "./part-of-words";

describe("what a part is, by what a list calls it (common practice)", () => {
  it.each([
    ["Handle screw", "screw"],
    ["Screw, handle", "screw"],
    ["SCR M2.6x6", "screw"],
    ["Side plate screws (3)", "screw"],
    ["Drag knob spring", "coil-spring"],
    ["Click spring", "wire-spring"],
    ["Ball bearing 5x11x4", "bearing"],
    ["Spool brg", "bearing"],
    ["One-way clutch bearing", "roller-clutch"],
    ["Carbon drag washers", "friction-washer"],
    ["Key washer", "keyed-washer"],
    ["Spool shaft", "shaft"],
    ["O-Ring, drag knob", "o-ring"],
    ["Pinion gear", "pinion"],
    ["Main gear", "gear"],
    ["Handle nut", "nut"],
    ["Knob, handle", "knob"],
    ["Side cover", "cover"],
    ["Worm shaft", "worm"],
    ["Washers", "washer"],
    ["A/R dog", "dog"],
  ] as const)("%s is a %s", (words, kind) => {
    expect(partOfWords(words).kind).toBe(kind satisfies PartKind);
  });

  it("is left open where the words say nothing", () => {
    for (const words of ["Assembly 4", "Ersatzteil", "", "12", "Kit A"])
      expect(partOfWords(words)).toMatchObject({ kind: "unsorted", sized: false });
  });

  it("has the size that stands in its words, and its kind's usual one where none does", () => {
    expect(partOfWords("Bearing 11x5x4 shielded").shape).toMatchObject({ boreMm: 5, outsideMm: 11, widthMm: 4 });
    expect(partOfWords("Bearing 3 × 10 × 4").sized).toBe(true);
    expect(partOfWords("Screw M2,6x6").shape).toMatchObject({ threadMm: 2.6, lengthMm: 6 });
    expect(partOfWords("Washer 12 x 6,2 x 0.5").shape).toMatchObject({ outsideMm: 12, insideMm: 6.2, thicknessMm: 0.5 });
    expect(partOfWords("O-ring 14*1.5").shape).toMatchObject({ outsideMm: 14, sectionMm: 1.5 });
    expect(partOfWords("Bearing").sized).toBe(false);
    // A size that its kind cannot have is none.
    expect(partOfWords("Bearing 5x5x4").sized).toBe(false);
    expect(partOfWords("Screw 40x6").sized).toBe(false);
  });

  it("knows every kind of part by its own name", () => {
    const lost = (Object.keys(kindWords) as PartKind[]).filter(
      (kind) => kind !== "unsorted" && partOfWords(kindWords[kind]).kind === "unsorted",
    );
    expect(lost).toEqual([]);
  });
});
