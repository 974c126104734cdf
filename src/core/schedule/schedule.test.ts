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
      { shortestMinutes: 30, seenMinutes: 10 },
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
          { shortestMinutes: 40, seenMinutes: 25 },
        );
        const tags = day!.tags;
        for (const tag of tags) expect(tag.fromMinutes + tag.lengthMinutes).toBeLessThanOrEqual(360 + 1e-6);
        for (let i = 1; i < tags.length; i++) expect(tags[i]!.fromMinutes).toBeGreaterThanOrEqual(tags[i - 1]!.fromMinutes);
        const drawn = minutes.reduce((sum, left) => sum + Math.min(360, Math.max(40, left)), 0);
        const overlaps = tags.some((tag, i) => i > 0 && tag.fromMinutes < tags[i - 1]!.fromMinutes + tags[i - 1]!.lengthMinutes - 1e-6);
        expect(overlaps).toBe(drawn > 360);
      }),
    );
  });

  it("leaves the beginning of every tag in sight, also of the one above a lot as long as the day and of more than a day can hold", () => {
    const seen = (minutes: readonly number[]) => {
      const [day] = hangTags(
        minutes.map((minutesLeft, i) => ({ tag: String(i), promisedOn: days[0]!, minutesLeft })),
        days,
        360,
        { shortestMinutes: 60, seenMinutes: 25 },
      );
      return day!.tags.map(({ inSightMinutes }) => inSightMinutes);
    };
    expect(Math.min(...seen([46, 440]))).toBe(25);
    expect(Math.min(...seen([440, 46]))).toBeGreaterThanOrEqual(25);
    expect(Math.min(...seen([100, 440, 440, 20, 360]))).toBeGreaterThanOrEqual(25);
    // Thirteen share what there is: twelve strips above a whole one.
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 14, maxLength: 40 }), (minutes) => {
        expect(Math.min(...seen(minutes))).toBeCloseTo(300 / (minutes.length - 1), 6);
      }),
    );
  });
});
