import { describe, expect, it } from "vitest";
import { type Asking, readCodes, saidYes, shortCodes } from "./asking";
import { letterText } from "./asking-letter";

describe("short codes", () => {
  it("are never one misheard sign, or two swapped, from another of the same letter", () => {
    for (let first = 0; first < 19; first++) {
      const codes = shortCodes(first, 19);
      expect(new Set(codes).size).toBe(19);
      for (const a of codes)
        for (const b of codes)
          if (a !== b) {
            expect([...a].filter((sign, i) => sign !== b[i]).length, `${a} ${b}`).toBeGreaterThanOrEqual(2);
            expect(a[0]! + a[2]! + a[1]!, `${a} ${b}`).not.toBe(b);
          }
    }
    expect(() => shortCodes(0, 20)).toThrow(RangeError);
  });

  it("are read out of what somebody wrote, and a slip is told", () => {
    const [q, a, b] = shortCodes(4, 3) as [string, string, string];
    const asking: Asking = {
      options: [{ option: "quoted", code: q, words: "As quoted", totalMinor: 100 }],
      lines: [
        { code: a, kind: "part", ref: "star", words: "Star", priceMinor: 10 },
        { code: b, kind: "fault", ref: "drag-worn", words: "Drag", priceMinor: 20 },
      ],
      fixed: [],
      currency: "EUR",
      valueMinor: null,
    };
    expect(readCodes(asking, `Yes please: ${a.toLowerCase()}, ${b}. Thanks`)).toEqual({
      option: null,
      lines: ["star", "drag-worn"],
      strange: [],
    });
    expect(readCodes(asking, q)).toMatchObject({ option: "quoted" });
    const slip = `${a[0]}${a[1]}${a[2] === "B" ? "C" : "B"}`;
    expect(readCodes(asking, slip).strange).toEqual([slip]);
  });
});

describe("what a customer said yes to", () => {
  const [q, u, n, a, b, c] = shortCodes(4, 6) as [string, string, string, string, string, string];
  const asking: Asking = {
    options: [
      { option: "as-is", code: n, words: "As it is", totalMinor: 0 },
      { option: "quoted", code: q, words: "As quoted", totalMinor: 11_450 },
      { option: "upgrade", code: u, words: "With better parts", totalMinor: 15_000 },
    ],
    lines: [
      { code: a, kind: "part", ref: "star", words: "Star", priceMinor: 1000 },
      { code: "", kind: "fault", ref: "drag-worn", words: "Drag", priceMinor: 2000 },
      { code: b, kind: "extra", ref: "7", words: "Postage", priceMinor: 600 },
      { code: c, kind: "upgrade", ref: "head-bearing", words: "Ceramic", priceMinor: 3000 },
    ],
    fixed: [{ words: "Full service", priceMinor: 8900 }],
    currency: "EUR",
    valueMinor: null,
  };
  const yes = (text: string) => saidYes(asking, readCodes(asking, text));
  it("is all of an option, its better parts only where those were chosen", () => {
    expect(yes(q)).toEqual({ option: "quoted", yes: ["star", "drag-worn", "7"] });
    expect(yes(u)).toEqual({ option: "upgrade", yes: ["star", "drag-worn", "7", "head-bearing"] });
    expect(yes(n)).toEqual({ option: "as-is", yes: [] });
    expect(yes(`${n} ${a}`)).toEqual({ option: "as-is", yes: [] });
  });
  it("is just the lines that were named, with those nobody could name", () => {
    expect(yes(a)).toEqual({ option: "quoted", yes: ["star", "drag-worn"] });
    expect(yes(`${b}, ${c}`)).toEqual({ option: "upgrade", yes: ["7", "head-bearing", "drag-worn"] });
    expect(yes(`${q} without the rest, ${a}`)).toEqual({ option: "quoted", yes: ["star", "drag-worn"] });
  });
  it("is nothing where nothing was named, or something that is no code of this letter", () => {
    expect(yes("go ahead please")).toBeNull();
    expect(saidYes(asking, { option: "quoted", lines: [], strange: ["BBB"] })).toBeNull();
  });
  it("stands in the letter, each code beside its words and its sum, and the link only where there is one", () => {
    const letter = { shopName: "The Sail Loft", owner: "Maren Quist", reel: "Skerry 30", asked: asking, until: "12 March" };
    const text = letterText({ ...letter, link: null });
    expect(text).toContain(`${q}   As quoted: 114.50 EUR, tax included`);
    expect(text).toContain(`${a}   Star: 10.00 EUR`);
    expect(text).toContain("      Drag: 20.00 EUR");
    expect(text).toContain(`${c}   Ceramic (better part): 30.00 EUR`);
    expect(text).toContain("Full service: 89.00 EUR");
    expect(text).toContain("by 12 March");
    expect(text).not.toContain("Or answer here");
    expect(letterText({ ...letter, link: "https://loft.example/q/x" })).toContain("Or answer here: https://loft.example/q/x");
  });
});
