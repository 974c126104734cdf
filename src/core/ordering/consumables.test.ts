import { describe, expect, it } from "vitest";
import { consumables, onceTakes, timesUsed, tinState, weeksWords } from "./consumables";

describe("what is used without counting", () => {
  it("is drops, dabs and one bath a cleaner, whatever lay in it", () => {
    const used = timesUsed(
      [
        { product: "light oil", drops: 5, dabs: 0 },
        { product: "reel grease", drops: 0, dabs: 8 },
        { product: "nothing", drops: 0, dabs: 0 },
      ],
      ["degreaser", "brush", "bearings", "wipe"],
    );
    expect(Object.fromEntries(used)).toEqual({ "light oil": 5, "reel grease": 8, degreaser: 1, "bearing cleaner": 1 });
  });

  it("goes by the rule until a tin was emptied, and then more and more by the hand", () => {
    const rule = consumables["light oil"].once;
    expect(onceTakes("light oil", [])).toBe(rule);
    expect(onceTakes("light oil", [{ holds: 30, times: 0 }])).toBe(rule);
    // A heavy hand: thirty millilitres in 500 drops are 0.06 each.
    const heavy = { holds: 30, times: 500 };
    const once = onceTakes("light oil", [heavy]);
    expect(once).toBeGreaterThan(rule);
    expect(once).toBeLessThan(0.06);
    expect(onceTakes("light oil", Array(40).fill(heavy))).toBeCloseTo(0.06, 2);
    // The rule itself, emptied: unchanged.
    expect(onceTakes("light oil", [{ holds: 30, times: 1000 }])).toBeCloseTo(rule, 12);
  });

  it("says what is left, for how long, and whether it spoils before", () => {
    // 30 ml less 400 drops of 0.03: 18 ml; at 100 drops a week six weeks.
    expect(tinState({ holds: 30, once: 0.03 }, 400, 100, null)).toEqual({ left: 18, share: 0.6, weeks: 6, spoils: false });
    expect(tinState({ holds: 30, once: 0.03 }, 400, 100, 40).spoils).toBe(true);
    expect(tinState({ holds: 30, once: 0.03 }, 400, 100, 43).spoils).toBe(false);
    expect(tinState({ holds: 30, once: 0.03 }, 2000, 100, -1)).toMatchObject({ left: 0, weeks: 0, spoils: true });
    expect(tinState({ holds: 30, once: 0.03 }, 0, 0, null).weeks).toBeNull();
    expect([null, 0.4, 1.2, 3.1, 20, 400].map(weeksWords)).toEqual([
      "not used lately",
      "less than a week left",
      "1 week left",
      "3 weeks left",
      "5 months left",
      "lasts for years",
    ]);
  });
});
