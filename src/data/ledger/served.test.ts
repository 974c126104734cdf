import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { addDays } from "@/core/day/day";
import { takeParts } from "@/data/bench/tray";
import { findJob } from "@/data/jobs/jobs";
import { serviceDates } from "./served";

describe("what is due next", () => {
  it("counts each component from the visit that served it, and names those nobody has", () => {
    const shop = openWorkshop();
    const close = (id: number, on: string) =>
      shop.db
        .prepare("UPDATE job SET station = 'closed', closed_at = ?, opened_at = ? WHERE id = ?")
        .run(`${on}T09:00:00.000Z`, `${on}T08:00:00.000Z`, id);
    const from = (day: string, months: number) => addDays(day.slice(0, 10), Math.round(months * 30));
    const dates = (id: number) =>
      serviceDates(shop.db, findJob(shop.db, id)!, { after: (months) => from("2026-03-02", months), from, words: (day) => day });
    const first = shop.open({ serial: "D1", kind: "service", depth: "light" });
    // Three trips of twenty a year: 1.8 months, 54 days of this test.
    expect(dates(first).due.map(({ id, on }) => [id, on])).toEqual([["outside", "2026-04-25"]]);
    expect(dates(first)).toMatchObject({ notServed: ["Drag"], nextService: expect.stringContaining("never fully stripped here") });
    close(first, "2025-03-01");

    const all = shop.open({ serial: "D1", kind: "service", depth: "full" });
    const seats = shop.db
      .prepare("SELECT id FROM position WHERE model_version_id = (SELECT model_version_id FROM job WHERE id = ?)")
      .pluck()
      .all(all) as string[];
    for (const id of seats) takeParts(shop.ctx, all, [id]);
    expect(dates(all)).toMatchObject({ notServed: [], nextService: expect.stringContaining("2027-02-25") });
    // With the whole reel its drag is done: it is not due on the same day by itself.
    expect(dates(all).due.map(({ id }) => id)).toEqual(["outside", "whole"]);
    close(all, "2025-09-01");

    // A quick visit half a year later moves the outside on, and neither the drag nor the whole.
    const quick = shop.open({ serial: "D1", kind: "service", depth: "light" });
    const due = new Map(dates(quick).due.map(({ id, on }) => [id, on]));
    expect(due.get("outside")).toBe("2026-04-25");
    expect(dates(quick).nextService).toContain("2026-08-27");
  });
});
