import { DateTime } from "luxon";
import { beforeAll, describe, expect, it } from "vitest";
import { buildDemo } from "#demo/workshop/build";
import { calendarOf } from "#demo/world/calendar";
import { inventedCustomers } from "#demo/world/names";
import { progressOf } from "#demo/world/progress";
import { seeded } from "#demo/world/seeded";
import { demoWorld, growWorld, type WorldTruth } from "#demo/world/world";
import { type Db, openMemoryDatabase } from "@/data/database/database";
import { onBenchFor } from "@/data/hand-back/going-home";
import { listClosedJobs } from "@/data/jobs/jobs";
import { listStationTimes } from "@/data/jobs/station-time";

const now = DateTime.fromISO("2026-06-15T10:00:00", { zone: "utc" });
const size = { ...demoWorld, years: 0.5, customers: 18, reels: 38, lot: 5 };
const grown = async (): Promise<{ db: Db; truth: WorldTruth }> => {
  const db = openMemoryDatabase();
  let truth: WorldTruth | null = null;
  await buildDemo(db, now, {
    foundedDaysAgo: 190,
    history: (onDay) => {
      truth = growWorld(db, now, size, null, onDay);
    },
  });
  return { db, truth: truth! };
};
let world: Awaited<ReturnType<typeof grown>>;
beforeAll(async () => {
  world = await grown();
});

describe("a shop's years", () => {
  const truths: WorldTruth[] = [];
  // Whatever day the demo is filled on, and whatever is drawn, every job of it reaches its return through the bench's own rules.
  it.each([2, 5, 7])("grow from draw %i on a day of its own, and no job is refused", async (seed) => {
    const db = openMemoryDatabase();
    const on = now.plus({ days: seed * 17 });
    await buildDemo(db, on, {
      foundedDaysAgo: 372,
      history: (onDay) => {
        truths.push(growWorld(db, on, { ...demoWorld, seed, years: 1, customers: 20, reels: 40, lot: 5 }, null, onDay));
      },
    });
    expect(listClosedJobs(db, 1000).length).toBeGreaterThan(30);
  });

  it("have faults that the bench missed", () => {
    expect(truths.some(({ visits }) => visits.some(({ worn, found }) => worn.some((id) => !found.includes(id))))).toBe(true);
  });
});

describe("years that are filled", () => {
  it("say each tenth of the way once, and nothing before they begin", () => {
    const said: string[] = [];
    const told = progressOf("2024-01-01", "2025-01-01", (words) => said.push(words));
    for (let day = now.set({ year: 2024, month: 1, day: 1 }); day.year < 2025; day = day.plus({ days: 1 })) told(day.toISODate()!);
    expect(said).toHaveLength(10);
    expect([said[0], said[5], said.at(-1)]).toEqual(["2024: 0 %", "2024: 50 %", "2024: 90 %"]);
  });
});

describe("draws of the world", () => {
  const many = <T>(n: number, draw: () => T) => Array.from({ length: n }, draw);
  const mean = (of: readonly number[]) => of.reduce((sum, x) => sum + x, 0) / of.length;

  it("have the means and medians their distributions have (textbook)", () => {
    const random = seeded(5);
    expect(mean(many(20_000, () => random.poisson(1.7)))).toBeCloseTo(1.7, 1);
    expect(mean(many(20_000, () => random.waiting(9)))).toBeCloseTo(9, 0);
    const sorted = (of: number[]) => [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)]!;
    // Half of a Weibull's lives are over at its median, whatever its shape.
    for (const shape of [1, 1.6, 3]) expect(sorted(many(20_000, () => random.life(120, shape))) / 120).toBeCloseTo(1, 1);
    expect(sorted(many(20_000, () => random.lognormal(6, 0.5))) / 6).toBeCloseTo(1, 1);
    const heads = many(20_000, () => random.weighted({ a: 1, b: 3 })).filter((side) => side === "b").length;
    expect(heads / 20_000).toBeCloseTo(0.75, 1);
  });

  it("fork: a draw more in one part changes none in another", () => {
    const [one, two] = [seeded(3), seeded(3)];
    one.uniform();
    expect(one.fork("names").uniform()).toBe(two.fork("names").uniform());
    expect(one.fork("names").uniform()).not.toBe(one.fork("parts").uniform());
  });

  it("name nobody twice, also in a book of thousands, and give addresses nobody has", () => {
    const people = inventedCustomers(seeded(1), 5000, new Set(["Wenna Harrowgate"]));
    expect(new Set(people.map(({ name }) => name)).size).toBe(5000);
    expect(people.every(({ email }) => email === "" || email.endsWith(".example"))).toBe(true);
  });

  it("make a year's outings a year's outings, fewer where it rains all summer", () => {
    const calendar = calendarOf(seeded(2), now, 3);
    const last = calendar.days.length - 1;
    expect(calendar.tripsBefore[last]! / 3).toBeGreaterThan(0.9);
    expect(calendar.tripsBefore[last]! / 3).toBeLessThan(1.01);
    const { illness } = calendar.upsets;
    expect(illness.length).toBeGreaterThan(2);
    for (const spell of illness) expect(calendar.works[calendar.days.indexOf(spell.from)]).toBe(false);
  });
});

