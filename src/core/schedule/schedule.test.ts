import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { hangTags } from "./hang-tags";
import { whoseMove } from "./whose-move";

describe("whose move", () => {
  it("is nobody's when ready, the customer's while unanswered, the supplier's while on order, else ours", () => {
    expect(whoseMove({ ready: true, waitsForAnswer: true, openNeeds: 2 })).toBe("shelf");
    expect(whoseMove({ ready: false, waitsForAnswer: true, openNeeds: 2 })).toBe("customer");
    expect(whoseMove({ ready: false, waitsForAnswer: false, openNeeds: 2 })).toBe("supplier");
    expect(whoseMove({ ready: false, waitsForAnswer: false, openNeeds: 0 })).toBe("ours");
  });
});

describe("hanging tags on the rail", () => {
  const days = ["2026-03-02", "2026-03-03"];
  it("hangs each to scale, one below the other, and what is past under the first day", () => {
    const [first, second] = hangTags(
      [
        { tag: "late", promisedOn: "2026-02-20", minutesLeft: 90 },
        { tag: "a", promisedOn: "2026-03-02", minutesLeft: 60 },
        { tag: "b", promisedOn: "2026-03-03", minutesLeft: 10 },
      ],
      days,
      360,
      30,
    );
    expect(first?.tags.map((t) => [t.tag, t.fromMinutes, t.lengthMinutes])).toEqual([
      ["late", 0, 90],
      ["a", 90, 60],
    ]);
    expect(second?.tags[0]?.lengthMinutes).toBe(30);
  });

  it("never hangs below the foot of the day, keeps the order, and overlaps exactly when over-promised", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 1, maxLength: 12 }), (minutes) => {
        const [day] = hangTags(
          minutes.map((minutesLeft, i) => ({ tag: String(i), promisedOn: days[0]!, minutesLeft })),
          days,
          360,
          40,
        );
        const tags = day!.tags;
        for (const tag of tags) expect(tag.fromMinutes + tag.lengthMinutes).toBeLessThanOrEqual(360 + 1e-6);
        for (let i = 1; i < tags.length; i++) expect(tags[i]!.fromMinutes).toBeGreaterThanOrEqual(tags[i - 1]!.fromMinutes);
        const drawn = tags.reduce((sum, tag) => sum + tag.lengthMinutes, 0);
        const overlaps = tags.some((tag, i) => i > 0 && tag.fromMinutes < tags[i - 1]!.fromMinutes + tags[i - 1]!.lengthMinutes - 1e-6);
        expect(overlaps).toBe(drawn > 360);
      }),
    );
  });
});
