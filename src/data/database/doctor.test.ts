import { createHash } from "node:crypto";
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync, truncateSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { backUp } from "./backup";
import { copyBeforeMigration } from "./data-copy";
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
    const { name } = backUp(directory, new Date());
    expect(look("Backup")).toMatchObject({ state: "good", words: expect.stringMatching(/the newest read whole/) });
    const old = new Date(Date.now() - 8.5 * 86_400_000);
    utimesSync(join(directory, "backups", name), old, old);
    expect(look("Backup")).toMatchObject({ state: "bad", words: expect.stringMatching(/the newest 8 days old/) });
  });

  it("opens the newest copy and one more, reads them whole, and rings for a rotten one, its database or a picture", () => {
    const hash = createHash("sha256").update("pic").digest("hex");
    const db = openDatabase(directory);
    db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')").run(hash);
    db.close();
    mkdirSync(join(directory, "photos"));
    writeFileSync(join(directory, "photos", `${hash}.jpg`), "pic");
    const copy = (hour: number) =>
      join(directory, "backups", backUp(directory, new Date(Date.UTC(2026, 4, 20, hour)), null, "by-hand").name);
    const [first, newest] = [copy(8), copy(9)];
    const now = new Date();
    utimesSync(first, new Date(now.getTime() - 60_000), new Date(now.getTime() - 60_000));
    expect(look("Backup")).toMatchObject({ state: "good", words: expect.stringMatching(/the newest and one more read whole/) });
    for (const folder of [newest, first]) {
      // One byte that no page check looks at: only its hash tells.
      const file = join(folder, "zorbek.db");
      const bytes = readFileSync(file);
      const whole = Buffer.from(bytes);
      bytes[96] = bytes[96]! ^ 1;
      writeFileSync(file, bytes);
      expect(look("Backup"), folder).toMatchObject({ state: "bad", words: expect.stringMatching(/not as it was written/) });
      writeFileSync(file, whole);
      rmSync(join(folder, "photos", `${hash}.jpg`));
      expect(look("Backup")).toMatchObject({ state: "bad", words: expect.stringMatching(/is not in it/) });
      writeFileSync(join(folder, "photos", `${hash}.jpg`), "rot");
      expect(look("Backup")).toMatchObject({ state: "bad", words: expect.stringMatching(/pictures is damaged/) });
      writeFileSync(join(folder, "photos", `${hash}.jpg`), "pic");
      expect(look("Backup").state).toBe("good");
    }
    expect(look("Pictures").state).toBe("good");
    writeFileSync(join(directory, "photos", `${hash}.jpg`), "rot");
    expect(look("Pictures")).toMatchObject({ state: "bad", words: expect.stringMatching(/1 of 1 are damaged/) });
    // A picture that was missing when the copy was made is no fault of the copy.
    rmSync(join(directory, "photos", `${hash}.jpg`));
    copy(10);
    expect(look("Backup").state).toBe("good");
  });

  it("says “make room” of a full disk alone", () => {
    const words = (what: string, change: Partial<Surroundings> = {}) => look(what, change).todo;
    expect(words("Disk", { freeBytes: 1000 })).toMatch(/Make room/);
    writeFileSync(join(directory, "zorbek.db"), "this is no database at all, only words. ".repeat(200));
    for (const one of examine(directory, well)) expect(one.todo, one.what).not.toMatch(/room/);
    expect(() => copyBeforeMigration(new Database(":memory:").close(), directory, "0001-x.sql", new Date())).toThrow(
      expect.objectContaining({ remedy: expect.not.stringMatching(/room/) }),
    );
  });

  it("says of a folder that is not there how it comes to be", () => {
    expect(examine(join(directory, "nowhere"), well).at(-1)).toMatchObject({ state: "look", todo: "npm start makes it." });
  });
});
