import { describe, expect, it } from "vitest";
import { intake, openWorkshop } from "#tests/workshop";
import { addDays } from "@/core/day/day";
import { openJob } from "@/data/counter/open-job";
import { findJob } from "@/data/jobs/jobs";
import { dueOfComponent, endsOfComponent } from "./lives";
import { lastServed, serviceDates } from "./served";

describe("when a component is due, by this shop's own reels", () => {
  it("is the rule of thumb in a shop that has handed nothing back, and nothing where no end can be seen", () => {
    const { db } = openWorkshop();
    const of = { modelId: "skerry-30", family: "star-drag-bridge", water: "salt", tripsPerYear: 24 };
    const due = dueOfComponent(db, "2026-03-02", "drag", of, 12)!;
    expect(due.months).toBeCloseTo(12, 1);
    expect(due.ended).toBe(0);
    expect(dueOfComponent(db, "2026-03-02", "outside", of, 1)).toBeNull();
    expect(Object.keys(endsOfComponent)).toContain("drag");
  });
});

describe("next dates", () => {
  it("are rules of thumb until enough reels like it have shown their end, and then say how many they stand on", () => {
    const shop = openWorkshop();
    const { db } = shop;
    const at = (day: number) => ({ ...shop.ctx, now: new Date(Date.UTC(2022, 0, 3, 9) + day * 86_400_000).toISOString() });
    /** A visit on which the drag is found worn. */
    const visit = (serial: string, day: number): number => {
      const ctx = at(day);
      const { id } = openJob(ctx, {
        customer: { id: shop.customerId },
        modelId: "skerry-30",
        serial,
        hand: "right",
        complaint: "",
        intake: intake({ tripsPerYear: 20 }),
        brought: [],
        limitMinor: 100_000,
        wantedOn: null,
        promisedOn: "2022-02-01",
      });
      db.prepare("INSERT INTO job_fault (job_id, fault_id, at, outcome) VALUES (?, 'drag-worn', ?, 'watch')").run(id, ctx.now);
      db.prepare("UPDATE job SET station = 'closed', closed_at = ?, final_total_minor = 0 WHERE id = ?").run(ctx.now, id);
      return id;
    };
    // Twelve reels whose drags last three years each, far beyond the rule of thumb.
    let firstOfLast = 0;
    for (let reel = 0; reel < 12; reel++)
      for (let n = 0; n < 2; n++) {
        const id = visit(`R${reel}`, 10 + reel + 1100 * n);
        if (n === 0) firstOfLast = id;
      }
    const due = dueOfComponent(
      db,
      at(1300).now.slice(0, 10),
      "drag",
      { modelId: "skerry-30", family: "star-drag-bridge", water: "salt", tripsPerYear: 20 },
      12,
    )!;
    expect(due.ended).toBe(12);
    expect(due.reels).toBeGreaterThanOrEqual(12);
    expect(due.months).toBeGreaterThan(18);
    expect(due.low).toBeGreaterThan(20);
    const from = (day: string, months: number) => addDays(day.slice(0, 10), Math.round(months * 30));
    const dates = { after: (months: number) => from("2026-01-01", months), from, words: (day: string) => day };
    const last = findJob(db, visit("R3", 1300))!;
    expect(serviceDates(db, last, dates).due.find(({ id }) => id === "outside")?.because).toMatch(/^rule of thumb/);
    expect(lastServed(db, last.reel.id).find(({ id }) => id === "drag")).toMatchObject({
      because: expect.stringMatching(/^from 12 reels like it/),
      reels: 12,
    });
    // A visit's own paper says what was known before the reel came, whatever became of others since.
    const drag = (id: number) => {
      const job = findJob(db, id)!;
      return lastServed(db, job.reel.id, job).find((row) => row.id === "drag")!.because;
    };
    const [early, late] = [drag(firstOfLast), drag(last.id)];
    expect(early).toMatch(/^rule of thumb/);
    expect(late).toMatch(/^from 12 reels like it/);
    for (let reel = 20; reel < 30; reel++) for (let n = 0; n < 2; n++) visit(`R${reel}`, 1310 + reel + 100 * n);
    expect([drag(firstOfLast), drag(last.id)]).toEqual([early, late]);
  });
});
