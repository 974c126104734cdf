import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { copiesKept, copyBeforeMigration, copyData, letGo, listCopies, verifyCopy } from "./data-copy";
import { migrationsDirectory, openDatabase, readMigrations } from "./database";
import type { DataUnusable } from "./unusable";

let folder = "";
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "zorbek-copy-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const all = readMigrations(migrationsDirectory());
const older = all.slice(0, -1);
const customer = "INSERT INTO customer (name) VALUES ('Ada Brook')";
const hash = "a".repeat(64);

/** A shop kept by the version before this one, with a customer and a picture. */
function oldShop(): void {
  const db = openDatabase(folder, older);
  db.exec(customer);
  db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')").run(hash);
  db.close();
  mkdirSync(join(folder, "photos"), { recursive: true });
  writeFileSync(join(folder, "photos", `${hash}.jpg`), "pic");
}
const copyOf = (name: string) => join(folder, "backups", name);
const unusable = (work: () => unknown): DataUnusable => {
  try {
    work();
  } catch (error) {
    return error as DataUnusable;
  }
  throw new Error("It was not refused.");
};

describe("before a newer version changes the data", () => {
  it("keeps a copy of database and pictures as they were, which opens and is whole", () => {
    oldShop();
    const db = openDatabase(folder);
    expect(db.prepare("SELECT count(*) FROM migration").pluck().get()).toBe(all.length);
    db.close();
    const [name] = listCopies(folder);
    expect(name).toMatch(new RegExp(`^\\d{8}T\\d{6}-before-${all.at(-1)!.name.slice(0, 4)}`));
    const copy = new Database(join(copyOf(name!), "zorbek.db"), { readonly: true });
    expect(copy.prepare("SELECT count(*) FROM migration").pluck().get(), "as it was before").toBe(older.length);
    expect(copy.prepare("SELECT name FROM customer").pluck().get()).toBe("Ada Brook");
    copy.close();
    expect(existsSync(join(copyOf(name!), "photos", `${hash}.jpg`))).toBe(true);
    // The old version can go on with the copy.
    const again = mkdtempSync(join(tmpdir(), "zorbek-again-"));
    cpSync(copyOf(name!), again, { recursive: true });
    const back = openDatabase(again, older);
    expect(back.prepare("SELECT count(*) FROM customer").pluck().get()).toBe(1);
    back.close();
    rmSync(again, { recursive: true, force: true });
  });

  it("makes none for an empty directory, nor when nothing is to be changed", () => {
    openDatabase(folder).close();
    openDatabase(folder).close();
    expect(listCopies(folder)).toEqual([]);
  });

  it("changes nothing when the copy cannot be made, and says what to do", () => {
    oldShop();
    writeFileSync(join(folder, "backups"), "a file where the folder should be");
    const refused = unusable(() => openDatabase(folder));
    expect([refused.code, refused.remedy]).toEqual(["no-copy", expect.stringContaining(folder)]);
    const db = new Database(join(folder, "zorbek.db"), { readonly: true });
    expect(db.prepare("SELECT count(*) FROM migration").pluck().get()).toBe(older.length);
    db.close();
  });

  it("is of one instant: what another connection writes meanwhile is in it whole or not at all", () => {
    oldShop();
    const db = openDatabase(folder, older);
    const other = new Database(join(folder, "zorbek.db"));
    other.exec("BEGIN IMMEDIATE");
    other.exec(customer);
    const made = copyData(db, folder, "20260101T000000-now");
    other.exec(customer);
    other.exec("COMMIT");
    const copy = new Database(join(made, "zorbek.db"), { readonly: true });
    expect(copy.prepare("SELECT count(*) FROM customer").pluck().get(), "nothing of the open transaction").toBe(1);
    for (const open of [copy, other, db]) open.close();
  });

  it("stays readable when its picture is taken away from the shop afterwards", () => {
    oldShop();
    openDatabase(folder).close();
    const kept = join(copyOf(listCopies(folder)[0]!), "photos", `${hash}.jpg`);
    rmSync(join(folder, "photos"), { recursive: true });
    expect(statSync(kept).size).toBe(3);
    verifyCopy(copyOf(listCopies(folder)[0]!));
  });

  it("keeps five, the newest, and no halves of copies that failed", () => {
    oldShop();
    const db = openDatabase(folder, older);
    for (let day = 1; day <= 8; day++) copyBeforeMigration(db, folder, "0099-next.sql", new Date(Date.UTC(2026, 0, day)));
    db.close();
    expect(listCopies(folder)).toHaveLength(copiesKept);
    expect(listCopies(folder)[0]).toMatch(/^20260104T/);
    expect(readdirSync(join(folder, "backups")).filter((name) => name.startsWith("."))).toEqual([]);
  });
});

describe("letting copies go", () => {
  it("leaves the daily ones to their own rule when the data is kept in a new way", () => {
    oldShop();
    const db = openDatabase(folder, older);
    const daily = Array.from({ length: 6 }, (_, day) => `2025010${day + 1}T080000-daily`);
    for (const name of daily) copyData(db, folder, name);
    for (let day = 1; day <= 7; day++) copyBeforeMigration(db, folder, "0099-next.sql", new Date(Date.UTC(2026, 0, day)));
    db.close();
    const names = listCopies(folder);
    expect(names.filter((name) => name.endsWith("-daily"))).toEqual(daily);
    expect(names).toHaveLength(daily.length + copiesKept);
  });

  it("takes each out of sight before anything in it goes: what a kill leaves is no copy", () => {
    oldShop();
    const db = openDatabase(folder, older);
    copyData(db, folder, "20250101T080000-daily");
    db.close();
    const backups = join(folder, "backups");
    // Killed just when what is out of sight would be taken away.
    const seen: string[][] = [];
    expect(() =>
      letGo(backups, "20250101T080000-daily", (path) => {
        seen.push(listCopies(folder), readdirSync(join(path, "photos")));
        throw new Error("killed");
      }),
    ).toThrow("killed");
    expect(seen[0]).toEqual([]);
    expect(seen[1]!.length).toBeGreaterThan(0);
    letGo(backups, "no such copy");
  });
});

describe("looking a copy over", () => {
  it.each([
    ["a database cut short", () => writeFileSync(join(copyOf("20260101T000000-x"), "zorbek.db"), "SQLite format 3\0 and no more")],
    ["no database", () => rmSync(join(copyOf("20260101T000000-x"), "zorbek.db"))],
    ["a picture that is gone", () => rmSync(join(copyOf("20260101T000000-x"), "photos", `${hash}.jpg`))],
  ])("finds %s", (_, harm) => {
    oldShop();
    const db = openDatabase(folder, older);
    copyData(db, folder, "20260101T000000-x");
    db.close();
    verifyCopy(copyOf("20260101T000000-x"));
    harm();
    expect(() => verifyCopy(copyOf("20260101T000000-x"))).toThrow();
  });
});

describe("data that cannot be worked with", () => {
  it("is said to be of a newer version, and left alone", () => {
    const db = openDatabase(folder);
    db.prepare("INSERT INTO migration (name, checksum, at) VALUES ('0999-later.sql', 'x', 'y')").run();
    db.close();
    expect(unusable(() => openDatabase(folder))).toMatchObject({ code: "newer", message: expect.stringContaining("0999-later.sql") });
  });

  it("is said to be no database", () => {
    writeFileSync(join(folder, "zorbek.db"), "nothing of the kind, and long enough to be looked at as a header of a file".repeat(20));
    expect(unusable(() => openDatabase(folder)).code).toBe("cannot-open");
  });
});
