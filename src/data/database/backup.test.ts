import {
  appendFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { backedUpOn, backUp, backupsToKeep, instantOf, listBackups, restore, stampOf } from "./backup";
import { verifyCopy } from "./data-copy";
import { openDatabase } from "./database";

let directory: string;
const hash = "b".repeat(64);
const now = new Date("2026-05-20T08:00:00Z");
const later = (days: number) => new Date(now.getTime() + days * 86_400_000);
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-backup-"));
  const db = openDatabase(directory);
  db.exec("INSERT INTO customer (name) VALUES ('Ada Brook')");
  db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')").run(hash);
  db.close();
  mkdirSync(join(directory, "photos"), { recursive: true });
  writeFileSync(join(directory, "photos", `${hash}.jpg`), "pic");
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));
const customers = () => {
  const db = openDatabase(directory);
  const names = db.prepare("SELECT name FROM customer ORDER BY id").pluck().all();
  db.close();
  return names;
};
const add = (name: string) => {
  const db = openDatabase(directory);
  db.prepare("INSERT INTO customer (name) VALUES (?)").run(name);
  db.close();
};

describe("what is kept of daily copies", () => {
  it("is one a day for a week, one a week for five, one a month for twelve", () => {
    // Two a day for two years.
    const names = Array.from({ length: 730 }, (_, day) => [
      `${stampOf(later(-day))}-daily`,
      `${stampOf(new Date(later(-day).getTime() + 3_600_000))}-daily`,
    ]).flat();
    const kept = [...backupsToKeep(names)].sort().reverse();
    expect(kept.slice(0, 7).map((name) => name.slice(0, 8))).toEqual(
      Array.from({ length: 7 }, (_, day) => stampOf(later(-day)).slice(0, 8)),
    );
    // Of two of a day the newer stays.
    expect(kept[0]!.slice(9, 13)).toBe("0900");
    expect(new Set(kept.map((name) => name.slice(0, 6))).size).toBe(12);
    expect(kept.length).toBeLessThanOrEqual(7 + 5 + 12);
    expect(kept.length).toBeGreaterThan(18);
  });

  it("goes by the copies alone: a clock in the wrong year throws nothing earlier away", () => {
    const names = [`${stampOf(later(0))}-daily`, `${stampOf(later(-1))}-daily`, `${stampOf(later(-8000))}-daily`];
    expect(backupsToKeep(names).size).toBe(3);
  });

  it("leaves the copies from before an import alone but for the newest five, whatever the days", () => {
    const made = Array.from({ length: 7 }, (_, i) => backUp(directory, new Date(now.getTime() + i * 60_000), null, "before-import").name);
    backUp(directory, later(1));
    expect(
      listBackups(directory)
        .map(({ name }) => name)
        .filter((name) => name.endsWith("-before-import")),
    ).toEqual(made.slice(2).reverse());
  });

  it("never lets one made by hand go for the day's", () => {
    const names = ["20260520T070000-by-hand", "20260520T080000-daily", "20260520T090000-daily"];
    expect([...backupsToKeep(names)]).toEqual(["20260520T090000-daily"]);
  });

  it("has its instant in its name", () => expect(instantOf(`${stampOf(now)}-daily`)).toBe("2026-05-20T08:00:00.000Z"));
});

describe("a copy a day", () => {
  it("is whole, with its pictures, while somebody has the shop open", () => {
    const open = openDatabase(directory);
    open.exec("BEGIN IMMEDIATE; INSERT INTO customer (name) VALUES ('half written')");
    const { name } = backUp(directory, now);
    open.exec("ROLLBACK");
    open.close();
    verifyCopy(join(directory, "backups", name));
    expect(readFileSync(join(directory, "backups", name, "photos", `${hash}.jpg`), "utf8")).toBe("pic");
    expect([backedUpOn(directory, now), backedUpOn(directory, later(1))]).toEqual([true, false]);
  });

  it("goes to a second place as well where one is there, and says so where it is not", () => {
    const stick = mkdtempSync(join(tmpdir(), "zorbek-stick-"));
    const { name, second } = backUp(directory, now, stick);
    expect(second).toBe(`also in ${join(stick, "zorbek-backups")}`);
    verifyCopy(join(stick, "zorbek-backups", name));
    rmSync(stick, { recursive: true });
    expect(backUp(directory, later(1), stick).second).toMatch(/is not connected: the backup is only on this computer/);
    expect(listBackups(directory)).toHaveLength(2);
  });
});

describe("restoring", () => {
  it("brings the shop back as it was, and keeps what was there", () => {
    const { name } = backUp(directory, now);
    add("Ben Marsh");
    rmSync(join(directory, "photos", `${hash}.jpg`));
    const { before } = restore(directory, name, later(1));
    expect(customers()).toEqual(["Ada Brook"]);
    expect(existsSync(join(directory, "photos", `${hash}.jpg`))).toBe(true);
    // And back again.
    restore(directory, before.split("/").at(-1)!, later(2));
    expect(customers()).toEqual(["Ada Brook", "Ben Marsh"]);
  });

  it("takes the place of a damaged database, whose files are kept as they are", () => {
    const { name } = backUp(directory, now);
    truncateSync(join(directory, "zorbek.db"), 9000);
    const { before } = restore(directory, name, later(1));
    expect(customers()).toEqual(["Ada Brook"]);
    expect(readdirSync(before)).toContain("zorbek.db");
  });

  it("refuses a damaged copy, an unknown one, and a shop that is open, and changes nothing", () => {
    const { name } = backUp(directory, now);
    add("Ben Marsh");
    const file = join(directory, "backups", name, "zorbek.db");
    expect(() => restore(directory, "20200101T000000-daily", now)).toThrow(/no copy/);
    const open = openDatabase(directory);
    expect(() => restore(directory, name, later(1))).toThrow(/still works with this data/);
    open.close();
    truncateSync(file, 9000);
    appendFileSync(file, "x");
    expect(() => restore(directory, name, later(1))).toThrow();
    expect(customers()).toEqual(["Ada Brook", "Ben Marsh"]);
  });
});
