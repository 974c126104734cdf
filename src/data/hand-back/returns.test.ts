import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { describe, expect, it } from "vitest";
import { openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { getBuild, trapsOf } from "@/data/bench/build";
import { doStep, failGate, openAgain, skipStep } from "@/data/bench/build-steps";
import { openingOf } from "@/data/bench/opening";
import { takeDown, takenDownCard } from "@/data/bench/taken-down";
import { expectedNext, noteWell, takeParts } from "@/data/bench/tray";
import { foreseenOf, setWay } from "@/data/bench/ways";
import { openLot } from "@/data/counter/lots";
import { migrate } from "@/data/database/database";
import { findJob, listJobsOfLot } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getLotReport } from "./lot-report";
import { closeJob, closeLot, handBackNote, listUnclaimed, markReady, noteTold } from "./returns";

const job = (shop: Workshop, id: number) => findJob(shop.db, id)!;
const later = (shop: Workshop, days: number) => ({
  ...shop.ctx,
  now: new Date(Date.parse(shop.ctx.now) + days * 86_400_000).toISOString(),
});

describe("handing back", () => {
  it("notes how it was paid and what became of the old parts", () => {
    const shop = openWorkshop();
    const id = shop.open();
    markReady(shop.ctx, id);
    closeJob(shop.ctx, id, "Ada", { paidBy: "cash", paidNote: "exact", oldParts: "returned" });
    expect(handBackNote(shop.db, id)).toEqual({ signedBy: "Ada", paidBy: "cash", paidNote: "exact", oldParts: "returned" });
  });

  it("lists what hangs ready too long, until somebody was told", () => {
    const shop = openWorkshop();
    const [ready, early] = [shop.open(), shop.open()];
    markReady(shop.ctx, ready);
    expect(refusal(() => noteTold(shop.ctx, early)).code).toBe("not-ready");
    expect(listUnclaimed(shop.db, "2026-03-01")).toEqual([]);
    const [one] = listUnclaimed(shop.db, "2026-03-20");
    expect(one).toMatchObject({ jobId: ready, readyOn: "2026-03-02", toldOn: null, customer: "Ada Brook" });
    noteTold(later(shop, 20), ready);
    expect(listUnclaimed(shop.db, "2026-03-20")[0]!.toldOn).toBe("2026-03-22");
  });

  it("hands back the ready ones of a lot in one act, and its sheet says so", () => {
    const shop = openWorkshop();
    const lot = openLot(shop.ctx, {
      name: "Ferry",
      customer: { id: shop.customerId },
      modelId: "skerry-30",
      water: "fresh",
      tripsPerYear: 30,
      life: [],
      dragWish: "shop",
      limitMinor: 9000,
      promisedOn: "2026-03-20",
      rows: Array.from({ length: 5 }, (_, i) => ({
        serial: `L${i}`,
        mark: `boat ${i}`,
        complaint: "",
        condition: "",
        depth: "",
        drag: "",
      })),
    });
    if ("faults" in lot) throw new Error("the lot was not taken");
    const jobs = listJobsOfLot(shop.db, lot.id);
    expect(refusal(() => closeLot(shop.ctx, lot.id, "Odo", {})).code).toBe("none-ready");
    for (const { id } of jobs.slice(0, 2)) markReady(shop.ctx, id);
    expect(closeLot(shop.ctx, lot.id, "Odo", { paidBy: "invoice" })).toEqual({ reels: 2, left: 3 });
    const report = getLotReport(
      shop.db,
      lot.id,
      () => reportDates,
      (iso) => iso.slice(0, 10),
    )!;
    expect(report.rows.map(({ mark, state }) => [mark, state])).toEqual([
      ["boat 0", "returned"],
      ["boat 1", "returned"],
      ["boat 2", "at test"],
      ["boat 3", "at test"],
      ["boat 4", "at test"],
    ]);
    expect(getLotReport(shop.db, 99, () => reportDates, String)).toBeNull();
  });
});

describe("a reel taken down again", () => {
  it("shows one card after a week: what is off, waited for, said, and the next move; not before, and not once read", () => {
    const shop = openWorkshop();
    const id = shop.open();
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)).slice(0, 5));
    noteWell(shop.ctx, id, "handle", { verdict: "replace", orientation: "", note: "" });
    expect(takenDownCard(shop.db, job(shop, id), later(shop, 6).now)).toBeNull();
    expect(takenDownCard(shop.db, job(shop, id), later(shop, 8).now)).toMatchObject({
      off: "5 parts in the tray",
      soaking: "nothing soaking",
      said: "stiff",
      next: expect.stringMatching(/^Strip: .* comes off next, \d+ to go/),
    });
    takeDown(later(shop, 8), id);
    expect(takenDownCard(shop.db, job(shop, id), later(shop, 9).now)).toBeNull();
  });
});

