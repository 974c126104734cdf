import { describe, expect, it } from "vitest";
import { binLabelText, byWay, partOfBinLabel } from "./bin-label";

describe("a bin's label", () => {
  it("comes back from a scanner as its part, whatever its case, and nothing else does", () => {
    expect(partOfBinLabel(binLabelText("SK-221"))).toBe("SK-221");
    expect(partOfBinLabel("bin:sk-221\n")).toBe("sk-221");
    for (const other of ["Z-00572-4", "BIN:", "cabin:3", ""]) expect(partOfBinLabel(other), other).toBeNull();
  });
  it("stands on the way along the shelves: 2 before 10", () => {
    expect(byWay(["A10", "B1", "a2", "A1"].map((bin) => ({ bin }))).map(({ bin }) => bin)).toEqual(["A1", "a2", "A10", "B1"]);
  });
});
