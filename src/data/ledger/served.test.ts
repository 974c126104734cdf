import { describe, expect, it } from "vitest";
import { openWorkshop, reportDates } from "#tests/workshop";
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
    const dates = (id: number) => serviceDates(shop.db, findJob(shop.db, id)!, reportDates);
    const first = shop.open({ serial: "D1", kind: "service", depth: "light" });
    expect(dates(first).due.map(({ id, on }) => [id, on])).toEqual([["outside", expect.stringContaining("in ")]]);
    expect(dates(first)).toMatchObject({ notServed: ["Drag"], nextService: expect.stringContaining("not opened in whole here yet") });
    close(first, "2025-03-01");

    const all = shop.open({ serial: "D1", kind: "service", depth: "full" });
    const seats = shop.db
      .prepare("SELECT id FROM position WHERE model_version_id = (SELECT model_version_id FROM job WHERE id = ?)")
      .pluck()
      .all(all) as string[];
    for (const id of seats) takeParts(shop.ctx, all, [id]);
    expect(dates(all)).toMatchObject({ notServed: [], nextService: expect.stringContaining("in 12 months") });
    close(all, "2025-09-01");

    // A quick visit half a year later moves the outside on, and neither the drag nor the whole.
    const quick = shop.open({ serial: "D1", kind: "service", depth: "light" });
    const due = new Map(dates(quick).due.map(({ id, on }) => [id, on]));
    expect(due.get("drag")).toBe("12 months from 2025-09-01");
    expect(due.get("outside")).toMatch(/^in /);
    expect(dates(quick).nextService).toContain("12 months from 2025-09-01");
  });
});
