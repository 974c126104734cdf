import { chmodSync, mkdirSync, mkdtempSync, rmSync, truncateSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { migrationsDirectory, openDatabase, readMigrations } from "./database";
import { examine, type Surroundings } from "./doctor";

const migrations = readMigrations(migrationsDirectory()).map(({ name }) => name);
const well: Surroundings = { nodeVersion: "20.1.0", freeBytes: 50 * 1024 ** 3, now: new Date(), migrations };
let directory: string;
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-doctor-"));
  openDatabase(directory).close();
  chmodSync(directory, 0o700);
  chmodSync(join(directory, "zorbek.db"), 0o600);
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));
const look = (what: string, change: Partial<Surroundings> = {}) =>
  examine(directory, { ...well, ...change }).find((one) => one.what === what)!;

describe("looking a shop's data over", () => {
  it("finds nothing bad with a new shop", () => {
    expect(examine(directory, well).filter(({ state }) => state === "bad")).toEqual([]);
    expect(look("Data")).toMatchObject({ state: "good" });
    expect(look("Rights")).toMatchObject({ state: "good" });
    expect(look("Backup")).toMatchObject({ state: "look", words: "none yet" });
  });

  it("says each thing that is wrong, with what to do", () => {
    expect(look("Node", { nodeVersion: "18.20.0" })).toMatchObject({ state: "bad" });
    expect(look("Disk", { freeBytes: 1024 ** 3 })).toMatchObject({ state: "look" });
    expect(look("Disk", { freeBytes: 1000 })).toMatchObject({ state: "bad" });
    expect(look("Version", { migrations: migrations.slice(0, -1) })).toMatchObject({ state: "bad", todo: "Start the newer version." });
    chmodSync(join(directory, "zorbek.db"), 0o644);
    expect(look("Rights")).toMatchObject({ state: "look", todo: `chmod -R go= ${directory}` });
  });

  it("tells a zero-length file, one that is no database, a damaged one and a missing picture apart", () => {
    const db = openDatabase(directory);
    db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES ('abc', 1, 1, 1, '2026-01-01T00:00:00Z')").run();
    db.pragma("wal_checkpoint(TRUNCATE)");
    db.close();
    expect(look("Pictures")).toMatchObject({ state: "look", words: "1 of 1 are missing (abc.jpg)" });
    truncateSync(join(directory, "zorbek.db"), 20_000);
    expect(look("Data").state).toBe("bad");
    truncateSync(join(directory, "zorbek.db"), 0);
    expect(look("Data").words).toMatch(/empty/);
    writeFileSync(join(directory, "zorbek.db"), "this is no database at all, only words. ".repeat(200));
    expect(look("Data").words).toMatch(/cannot be opened/);
  });

  it("rings when the newest copy is a week old", () => {
    const copy = join(directory, "backups", "2026-01-01");
    mkdirSync(copy, { recursive: true });
    expect(look("Backup")).toMatchObject({ state: "good" });
    const old = new Date(Date.now() - 8.5 * 86_400_000);
    utimesSync(copy, old, old);
    expect(look("Backup")).toMatchObject({ state: "bad", words: "1 kept, the newest 8 days old" });
  });

  it("says of a folder that is not there how it comes to be", () => {
    expect(examine(join(directory, "nowhere"), well).at(-1)).toMatchObject({ state: "look", todo: "npm start makes it." });
  });
});
