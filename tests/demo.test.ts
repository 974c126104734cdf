import { DateTime } from "luxon";
import { beforeAll, describe, expect, it } from "vitest";
import { buildDemo, isEmpty } from "#demo/workshop/build";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { familyIds } from "@/core/vocabulary/families";
import { searchModels } from "@/data/catalogue/model-list";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { type Db, openMemoryDatabase } from "@/data/database/database";
import { listObservations } from "@/data/diagnosis/observations";
import { onBenchFor } from "@/data/hand-back/going-home";
import { listClosedJobs, listOpenJobs } from "@/data/jobs/jobs";

const now = DateTime.fromISO("2026-06-15T10:00:00", { zone: "utc" });
let db: Db;
beforeAll(async () => {
  db = openMemoryDatabase();
  await buildDemo(db, now);
});
const one = <T>(sql: string) => db.prepare(sql).pluck().get() as T;

describe("the demo workshop", () => {
  it("is built only into an empty shop", () => {
    expect(isEmpty(openMemoryDatabase())).toBe(true);
    expect(isEmpty(db)).toBe(false);
  });

  it("holds nothing ahead of the clock, built by day or in the small hours", async () => {
    const night = DateTime.fromISO("2026-06-15T00:03:00", { zone: "utc" });
    const atNight = openMemoryDatabase();
    await buildDemo(atNight, night);
    const latest = (of: Db) => of.prepare("SELECT max(at) FROM journal").pluck().get() as string;
    expect(Date.parse(latest(atNight))).toBeLessThanOrEqual(night.toMillis());
    expect(Date.parse(latest(db))).toBeLessThanOrEqual(now.toMillis());
  });

  it("has a model of every family, each fitting and with its catalogue", () => {
    const models = searchModels(db, "", 100);
    expect(new Set(models.map((model) => model.family))).toEqual(new Set(familyIds));
    for (const model of models) {
      const version = getCurrentModelVersion(db, model.id);
      expect(checkAnatomy(version.anatomy, [...version.partTypes.values()]), model.name).toEqual([]);
    }
  });

  it("has reels at many stations, and closed ones with nothing left in their trays", () => {
    expect(listOpenJobs(db).length).toBeGreaterThanOrEqual(5);
    expect(new Set(listOpenJobs(db).map((job) => job.station)).size).toBeGreaterThanOrEqual(5);
    for (const job of listClosedJobs(db, 99)) {
      expect(onBenchFor(db, job), job.tag).toEqual([]);
      expect(job.finalTotalMinor, job.tag).toBeGreaterThan(0);
      expect(
        listObservations(db, job.id).some((o) => o.phase === "after"),
        job.tag,
      ).toBe(true);
    }
  });

  it("has readings its invented people took with their own scale, so that they count; a stand-in's would not", () => {
    expect(one<number>("SELECT count(*) FROM observation WHERE simulated = 1")).toBe(0);
    expect(one<number>("SELECT count(*) FROM observation WHERE instrument = 'pull scale'")).toBeGreaterThan(10);
  });

  it("counts every date from today and puts nothing that happened into the future", () => {
    expect(one<string>("SELECT max(at) FROM journal") <= now.endOf("day").toUTC().toISO()!).toBe(true);
    for (const job of listOpenJobs(db)) expect(Math.abs(DateTime.fromISO(job.promisedOn).diff(now, "days").days), job.tag).toBeLessThan(10);
  });

  it("numbers its papers in the order of their days", () => {
    const days = db.prepare("SELECT on_day FROM paper ORDER BY number").pluck().all() as string[];
    expect(days.length).toBeGreaterThan(3);
    expect(days).toEqual([...days].sort());
    // In truth, and not because a later day was written on an earlier paper.
    expect(db.prepare("SELECT count(*) FROM paper WHERE on_day > substr(at, 1, 10)").pluck().get()).toBe(0);
  });

  it("is the same every time for the same day", async () => {
    const again = openMemoryDatabase();
    await buildDemo(again, now);
    for (const table of ["job", "customer", "reel", "journal", "observation", "tray_well", "stock", "need", "instance"]) {
      const rows = (which: Db) => which.prepare(`SELECT * FROM ${table} ORDER BY 1, 2`).all();
      expect(rows(again), table).toEqual(rows(db));
    }
  });

  it("names no person twice and gives every customer an address that cannot exist", () => {
    const emails = db.prepare("SELECT email FROM customer WHERE email <> ''").pluck().all() as string[];
    for (const email of emails) expect(email).toMatch(/\.example$/); // RFC 2606: reserved, so that nobody is ever written to
    expect(one<number>("SELECT count(*) - count(DISTINCT name) FROM customer")).toBe(0);
  });
});