describe("a shop the years passed over", () => {
  it("is the same every time for the same day and seed", async () => {
    const again = await grown();
    for (const table of ["job", "customer", "reel", "observation", "purchase_order", "measure", "journal"]) {
      const rows = (db: Db) => db.prepare(`SELECT * FROM ${table} ORDER BY 1, 2`).all();
      expect(rows(again.db), table).toEqual(rows(world.db));
    }
    expect(again.truth).toEqual(world.truth);
  });

  it("closes its jobs as a shop does: nothing left open, tests after, every reel's pieces in it", () => {
    const closed = listClosedJobs(world.db, 999);
    expect(closed.length).toBeGreaterThan(15);
    for (const job of closed) expect(onBenchFor(world.db, job), job.tag).toEqual([]);
  });

  it("has clocks that run about as long as the work took in truth: a press starts them, three idle minutes stop them", () => {
    const minutes = new Map(world.truth.visits.map((visit) => [visit.job, visit.minutes]));
    const ratios = listClosedJobs(world.db, 999).flatMap((job) => {
      const truth = minutes.get(job.id);
      if (!truth || job.depth === "light" || job.kind === "purchase-check" || job.declinedReason !== null) return [];
      const told = listStationTimes(world.db, job.id);
      const sum = told.reduce((all, one) => all + one.minutes, 0);
      return sum ? [sum / (truth.look + truth.open + truth.build)] : [];
    });
    expect(ratios.length).toBeGreaterThan(10);
    ratios.sort((a, b) => a - b);
    const middle = ratios[Math.floor(ratios.length / 2)]!;
    expect(middle).toBeGreaterThan(0.55);
    expect(middle).toBeLessThan(1.1);
  });

  it("numbers its papers in the order of their days", () => {
    const days = world.db.prepare("SELECT on_day FROM paper ORDER BY number").pluck().all() as string[];
    expect(days.length).toBeGreaterThan(3);
    expect(days).toEqual([...days].sort());
    // In truth, and not because a later day was written on an earlier paper.
    expect(world.db.prepare("SELECT count(*) FROM paper WHERE on_day > substr(at, 1, 10)").pluck().get()).toBe(0);
  });

  it("writes its journal in the order of time while the world lasts, and nothing into the future", () => {
    const at = world.db
      .prepare(
        "SELECT at FROM journal JOIN job ON job.id = journal.job_id WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY journal.id",
      )
      .pluck()
      .all(JSON.stringify(world.truth.visits.map(({ job }) => job))) as string[];
    const backwards = at.filter((time, i) => i > 0 && time < at[i - 1]!);
    expect(backwards.length / at.length).toBeLessThan(0.01);
    expect(at.at(-1)! < now.toISO()!).toBe(true);
  });

  it("keeps its truth out of the books: what wore, how long it would have lasted, what was missed", () => {
    const { truth, db } = world;
    const names = db.prepare("SELECT group_concat(sql, ' ') FROM sqlite_master").pluck().get() as string;
    expect(names).not.toMatch(/life_trips|hidden|truth/);
    expect(truth.upsets.badWashers.lifeTimes).toBeLessThan(1);
  });
});
