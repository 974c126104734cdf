import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fullFrom, invitationsOf, roomBelow, weeksAhead } from "./season";

const year = (spring: number, rest: number) => Array.from({ length: 364 }, (_, day) => (day >= 98 && day < 140 ? spring : rest));

describe("the season", () => {
  it("adds what comes in a week and what the bench has for it", () => {
    const weeks = weeksAhead(100, [...Array(14).fill(2)], 60, (ahead) => (ahead % 7 < 5 ? 300 : 0));
    expect(weeks).toEqual([
      { from: 100, coming: 840, bench: 1500 },
      { from: 107, coming: 840, bench: 1500 },
    ]);
  });

  it("asks reels due in the rush into empty weeks before it, spread over them, and leaves others alone", () => {
    const weeks = weeksAhead(0, year(5, 1), 60, () => 300);
    const due = [...Array.from({ length: 20 }, (_, i) => ({ reelId: i, due: 100 + i })), { reelId: 90, due: 60 }, { reelId: 91, due: 300 }];
    const invited = invitationsOf(due, weeks, 60);
    expect(invited.map(({ reelId }) => reelId).sort((a, b) => a - b)).toEqual(Array.from({ length: 20 }, (_, i) => i));
    for (const { week } of invited) expect(week).toBeLessThan(14);
    const perWeek = new Map<number, number>();
    for (const { week } of invited) perWeek.set(week, (perWeek.get(week) ?? 0) + 1);
    expect(Math.max(...perWeek.values())).toBeLessThanOrEqual(2);
  });

  it("never fills a week beyond its room by letters, and asks nobody into a week that is over or full", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ coming: fc.integer({ min: 0, max: 2000 }), bench: fc.integer({ min: 0, max: 2000 }) }), {
          minLength: 4,
          maxLength: 40,
        }),
        fc.array(fc.integer({ min: -50, max: 300 }), { maxLength: 40 }),
        (loads, days) => {
          const weeks = loads.map((load, i) => ({ from: 7 * i, ...load }));
          const invited = invitationsOf(
            days.map((due, reelId) => ({ reelId, due })),
            weeks,
            60,
          );
          for (const { week, reelId } of invited) {
            expect(week).toBeGreaterThanOrEqual(1);
            expect(weeks[week]!.coming / weeks[week]!.bench).toBeLessThan(roomBelow);
            const at = Math.floor(days[reelId]! / 7);
            if (at >= 1) expect(weeks[at]!.coming).toBeGreaterThanOrEqual(fullFrom * weeks[at]!.bench);
            if (at >= 1) expect(week).toBeLessThan(at);
          }
          expect(new Set(invited.map(({ reelId }) => reelId)).size).toBe(invited.length);
        },
      ),
    );
  });
});
