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

  it("hangs none over another and none too short to be read, in order; to scale where the day holds them, else shorter and never past its foot for length", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 1, maxLength: 14 }), (minutes) => {
        const [day] = hangTags(
          minutes.map((minutesLeft, i) => ({ tag: String(i), promisedOn: days[0]!, minutesLeft })),
          days,
          360,
          60,
        );
        const tags = day!.tags;
        const ends = tags.map(({ fromMinutes, lengthMinutes }) => fromMinutes + lengthMinutes);
        tags.forEach(({ tag, fromMinutes, lengthMinutes }, i) => {
          expect(tag).toBe(String(i));
          expect(fromMinutes).toBeCloseTo(ends[i - 1] ?? 0, 6);
          expect(lengthMinutes).toBeGreaterThanOrEqual(60);
        });
        const wanted = minutes.map((left) => Math.min(360, Math.max(60, left)));
        if (wanted.reduce((sum, one) => sum + one, 0) <= 360) expect(tags.map(({ lengthMinutes }) => lengthMinutes)).toEqual(wanted);
        else expect(ends.at(-1)).toBeCloseTo(Math.max(360, 60 * minutes.length), 6);
        expect(day!.footMinutes).toBeCloseTo(Math.max(360, ends.at(-1)!), 6);
        expect(day!.overMinutes).toBe(Math.max(0, minutes.reduce((sum, one) => sum + one, 0) - 360));
      }),
    );
  });
});
