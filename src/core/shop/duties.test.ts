import { describe, expect, it } from "vitest";
import { storageOwed, termsWords, warrantyEnds } from "./duties";

describe("storage of a reel that nobody fetches", () => {
  const told = ["2026-03-01", "2026-03-15", "2026-04-01"];

  it("costs from the third reminder on, by whole weeks", () => {
    // 1 April to 22 April are three weeks, to 21 April two and six days.
    expect(storageOwed(told, "2026-04-22", 500)).toEqual({ since: "2026-04-01", weeks: 3, minor: 1500 });
    expect(storageOwed(told, "2026-04-21", 500)?.weeks).toBe(2);
    expect(storageOwed(told, "2026-04-01", 500)).toEqual({ since: "2026-04-01", weeks: 0, minor: 0 });
    expect(storageOwed([...told, "2026-05-01"], "2026-05-06", 500)?.weeks).toBe(5);
  });

  it("costs nothing before, or where the shop takes nothing", () => {
    expect(storageOwed(told.slice(1), "2026-12-01", 500)).toBeNull();
    expect(storageOwed(told, "2026-12-01", 0)).toBeNull();
    expect(storageOwed(told, "2026-03-20", 500)?.minor).toBe(0);
  });
});

it("the warranty of our work ends so many months after its return; without months there is none", () => {
  expect(warrantyEnds("2026-01-31", 6)).toBe("2026-07-31");
  expect(warrantyEnds("2026-08-31", 6)).toBe("2027-02-28");
  expect(warrantyEnds("2026-01-31", 0)).toBeNull();
});

it("the terms of the receipt are the shop's own words with what storage costs, and nothing where it wrote nothing", () => {
  const of = (counterTerms: string, storagePerWeekMinor: number, neverFetched: string) =>
    termsWords({ counterTerms, storagePerWeekMinor, neverFetched }, "2.00 EUR");
  expect(of("We ask first.", 200, "After a year it is sold.")).toBe(
    "We ask first. After the third reminder storage costs 2.00 EUR a week. After a year it is sold.",
  );
  expect(of("We ask first.", 0, "")).toBe("We ask first.");
  expect(of("", 0, "")).toBe("");
});