describe("a gate that failed", () => {
  it("opens the build again down to its cause with all that stands on it, and puts that first the next time", () => {
    const shop = openWorkshop();
    const run = () => {
      const id = shop.open();
      takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
      for (const { operation } of getBuild(shop.db, job(shop, id)).steps) {
        if (operation.id === "gate-star") break;
        doStep(shop.ctx, id, operation.id);
      }
      failGate(shop.ctx, id, "gate-star", "");
      return id;
    };
    const first = run();
    const traps = (id: number) => {
      const build = getBuild(shop.db, job(shop, id));
      return trapsOf(shop.db, build, build.failedGate!, "skerry-30");
    };
    expect(traps(first)[0]!.because).toMatch(/check tests/);
    openAgain(shop.ctx, first, "place-star", "gate-star");
    const { steps, failedGate } = getBuild(shop.db, job(shop, first));
    expect(failedGate).toBeNull();
    const stateOf = (id: string) => steps.find(({ operation }) => operation.id === id)!.state;
    expect([stateOf("place-star"), stateOf("gate-star"), stateOf("place-tension-upper")]).toEqual(["waiting", "waiting", "done"]);
    expect(refusal(() => openAgain(shop.ctx, first, "place-star", null)).code).toBe("not-done");
    expect(traps(run())[0]).toMatchObject({ positionId: "star", because: "it was this once before" });
  });

  it("does not close over a washer that was left out, but for a reason that stays in the journal", () => {
    const shop = openWorkshop();
    const id = shop.open();
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
    const { steps } = getBuild(shop.db, job(shop, id));
    const cover = steps.find(({ operation }) => operation.id.startsWith("place-bridge-screw"))!.operation.id;
    for (const { operation } of steps) {
      if (operation.id === cover) break;
      if (operation.id === "place-eared") skipStep(shop.ctx, id, operation.id, "the customer wants it off");
      else doStep(shop.ctx, id, operation.id);
    }
    const refused = refusal(() => doStep(shop.ctx, id, cover));
    expect([refused.code, refused.field]).toEqual(["buries", "reason"]);
    expect(refused.message).toMatch(/slip in 1 place instead of 3/);
    doStep(shop.ctx, id, cover, "customer wants it so");
    expect(shop.db.prepare("SELECT note FROM build_step WHERE job_id = ? AND operation_id = ?").pluck().get(id, cover)).toBe(
      "customer wants it so",
    );
  });
});

describe("ways of working", () => {
  it("foresee parts though nothing was found, and not those that are quoted", () => {
    const shop = openWorkshop();
    const id = shop.open();
    const foreseen = () =>
      foreseenOf(shop.db, job(shop, id), machineOf(shop.db, job(shop, id)), openingOf(shop.db, job(shop, id)).opening.off).map(
        ({ positionId }) => positionId,
      );
    expect(foreseen()).toEqual([]);
    setWay(shop.ctx, id, "customer", "bearings", "upgrade");
    expect(foreseen()).toEqual(expect.arrayContaining(["head-bearing", "tail-bearing"]));
    takeParts(shop.ctx, id, expectedNext(shop.db, job(shop, id)));
    noteWell(shop.ctx, id, "head-bearing", { verdict: "replace", orientation: "", note: "" });
    expect(foreseen()).not.toContain("head-bearing");
  });
});

describe("a database from before the Clean station", () => {
  it("is brought up with its jobs and trays as they were, and every reference whole", () => {
    const folder = join(process.cwd(), "src", "data", "database", "migrations");
    const all = readdirSync(folder)
      .sort()
      .map((name) => ({ name, sql: readFileSync(join(folder, name), "utf8") }));
    const db = new Database(":memory:");
    db.pragma("foreign_keys = ON");
    migrate(
      db,
      all.filter(({ name }) => name < "0015"),
    );
    db.exec(`
      INSERT INTO person (id, name, role) VALUES (1, 'Ilse', 'owner');
      INSERT INTO customer (id, name) VALUES (1, 'Ada');
      INSERT INTO model (id, maker, name, family) VALUES ('m', 'Maker', 'Name', 'centrepin');
      INSERT INTO model_version (id, model_id, number, line_radius_mm) VALUES (1, 'm', 1, 20);
      INSERT INTO part_type (id, number, name, role, shape, material, price_minor) VALUES ('p', 'P', 'P', 'drum', '{}', 'x', 0);
      INSERT INTO reel (id, model_id, serial, hand, owner_id) VALUES (1, 'm', 'S', 'right', 1);
      INSERT INTO job (id, tag, reel_id, customer_id, model_version_id, station, intake, promised_on, rate_per_hour_minor, tax_basis_points, currency, opened_at, deposit_minor)
        VALUES (1, 'T', 1, 1, 1, 'strip', '{}', '2026-01-01', 1, 0, 'EUR', '2026-01-01', 700);
      INSERT INTO instance (id, reel_id, position_id, part_type_id, origin) VALUES (1, 1, 'a', 'p', 'found');
      INSERT INTO tray_well (job_id, position_id, well, instance_id, verdict, note, taken_at) VALUES (1, 'a', 3, 1, 'watch', 'a tick', '2026-01-01');
    `);
    migrate(db, all);
    expect(db.pragma("foreign_key_check")).toEqual([]);
    expect(db.pragma("foreign_keys", { simple: true })).toBe(1);
    expect(db.prepare("SELECT station, deposit_minor, paid_by FROM job").get()).toEqual({
      station: "strip",
      deposit_minor: 700,
      paid_by: null,
    });
    expect(db.prepare("SELECT well, place, verdict, note, found_count FROM tray_well").get()).toEqual({
      well: 1,
      place: 1,
      verdict: "watch",
      note: "a tick",
      found_count: 1,
    });
    expect(() => db.exec("DELETE FROM reel")).toThrow(/FOREIGN KEY/);
  });
});
