import { chmodSync, existsSync, mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { clockSetBack } from "./clock-set-back";
import { openDatabase } from "./database";
import { sweepHalfWritten } from "./sweep";
import { troubleDigest, troubleOf, troubleOfDigest } from "./trouble";

let directory: string;
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-trouble-"));
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));
const failing = (work: () => unknown): unknown => {
  try {
    work();
  } catch (error) {
    return error;
  }
  throw new Error("It did not fail.");
};

describe("what SQLite complains of", () => {
  // Its own codes, got by bringing each about.
  it("is told apart: full, locked, read-only, damaged, no trouble at all", () => {
    const file = join(directory, "zorbek.db");
    const db = openDatabase(directory);
    db.pragma("max_page_count = 1");
    const full = failing(() =>
      db.transaction(() =>
        Array.from({ length: 3000 }, (_, i) => db.prepare("INSERT INTO customer (name, note) VALUES (?, ?)").run(`P${i}`, "n".repeat(900))),
      )(),
    );
    expect(troubleOf(full)?.kind).toBe("full");
    const other = new Database(file, { timeout: 0 });
    db.exec("BEGIN IMMEDIATE");
    expect(troubleOf(failing(() => other.exec("BEGIN IMMEDIATE")))?.kind).toBe("locked");
    db.exec("ROLLBACK");
    other.close();
    const reader = new Database(file, { readonly: true });
    expect(troubleOf(failing(() => reader.exec("DELETE FROM customer")))?.kind).toBe("read-only");
    reader.close();
    expect(troubleOf(failing(() => db.prepare("INSERT INTO customer (name) VALUES (NULL)").run()))).toBeNull();
    db.close();
    writeFileSync(
      join(directory, "no.db"),
      "this is no database, whatever its name says, and long enough to be looked at as one".repeat(20),
    );
    expect(troubleOf(failing(() => new Database(join(directory, "no.db")).prepare("SELECT * FROM x").get()))?.kind).toBe("damaged");
    expect(troubleOf(Object.assign(new Error("x"), { code: "ENOSPC" }))?.kind).toBe("full");
    expect(troubleOf(null)).toBeNull();
  });

  it("comes to the page of an error by its digest alone, with what to do", () => {
    const trouble = troubleOf(Object.assign(new Error("x"), { code: "SQLITE_FULL" }))!;
    expect(troubleOfDigest(troubleDigest(trouble))).toMatchObject({ message: trouble.message, remedy: trouble.remedy });
    expect(troubleOfDigest("12345")).toBeNull();
    expect(troubleOfDigest(undefined)).toBeNull();
  });
});

describe("what a power cut left half-written", () => {
  it("is swept away after an hour; what is whole, and what is being written, stays", () => {
    const now = new Date();
    const old = new Date(now.getTime() - 2 * 3_600_000);
    for (const folder of ["photos", "backups/.half-1", "backups/20260101T000000-daily", ".coming"])
      mkdirSync(join(directory, folder), { recursive: true });
    const files = ["photos/.a.tmp", "photos/b.jpg", "zorbek.db", "zorbek.db.coming", "photos/.new.tmp"];
    for (const file of files) writeFileSync(join(directory, file), "x");
    for (const file of [...files.slice(0, 4), "backups/.half-1", "backups/20260101T000000-daily", ".coming"])
      utimesSync(join(directory, file), old, old);
    expect(sweepHalfWritten(directory, now)).toBe(4);
    for (const there of ["photos/b.jpg", "zorbek.db", "photos/.new.tmp", "backups/20260101T000000-daily"])
      expect(existsSync(join(directory, there)), there).toBe(true);
    for (const gone of ["photos/.a.tmp", "zorbek.db.coming", "backups/.half-1", ".coming"])
      expect(existsSync(join(directory, gone)), gone).toBe(false);
    expect(sweepHalfWritten(join(directory, "nowhere"), now)).toBe(0);
  });
});

describe("a clock that was set back", () => {
  it("is noticed by the latest entries of the journal, not for a few minutes, until work has gone on by it for a while", () => {
    const db = openDatabase(directory);
    expect(clockSetBack(db, new Date())).toBeNull();
    db.exec("INSERT INTO person (name, role) VALUES ('A', 'owner')");
    db.exec("INSERT INTO journal (at, person_id, action, detail) VALUES ('2026-05-20T12:00:00.000Z', 1, 'x', '{}')");
    expect(clockSetBack(db, new Date("2026-05-20T11:56:00Z"))).toBeNull();
    expect(clockSetBack(db, new Date("2026-05-20T11:00:00Z"))).toContain("Set the clock");
    expect(clockSetBack(db, new Date("2026-05-20T12:00:01Z"))).toBeNull();
    const work = db.prepare("INSERT INTO journal (at, person_id, action, detail) VALUES (?, 1, 'x', '{}')");
    work.run("2026-05-20T11:00:00.000Z");
    // One press on the wrong clock does not make it right.
    expect(clockSetBack(db, new Date("2026-05-20T11:01:00Z"))).toContain("Set the clock");
    for (let i = 0; i < 60; i++) work.run("2026-05-20T11:02:00.000Z");
    expect(clockSetBack(db, new Date("2026-05-20T11:03:00Z"))).toBeNull();
    db.close();
  });
});

describe("a file of no bytes", () => {
  it("begins a shop where there was none, and is refused where there was one", () => {
    writeFileSync(join(directory, "zorbek.db"), "");
    openDatabase(directory).close();
    mkdirSync(join(directory, "backups"));
    rmSync(join(directory, "zorbek.db"));
    for (const rest of ["-wal", "-shm"]) rmSync(join(directory, `zorbek.db${rest}`), { force: true });
    writeFileSync(join(directory, "zorbek.db"), "");
    chmodSync(join(directory, "zorbek.db"), 0o600);
    expect(() => openDatabase(directory)).toThrow(/no bytes left/);
  });
});
