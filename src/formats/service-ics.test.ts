import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { serviceCalendar } from "./service-ics";

const report = {
  tag: "Z-00007-6",
  reel: "Marrowby Skerry 30; boat, two",
  serial: "MS30 1",
  shopName: "The Bench, at the quay",
  due: [
    {
      id: "outside",
      component: "Outside",
      what: "quick clean, a drop at the knob",
      on: "2026-12-05",
      because: "rule of thumb: every third trip in salt",
      byOwner: true,
    },
    { id: "whole", component: "Whole reel", what: "full service", on: "2027-11-25", because: "salt water", byOwner: false },
  ],
};
const text = serviceCalendar(report, "2026-11-25T10:00:00.000Z");

// Read by another program's parser (ical.js), after RFC 5545.
describe("the service dates as a calendar", () => {
  const calendar = new ICAL.Component(ICAL.parse(text));
  const events = calendar.getAllSubcomponents("vevent").map((component) => new ICAL.Event(component));

  it("is a calendar of version 2.0 with one whole-day event a component", () => {
    expect(calendar.getFirstPropertyValue("version")).toBe("2.0");
    expect(calendar.getFirstPropertyValue("prodid")).toMatch(/Zorbek/);
    expect(events.map(({ summary, startDate }) => [summary, startDate.isDate, startDate.toString()])).toEqual([
      ["Marrowby Skerry 30; boat, two: Outside", true, "2026-12-05"],
      ["Marrowby Skerry 30; boat, two: Whole reel", true, "2027-11-25"],
    ]);
  });

  it("says what to do, who does it, and on what its date stands", () => {
    expect(events[0]!.description).toMatch(/quick clean.*yourself.*rule of thumb: every third trip.*Z-00007-6/s);
    expect(events[1]!.description).toContain("at The Bench, at the quay");
  });

  it("has an id that stays the same, so that a newer file replaces the dates", () => {
    expect(events.map(({ uid }) => uid)).toEqual(["Z-00007-6-outside@zorbek.invalid", "Z-00007-6-whole@zorbek.invalid"]);
    expect(serviceCalendar(report, "2026-11-25T10:00:00.000Z")).toBe(text);
  });

  it("reminds a week before", () => {
    const alarm = calendar.getFirstSubcomponent("vevent")!.getFirstSubcomponent("valarm")!;
    expect(String(alarm.getFirstPropertyValue("trigger"))).toBe("-P7D");
  });

  it("has what the standard asks of every event, once (RFC 5545, 3.6.1), and an end that is not its own first day", () => {
    const unfolded = text.replace(/\r\n[ \t]/g, "");
    for (const event of unfolded.split("BEGIN:VEVENT").slice(1))
      for (const property of ["UID:", "DTSTAMP:", "DTSTART;VALUE=DATE:"]) expect(event.split(`\r\n${property}`).length, property).toBe(2);
    expect(unfolded).toContain("Skerry 30\\; boat\\, two");
  });

  it("folds its lines at 75 octets and ends them as the standard says", () => {
    for (const line of text.split("\r\n")) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text.includes("\n") && !/[^\r]\n/.test(text)).toBe(true);
  });
});
