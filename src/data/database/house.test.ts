import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, describe, expect, it } from "vitest";
import { skerry30, skerry30Anatomy } from "#demo/models/skerry-30";
import { openWorkshop, refusal } from "#tests/workshop";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { addModelVersion } from "@/data/catalogue/write-model";
import { changeCustomer, findCustomer } from "@/data/customers/customers";
import { findJob } from "@/data/jobs/jobs";
import { pricesInJob } from "@/data/parts/job-prices";
import { addPerson, findPerson } from "@/data/shop/people";
import { migrate, openDatabase } from "./database";
import { findAnything } from "./find";
import { listJournal } from "./journal";
import { pressOnce } from "./press";

const folders: string[] = [];
afterEach(() => {
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true });
});
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), "zorbek-test-"));
  folders.push(folder);
  return folder;
};

describe("the database", () => {
  it("opens in WAL with every commit on disk, foreign keys on, and is migrated once", () => {
    const folder = newFolder();
    openDatabase(folder).close();
    const db = openDatabase(folder);
    expect(db.pragma("journal_mode", { simple: true })).toBe("wal");
    expect(db.pragma("synchronous", { simple: true })).toBe(2); // FULL
    expect(db.pragma("foreign_keys", { simple: true })).toBe(1);
    const tables = db
      .prepare(
        "SELECT name FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND NOT strict AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'find%'",
      )
      .all();
    expect(tables, "tables that are not STRICT").toEqual([]);
    db.close();
  });

  it("refuses a migration that was changed after it was applied, and data from a newer program", () => {
    const db = new Database(":memory:");
    migrate(db, [{ name: "0001-a.sql", sql: "CREATE TABLE a (x INTEGER) STRICT" }]);
    expect(() => migrate(db, [{ name: "0001-a.sql", sql: "CREATE TABLE a (y INTEGER) STRICT" }])).toThrow(
      /is not the one this program has/,
    );
    expect(() => migrate(db, [])).toThrow(/newer Zorbek/);
  });

  it("leaves nothing of a migration that fails half way", () => {
    const db = new Database(":memory:");
    expect(() => migrate(db, [{ name: "0001-a.sql", sql: "CREATE TABLE a (x INTEGER) STRICT; CREATE TABLE oops (" }])).toThrow();
    expect(db.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE name = 'a'").get()).toEqual({ n: 0 });
    expect(db.prepare("SELECT count(*) AS n FROM migration").get()).toEqual({ n: 0 });
  });
});

describe("the journal", () => {
  it("has a person on every row, only grows, and holds no customer's words", () => {
    const { db, open } = openWorkshop();
    open({ complaint: "my late uncle's reel, sounds like a coffee mill" });
    expect(() => db.prepare("UPDATE journal SET action = 'x'").run()).toThrow(/append-only/);
    expect(() => db.prepare("DELETE FROM journal").run()).toThrow(/append-only/);
    const entries = listJournal(db, { limit: 1000 });
    expect(entries.length).toBeGreaterThan(3);
    for (const entry of entries) expect(entry.person).toBeTruthy();
    expect(JSON.stringify(entries)).not.toMatch(/uncle|Ada Brook/);
  });
});

describe("presses", () => {
  it("does the work of a repeated press once and answers the same", () => {
    const { ctx } = openWorkshop();
    let done = 0;
    const press = () => pressOnce(ctx, { id: "press-0001", action: "count" }, () => ({ n: ++done }));
    expect([press(), press(), press()]).toEqual([{ n: 1 }, { n: 1 }, { n: 1 }]);
    expect(done).toBe(1);
  });

  it("keeps neither press nor work when the work is refused", () => {
    const { ctx, db } = openWorkshop();
    const before = db.prepare("SELECT count(*) AS n FROM customer").get();
    expect(() =>
      pressOnce(ctx, { id: "press-0002", action: "x" }, () => {
        db.prepare("INSERT INTO customer (name) VALUES ('half')").run();
        throw new Error("stop");
      }),
    ).toThrow("stop");
    expect(db.prepare("SELECT count(*) AS n FROM customer").get()).toEqual(before);
    expect(db.prepare("SELECT count(*) AS n FROM press").get()).toEqual({ n: 0 });
  });

  it("refuses an id that was used for another act", () => {
    const { ctx } = openWorkshop();
    pressOnce(ctx, { id: "press-0003", action: "a" }, () => 1);
    expect(refusal(() => pressOnce(ctx, { id: "press-0003", action: "b" }, () => 2)).code).toBe("press-reused");
  });

  it("answers whoever pressed alone, and keeps an answer that is a secret nowhere", () => {
    const { ctx, db } = openWorkshop();
    const another = { ...ctx, person: findPerson(db, addPerson(ctx, { name: "Another", role: "counter" }))! };
    const press = { id: "press-0004", action: "invite", secretAnswer: true };
    expect(pressOnce(ctx, press, () => ({ code: "heron-seven" }))).toEqual({ code: "heron-seven" });
    expect(refusal(() => pressOnce(ctx, press, () => 0)).code).toBe("answered-once");
    expect(refusal(() => pressOnce(another, press, () => 0)).code).toBe("press-reused");
    expect(JSON.stringify(db.prepare("SELECT * FROM press").all())).not.toContain("heron-seven");
  });
});

describe("models and what a job pins", () => {
  it("freezes a model version once a job uses it, and nothing of it can be changed, taken out, put in or moved in", () => {
    const { db, ctx, open } = openWorkshop();
    const free = addModelVersion(ctx, skerry30.id, { lineRadiusMm: 24, anatomy: skerry30Anatomy });
    const changes = ["assembly", "position", "operation"].flatMap((table) => [
      `UPDATE ${table} SET ordinal = ordinal + 1 WHERE model_version_id = 1`,
      `DELETE FROM ${table} WHERE model_version_id = 1`,
      `UPDATE ${table} SET model_version_id = 1, id = id || '-late' WHERE model_version_id = ${free}`,
    ]);
    // While nothing depends on it each of them goes through: what refuses them later is that it is used.
    for (const change of changes) {
      db.exec("BEGIN; PRAGMA defer_foreign_keys = ON");
      expect(db.prepare(change).run().changes, change).toBeGreaterThan(0);
      db.exec("ROLLBACK");
    }
    db.prepare("UPDATE model_version SET number = 10 WHERE id = 1").run(); // the one the next job takes
    open();
    for (const change of [
      ...changes,
      "UPDATE model_version SET line_radius_mm = 1 WHERE id = 1",
      "DELETE FROM model_version WHERE id = 1",
      "INSERT INTO assembly VALUES (1, 'late', 9, 'Late', 'tail', 0)",
      "INSERT INTO position (model_version_id, id, assembly_id, ordinal, name, part_type_id, seat) SELECT 1, 'late', assembly_id, 99, 'Late', part_type_id, seat FROM position WHERE id = 'star' AND model_version_id = 1",
      "INSERT INTO operation (model_version_id, id, ordinal, kind, position_id, act) VALUES (1, 'late', 99, 'note', NULL, '{}')",
    ])
      expect(() => db.prepare(change).run(), change).toThrow(/model-version-used/);
  });

  it("keeps the version, prices and tax a job was opened with", () => {
    const { db, ctx, open } = openWorkshop();
    const id = open();
    const before = { version: findJob(db, id)!.modelVersionId, price: pricesInJob(db, id, ["sk-star"]), rates: findJob(db, id)!.rates };
    const changed = structuredClone(skerry30Anatomy);
    changed.positions.find((p) => p.id === "star")!.name = "Star, later";
    addModelVersion(ctx, skerry30.id, { lineRadiusMm: 24, anatomy: changed });
    db.prepare("UPDATE part_type SET price_minor = price_minor + 500").run();
    db.prepare("INSERT INTO setting (key, value) VALUES ('shop', '{\"taxBasisPoints\":700,\"ratePerHourMinor\":9900}')").run();
    expect({ version: findJob(db, id)!.modelVersionId, price: pricesInJob(db, id, ["sk-star"]), rates: findJob(db, id)!.rates }).toEqual(
      before,
    );
    expect(getCurrentModelVersion(db, skerry30.id).number).toBe(2);
    expect(findJob(db, open())!.rates).toMatchObject({ ratePerHourMinor: 9900, tax: 700 });
  });

  it("gives back the machine as it was put in", () => {
    const { db } = openWorkshop();
    const { anatomy } = getCurrentModelVersion(db, skerry30.id);
    const byId = <T extends { id: string }>(list: readonly T[]) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(byId(anatomy.positions)).toEqual(byId(skerry30Anatomy.positions));
    expect(anatomy.operations).toEqual(skerry30Anatomy.operations);
  });

  it("refuses a machine that cannot be built", () => {
    const { ctx } = openWorkshop();
    const bad = structuredClone(skerry30Anatomy);
    bad.positions.find((p) => p.id === "main-gear")!.restsOn.push("keyed-high");
    expect(refusal(() => addModelVersion(ctx, skerry30.id, { lineRadiusMm: 24, anatomy: bad })).message).toContain("Main gear");
  });
});

describe("two windows", () => {
  it("does not let the later one overwrite what it has not seen", () => {
    const { db, ctx, customerId } = openWorkshop();
    const seen = findCustomer(db, customerId)!;
    changeCustomer(ctx, { ...seen, phone: "2" });
    expect(refusal(() => changeCustomer(ctx, { ...seen, phone: "3" })).code).toBe("changed-elsewhere");
    expect(findCustomer(db, customerId)?.phone).toBe("2");
  });
});

describe("the finder", () => {
  it("finds by the beginning of a tag, serial, owner, model or part, whatever is typed", () => {
    const { db, open } = openWorkshop();
    open({ serial: "MS30 777" });
    const kinds = (text: string) => findAnything(db, text).map((hit) => hit.kind);
    expect(kinds("Z-00001")).toContain("job");
    expect(kinds("ada br")).toContain("customer");
    expect(kinds("MS30777")).toContain("reel");
    expect(kinds("sker")).toContain("model");
    expect(kinds("SK-220")).toContain("part");
    // A whole tag or serial comes before whatever else begins so.
    const tag = db.prepare("SELECT tag FROM job LIMIT 1").pluck().get() as string | undefined;
    if (tag) expect(findAnything(db, tag.toLowerCase().replaceAll("-", " "))[0]).toMatchObject({ kind: "job", ref: tag });
    for (const odd of ['"', "a AND (", "*", "", "ñ -- ;"]) expect(() => findAnything(db, odd)).not.toThrow();
  });
});
