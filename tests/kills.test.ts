import { spawn } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { bringInArchive, canonicalHash, takeOut } from "@/data/database/archive";
import { backUp, listBackups } from "@/data/database/backup";
import { verifyCopy } from "@/data/database/data-copy";
import { openDatabase } from "@/data/database/database";
import { ensureFirstPerson } from "@/data/shop/people";

/** Each is killed this often; ZORBEK_KILLS=30 is what docs/reliability.md tells of. */
const kills = Number(process.env.ZORBEK_KILLS ?? 8);
let directory: string;
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-kill-"));
  const db = openDatabase(directory);
  ensureFirstPerson(db);
  const add = db.prepare("INSERT INTO customer (name, note) VALUES (?, ?)");
  db.transaction(() => {
    for (let i = 0; i < 4000; i++) add.run(`Person ${i}`, "n".repeat(300));
  })();
  mkdirSync(join(directory, "photos"));
  const photo = db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 1, 1, 3, '2026-01-01T00:00:00Z')");
  for (let i = 0; i < 60; i++) {
    const bytes = `picture ${i}`.repeat(2000);
    const hash = createHash("sha256").update(bytes).digest("hex");
    photo.run(hash);
    writeFileSync(join(directory, "photos", `${hash}.jpg`), bytes);
  }
  db.close();
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));

/** Starts a script and kills it some time after, or lets it end. @returns whether it was still at work. */
async function killed(script: string, args: readonly string[], data: string, afterMs: number | null): Promise<boolean> {
  const child = spawn("node", ["node_modules/tsx/dist/cli.mjs", script, ...args], {
    env: { ...process.env, ZORBEK_DATA: data },
    stdio: "ignore",
    detached: true,
  });
  // Listened for before it can have ended by itself.
  const ended = new Promise<NodeJS.Signals | null>((settle) => child.once("exit", (_, signal) => settle(signal)));
  if (afterMs === null) return (await ended) === "SIGKILL";
  await new Promise((wait) => setTimeout(wait, afterMs));
  try {
    // The whole group: the runner and what it started.
    process.kill(-child.pid!, "SIGKILL");
  } catch {
    return false;
  }
  return (await ended) === "SIGKILL";
}
/** How long the script takes when nobody kills it, on this machine as it is now, in ms. */
async function unkilled(script: string, args: readonly string[], data: string): Promise<number> {
  const from = Date.now();
  await killed(script, args, data, null);
  return Date.now() - from;
}
/** From a quarter of a whole run to its end and a little after, evenly. */
const moments = (wholeRunMs: number) => Array.from({ length: kills }, (_, i) => wholeRunMs * (0.25 + (0.85 * i) / Math.max(1, kills - 1)));

describe("killed half-way", () => {
  it("a backup leaves every copy that counts whole, and the last good one", async () => {
    backUp(directory, new Date("2026-05-20T08:00:00Z"));
    let atWork = 0;
    for (const moment of moments(await unkilled("scripts/backup.ts", [], directory))) {
      atWork += Number(await killed("scripts/backup.ts", [], directory, moment));
      const copies = listBackups(directory);
      expect(copies.length).toBeGreaterThan(0);
      for (const { name } of copies) verifyCopy(join(directory, "backups", name));
    }
    // Else nothing was tried.
    expect(atWork).toBeGreaterThan(0);
  });

  it("a copy made while somebody writes is whole, and is the shop at one moment", async () => {
    const writer = spawn("node", ["node_modules/tsx/dist/cli.mjs", "tests/faults/writer.ts"], {
      env: { ...process.env, ZORBEK_DATA: directory },
      stdio: ["ignore", "pipe", "inherit"],
      detached: true,
    });
    try {
      await new Promise((begun) => writer.stdout.once("data", begun));
      const counts: number[] = [];
      for (let copy = 0; copy < 5; copy++) {
        const { name } = backUp(directory, new Date(Date.UTC(2026, 4, 21 + copy)));
        verifyCopy(join(directory, "backups", name));
        const db = new Database(join(directory, "backups", name, "zorbek.db"), { readonly: true });
        // The writer adds a customer and a supplier in one: a copy has both or neither.
        const rows = (table: string) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
        expect(rows("customer") - 4000).toBe(rows("supplier"));
        counts.push(rows("customer"));
        db.close();
      }
      // Else nothing was tried.
      expect(counts.at(-1)).toBeGreaterThan(counts[0]!);
    } finally {
      process.kill(-writer.pid!, "SIGKILL");
    }
  });

  it("bringing an archive in leaves an empty folder or a whole shop, and the next try goes", async () => {
    const file = join(directory, "shop.zip");
    const { hash } = await takeOut(directory, file, new Date());
    const spare = mkdtempSync(join(tmpdir(), "zorbek-kill-to-"));
    const whole = await unkilled("scripts/bring-in.ts", [file], spare);
    rmSync(spare, { recursive: true });
    for (const moment of moments(whole)) {
      const to = mkdtempSync(join(tmpdir(), "zorbek-kill-to-"));
      await killed("scripts/bring-in.ts", [file], to, moment);
      if (!existsSync(join(to, "zorbek.db"))) await bringInArchive(file, to);
      const db = new Database(join(to, "zorbek.db"), { readonly: true });
      expect(canonicalHash(db)).toBe(hash);
      db.close();
      expect(readdirSync(join(to, "photos"))).toHaveLength(60);
      rmSync(to, { recursive: true });
    }
  });

  it("bringing a spreadsheet in leaves all of its rows or none", async () => {
    const count = () => {
      const db = openDatabase(directory);
      const rows = db.prepare("SELECT count(*) FROM customer").pluck().get() as number;
      expect(db.pragma("integrity_check", { simple: true })).toBe("ok");
      expect(db.prepare("SELECT count(*) FROM find WHERE kind = 'customer'").pluck().get()).toBe(rows - 4000);
      db.close();
      return rows;
    };
    for (const moment of moments(await unkilled("tests/kill-import.ts", [], directory))) {
      await killed("tests/kill-import.ts", [], directory, moment);
      expect(count() % 1000).toBe(0);
    }
  });
});
