import { readdirSync, readFileSync } from "node:fs";
import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import {
  addDays,
  addMinutes,
  addMonths,
  dayNumber,
  dayOfNumber,
  daysBetween,
  daysPassed,
  daysPerMonth,
  daysPerYear,
  minutesPassed,
} from "./day";

describe("days", () => {
  // luxon as the independent calendar.
  it("counts as the calendar does, over leap years, centuries and the turn of a year", () => {
    for (const day of ["2024-02-28", "2023-12-31", "2100-02-28", "2000-02-29", "2026-11-30"])
      for (const by of [-400, -1, 0, 1, 2, 31, 366, 1461]) {
        const there = DateTime.fromISO(day, { zone: "utc" }).plus({ days: by }).toISODate()!;
        expect(addDays(day, by)).toBe(there);
        expect(daysBetween(day, there)).toBe(by);
      }
  });

  it("adds months to the same day, or to the last of a month that has none", () => {
    for (const day of ["2024-01-31", "2023-01-31", "2026-11-30", "2024-02-29", "2025-12-01"])
      for (const months of [0, 1, 2, 3, 6, 12, 13, 24])
        expect(addMonths(day, months), `${day} ${months}`).toBe(DateTime.fromISO(day, { zone: "utc" }).plus({ months }).toISODate());
    expect(addMonths("2026-01-31", 1)).toBe("2026-02-28");
  });

  it("takes a share of a month as its days", () => {
    // Half of 30.4 days.
    expect(addMonths("2026-06-01", 1.5)).toBe("2026-07-16");
    expect(addMonths("2026-06-01", 0.25)).toBe("2026-06-09");
  });

  it("knows the calendar's means: 146,097 days in 400 years (Gregorian rule)", () => {
    expect(daysPerYear).toBeCloseTo(365.2425, 6);
    expect(daysPerMonth).toBeCloseTo(30.436875, 6);
  });

  it("numbers days from a Monday, there and back", () => {
    expect(dayNumber("2000-01-03")).toBe(0);
    expect(DateTime.fromISO(dayOfNumber(7 * 1400)).weekday).toBe(1);
    for (const n of [-1, 0, 1, 9999]) expect(dayNumber(dayOfNumber(n))).toBe(n);
  });

  it("counts what went by between instants", () => {
    expect(minutesPassed("2026-03-01T10:00:00.000Z", "2026-03-01T11:30:00.000Z")).toBe(90);
    expect(daysPassed("2026-03-01T12:00:00.000Z", "2026-03-03T00:00:00.000Z")).toBe(1.5);
    expect(addMinutes("2026-12-31T23:50:00.000Z", 20)).toBe("2027-01-01T00:10:00.000Z");
  });
});

it("is the one place that counts milliseconds, days of a year and days of a month", () => {
  const files = ["core", "data", "ui", "app", "formats", "devices"].flatMap((floor) =>
    readdirSync(`src/${floor}`, { recursive: true, encoding: "utf8" })
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file) && `${floor}/${file}` !== "core/day/day.ts")
      .map((file) => `src/${floor}/${file}`),
  );
  const counts = /86_?400_?000|3_?600_?000|\/ 60_?000|\* 60_?000|365\.25|30\.44|\b1440\b/;
  expect(files.filter((file) => counts.test(readFileSync(file, "utf8")))).toEqual([]);
});
