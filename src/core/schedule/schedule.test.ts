import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { hangTags } from "./hang-tags";
import { nextToTakeDown, type RackJob, whoseMove } from "./whose-move";

describe("whose move", () => {
  it("is nobody's when ready, the customer's while unanswered, the supplier's while on order, else ours", () => {
    expect(whoseMove({ ready: true, waitsForAnswer: true, openNeeds: 2 })).toBe("shelf");
    expect(whoseMove({ ready: false, waitsForAnswer: true, openNeeds: 2 })).toBe("customer");
    expect(whoseMove({ ready: false, waitsForAnswer: false, openNeeds: 2 })).toBe("supplier");
    expect(whoseMove({ ready: false, waitsForAnswer: false, openNeeds: 0 })).toBe("ours");
  });
});

describe("the next reel to take down", () => {
  const job = (tag: string, promisedOn: string, minutesLeft: number, move: RackJob["move"] = "ours"): RackJob => ({
    tag,
    promisedOn,
    minutesLeft,
    move,
  });

  it("is the earliest due that is ours, the shorter of equals", () => {
    const jobs = [job("c", "2026-03-02", 10, "customer"), job("a", "2026-03-04", 50), job("b", "2026-03-04", 20)];
    const next = nextToTakeDown(jobs, "2026-03-03");
    expect(next?.job.tag).toBe("b");
    expect(next?.because).toContain("shortest of 2");
  });

  it("says when the day is past or today, and nothing when nothing is ours", () => {
    expect(nextToTakeDown([job("a", "2026-03-01", 5)], "2026-03-03")?.because).toContain("overdue");
    expect(nextToTakeDown([job("a", "2026-03-03", 5)], "2026-03-03")?.because).toContain("today");
    expect(nextToTakeDown([job("a", "2026-03-03", 5, "supplier")], "2026-03-03")).toBeNull();
  });

  // EDD (Jackson 1955), an instance of our own worked by hand: p 3 2 4 1 5, d 6 5 14 4 12 gives the order 4 2 1 5 3 and Lmax 1.
  it("takes Jackson's instance down in earliest-due-date order, with a largest lateness of 1", () => {
    const p = [3, 2, 4, 1, 5];
    const d = [6, 5, 14, 4, 12];
    let left = p.map((minutesLeft, i) => job(String(i + 1), `2026-03-${String(d[i]).padStart(2, "0")}`, minutesLeft));
    const order: number[] = [];
    let time = 0;
    let latest = Number.NEGATIVE_INFINITY;
    while (left.length) {
      const { job: next } = nextToTakeDown(left, "2026-03-01")!;
      order.push(Number(next.tag));
      time += next.minutesLeft;
      latest = Math.max(latest, time - d[Number(next.tag) - 1]!);
      left = left.filter((other) => other !== next);
    }
    expect([order, latest]).toEqual([[4, 2, 1, 5, 3], 1]);
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
