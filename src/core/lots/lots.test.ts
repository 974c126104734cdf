import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lotNeed } from "./lot-need";
import { checkLotRows, filledDown, type LotRow, readComplaint, readDepth, readDragWish } from "./lot-rows";

const row = (serial: string, more: Partial<LotRow> = {}): LotRow => ({
  serial,
  mark: "",
  complaint: "",
  condition: "",
  depth: "",
  drag: "",
  ...more,
});

describe("the grid of a lot", () => {
  it("names each fault by row and column and passes blank rows over", () => {
    const faults = checkLotRows([row("A 1"), row(""), row("a-1"), row("B?"), row("", { mark: "boat 4" }), row("", { complaint: "stiff" })]);
    expect(faults.map(({ row: r, column, message }) => `${r} ${column} ${message.slice(0, 14)}`)).toEqual([
      "3 serial Same as row 1.",
      "4 serial A serial has l",
      "6 serial A serial or a ",
    ]);
  });

  it("reads how deep and how the drag of one reel by the first word or the whole, in any case; what it cannot read is marked", () => {
    expect(["", "FULL", "quick service", "outside", "ten-minute round", "opening only"].map(readDepth)).toEqual([
      "",
      "full",
      "quick",
      "light",
      "round",
      "opening",
    ]);
    expect(["dry", "Greased: smooth start", ""].map(readDragWish)).toEqual(["dry", "greased", ""]);
    expect(checkLotRows([row("A 1", { depth: "deep" }), row("A 2", { drag: "wet" })]).map(({ row: r, column }) => [r, column])).toEqual([
      [1, "depth"],
      [2, "drag"],
    ]);
  });

  it("fills a cell down to the last reel below, or the grid's end where none stands there; serials and marks count on", () => {
    const grid = [row("LF 0998", { mark: "boat 9" }), row(""), row(""), row("")];
    expect(filledDown(grid, { row: 0, column: "serial" }).map(({ serial }) => serial)).toEqual([
      "LF 0998",
      "LF 0999",
      "LF 1000",
      "LF 1001",
    ]);
    expect(filledDown(grid, { row: 0, column: "mark" }).map(({ mark }) => mark)).toEqual(["boat 9", "boat 10", "boat 11", "boat 12"]);
    const three = [row("A", { complaint: "stiff" }), row("B"), row("C"), row("")];
    expect(filledDown(three, { row: 0, column: "complaint" }).map(({ complaint }) => complaint)).toEqual(["stiff", "stiff", "stiff", ""]);
    expect(filledDown([row("no number"), row("")], { row: 0, column: "serial" })[1]!.serial).toBe("no number");
  });

  it("reads a complaint as the counter's ticks where it is one, and keeps the rest in words", () => {
    expect(readComplaint("Drag weak, star loose / STIFF")).toEqual({ ticked: ["drag-weak", "stiff"], words: "star loose" });
    expect(readComplaint("stiff to turn; stiff to turn")).toEqual({ ticked: ["stiff"], words: "" });
    expect(readComplaint("  ")).toEqual({ ticked: ["service"], words: "" });
  });
});

describe("what the rest of a lot will want", () => {
  it("is the beta-binomial's mean, worked by hand: prior 0.5 worth 4, five of five seen, ten left", () => {
    // Beta(7, 2): mean 7/9 of ten.
    expect(lotNeed(0.5, { proved: 5, settled: 5 }, 10).mean).toBeCloseTo(70 / 9, 12);
    // A flat prior, Beta(1, 1), nothing seen: every number from 0 to 9 is as likely (Laplace's rule), so 0.1 and 0.9 cut at 0 and 8.
    expect(lotNeed(0.5, { proved: 0, settled: 0 }, 9, 2)).toEqual({ mean: 4.5, low: 0, high: 8 });
  });

  it("narrows with what is opened, stays within the rest, and rises with what is proved", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.9, noNaN: true }), fc.nat(20), fc.nat(20), fc.nat(60), (prior, proved, ruledOut, rest) => {
        const need = lotNeed(prior, { proved, settled: proved + ruledOut }, rest);
        expect(need.low).toBeGreaterThanOrEqual(0);
        expect(need.high).toBeLessThanOrEqual(rest);
        expect(need.low).toBeLessThanOrEqual(need.high);
        expect(lotNeed(prior, { proved: proved + 1, settled: proved + ruledOut + 1 }, rest).mean).toBeGreaterThanOrEqual(need.mean);
      }),
    );
    const width = (settled: number) => {
      const { low, high } = lotNeed(0.5, { proved: settled / 2, settled }, 20);
      return high - low;
    };
    expect(width(40)).toBeLessThan(width(4));
  });

  it("refuses counts that cannot be", () => {
    for (const bad of [
      () => lotNeed(0, { proved: 0, settled: 0 }, 3),
      () => lotNeed(0.5, { proved: 2, settled: 1 }, 3),
      () => lotNeed(0.5, { proved: 0, settled: 0 }, 1.5),
    ])
      expect(bad).toThrow(RangeError);
  });
});
