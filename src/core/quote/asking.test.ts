import { describe, expect, it } from "vitest";
import { type Asking, readCodes, shortCodes } from "./asking";

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
