import { createHash, randomUUID } from "node:crypto";
import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { troubleOf } from "./trouble";
import { DataUnusable } from "./unusable";

/** How many copies stay; the oldest goes when a new one is safe. */
export const copiesKept = 5;

const copies = (directory: string) => join(directory, "backups");

function syncPath(path: string): void {
  const handle = openSync(path, "r");
  fsyncSync(handle);
  closeSync(handle);
}

/** A picture never changes under its name, so a second name for the same bytes is a copy that outlives the first; where links are not to be had the bytes are copied. */
function keepPicture(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
    syncPath(to);
  }
}

/**
 * Looks whether a copy can be worked with: opens it, has SQLite check every page and reference, and looks for every picture it names.
 * @param absent pictures that were missing already when it was made. @throws Error saying what is wrong with it.
 */
export function verifyCopy(folder: string, absent: ReadonlySet<string> = new Set()): void {
  const db = new Database(join(folder, "zorbek.db"), { readonly: true, fileMustExist: true });
  try {
    const integrity = db.pragma("integrity_check", { simple: true });
    if (integrity !== "ok") throw new Error(`its database is damaged: ${String(integrity)}`);
    if ((db.pragma("foreign_key_check") as unknown[]).length) throw new Error("its rows do not belong together");
    const hasPictures = db.prepare("SELECT 1 FROM sqlite_schema WHERE name = 'photo'").get();
    for (const hash of hasPictures ? (db.prepare("SELECT hash FROM photo").pluck().all() as string[]) : [])
      if (!absent.has(hash) && !existsSync(join(folder, "photos", `${hash}.jpg`))) throw new Error(`picture ${hash} is not in it`);
  } finally {
    db.close();
  }
}

/**
 * Lets a copy go: out of sight first, by one renaming, so that what a kill leaves of it is never taken for a copy.
 * @param remove takes away what is out of sight.
 */
export function letGo(folder: string, name: string, remove = (path: string): void => rmSync(path, { recursive: true, force: true })): void {
  if (!existsSync(join(folder, name))) return;
  const half = join(folder, `.half-${randomUUID()}`);
  renameSync(join(folder, name), half);
  remove(half);
}

/**
 * Copies the database as it is at one instant, with the pictures it names, into a folder that appears whole or not at all. SQLite writes the
 * copy itself (VACUUM INTO, its own way to back up a database in use); it is then on disk, and opened and looked over, before it counts.
 * @param db the open database. @param name what the copy is called. @returns its folder.
 */
export function copyData(db: Database.Database, directory: string, name: string): string {
  const half = join(copies(directory), `.half-${randomUUID()}`);
  const whole = join(copies(directory), name);
  try {
    mkdirSync(join(half, "photos"), { recursive: true });
    db.prepare("VACUUM INTO ?").run(join(half, "zorbek.db"));
    syncPath(join(half, "zorbek.db"));
    writeFileSync(join(half, hashName), `${hashOfFile(join(half, "zorbek.db"))}\n`);
    syncPath(join(half, hashName));
    const absent = new Set<string>();
    const copy = new Database(join(half, "zorbek.db"), { readonly: true });
    // Read from the copy, so that database and pictures are of the same instant.
    const hashes = copy.prepare("SELECT 1 FROM sqlite_schema WHERE name = 'photo'").get()
      ? (copy.prepare("SELECT hash FROM photo").pluck().all() as string[])
      : [];
    copy.close();
    for (const hash of hashes) {
      const picture = join(directory, "photos", `${hash}.jpg`);
      if (existsSync(picture)) keepPicture(picture, join(half, "photos", `${hash}.jpg`));
      else absent.add(hash);
    }
    verifyCopy(half, absent);
    syncPath(join(half, "photos"));
    syncPath(half);
    letGo(copies(directory), name);
    renameSync(half, whole);
    syncPath(copies(directory));
    return whole;
  } catch (error) {
    rmSync(half, { recursive: true, force: true });
    throw error;
  }
}

/** What the bytes of a copy's database were when it was made, beside it. */
const hashName = "zorbek.db.sha256";

/** SHA-256 of a file, a piece at a time. */
export function hashOfFile(path: string): string {
  const hash = createHash("sha256");
  const handle = openSync(path, "r");
  try {
    const piece = Buffer.alloc(1024 * 1024);
    for (let read = readSync(handle, piece); read > 0; read = readSync(handle, piece)) hash.update(piece.subarray(0, read));
  } finally {
    closeSync(handle);
  }
  return hash.digest("hex");
}

/** Pictures of a folder whose bytes are not what their name says, of those a database names; missing ones are not among them. */
export const rottenPictures = (folder: string, hashes: readonly string[]): string[] =>
  hashes.filter((hash) => {
    const path = join(folder, "photos", `${hash}.jpg`);
    return existsSync(path) && hashOfFile(path) !== hash;
  });

/**
 * Reads a copy whole: its database as it was written, every page and reference of it, every picture by its bytes.
 * @param directory the shop's own folder: a picture that is missing there too was missing when the copy was made.
 * @returns what is wrong with it, in words; empty where nothing is.
 */
export function readWhole(folder: string, directory: string): string {
  try {
    const kept = join(folder, hashName);
    if (existsSync(kept) && readFileSync(kept, "utf8").trim() !== hashOfFile(join(folder, "zorbek.db")))
      return "its database is not as it was written";
    const db = new Database(join(folder, "zorbek.db"), { readonly: true, fileMustExist: true });
    const hashes = db.prepare("SELECT 1 FROM sqlite_schema WHERE name = 'photo'").get()
      ? (db.prepare("SELECT hash FROM photo").pluck().all() as string[])
      : [];
    db.close();
    verifyCopy(folder, new Set(hashes.filter((hash) => !existsSync(join(directory, "photos", `${hash}.jpg`)))));
    const rotten = rottenPictures(folder, hashes);
    return rotten.length ? `${rotten.length} of its pictures ${rotten.length === 1 ? "is" : "are"} damaged (${rotten[0]}.jpg)` : "";
  } catch (error) {
    return (error as Error).message;
  }
}

/** The copies of a data directory, oldest first: their names begin with the instant they were made. */
export const listCopies = (directory: string): string[] =>
  existsSync(copies(directory))
    ? readdirSync(copies(directory))
        .filter((name) => /^\d{8}T\d{6}/.test(name))
        .sort()
    : [];

/**
 * The copy that is made before the first of some migrations changes anything. Older copies than the last five go.
 * @throws DataUnusable when it cannot be made: then nothing is changed either.
 */
export function copyBeforeMigration(db: Database.Database, directory: string, migration: string, now: Date): string {
  const stamp = now.toISOString().replace(/[-:]/g, "").slice(0, 15);
  try {
    const folder = copyData(db, directory, `${stamp}-before-${migration.replace(/\.sql$/, "")}`);
    // Those from before migrations alone: the daily ones have their own rule.
    const ofMigrations = listCopies(directory).filter((name) => /-before-\d/.test(name));
    for (const old of ofMigrations.slice(0, -copiesKept)) letGo(copies(directory), old);
    return folder;
  } catch (error) {
    const trouble = troubleOf(error);
    throw new DataUnusable(
      "no-copy",
      `This version of Zorbek keeps its data in a new way. It makes a copy of everything before it changes that, and the copy could not be made: ${
        trouble?.message ?? (error as Error).message
      } Nothing was changed.`,
      // What helps depends on what is wrong: room does nothing for a damaged file.
      trouble?.remedy ?? `npm run doctor says what is wrong in ${directory}; put the last good copy back with npm run restore.`,
      { cause: error },
    );
  }
}
