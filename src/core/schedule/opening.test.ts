import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import { openDayFrom, weekdayOf, whyShut } from "./opening";

const week = { openOn: [1, 2, 3, 4, 5], shut: [{ from: "2026-12-24", to: "2027-01-03", words: "the holidays" }] };

describe("the shop's days", () => {
  it("counts weekdays as the calendar does", () => {
    // luxon's ISO weekdays as the independent counter.
    for (let day = DateTime.utc(2024, 2, 25); day.year < 2029; day = day.plus({ days: 13 }))
      expect(weekdayOf(day.toISODate()!)).toBe(day.weekday);
  });

  it("is shut on the days of the week it says, and through its holidays to their last day", () => {
    expect(whyShut(week, "2026-11-27")).toBeNull();
    expect(whyShut(week, "2026-11-28")).toBe("shut on Saturdays");
    expect(whyShut(week, "2026-12-23")).toBeNull();
    expect(whyShut(week, "2026-12-24")).toBe("the holidays");
    expect(whyShut(week, "2027-01-03")).toBe("the holidays");
  });

  it("finds the next day somebody works, across a holiday and the weekend after it", () => {
    expect(openDayFrom(week, "2026-11-28")).toBe("2026-11-30");
    expect(openDayFrom(week, "2026-12-24")).toBe("2027-01-04");
    expect(openDayFrom(week, "2026-11-26")).toBe("2026-11-26");
    expect(openDayFrom({ openOn: [], shut: [] }, "2026-11-26")).toBe("2026-11-26");
  });
});
