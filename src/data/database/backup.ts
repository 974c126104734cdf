import { randomUUID } from "node:crypto";
import {
  closeSync,
  copyFileSync,
  cpSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { msPerDay, msPerHour } from "@/core/day/day";
import { copyData, letGo, listCopies, verifyCopy } from "./data-copy";

/** What stays of the daily copies: one a day for a week, one a week for five, one a month for twelve. */
export const backupsKept = { days: 7, weeks: 5, months: 12 } as const;
const daily = "-daily";
const beforeImport = "-before-import";
const byHand = "-by-hand";
/** Why a copy is made. */
export type BackupWhy = "daily" | "before-import" | "by-hand";
const suffix: Readonly<Record<BackupWhy, string>> = { daily, "before-import": beforeImport, "by-hand": byHand };
/** How many copies made by hand stay. */
export const handCopiesKept = 20;
/** How many copies from before an import stay. */
export const importCopiesKept = 5;
const folderOf = (directory: string) => join(directory, "backups");
export const stampOf = (now: Date): string => now.toISOString().replace(/[-:]/g, "").slice(0, 15);

/** The instant in a copy's name, ISO; null where it has none. */
export function instantOf(name: string): string | null {
  const [, year, month, day, hour, minute, second] = /^(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)/.exec(name) ?? [];
  return year ? `${year}-${month}-${day}T${hour}:${minute}:${second}.000Z` : null;
}

const weekOf = (name: string): number => Math.floor(Date.parse(instantOf(name)!) / (7 * msPerDay));

/**
 * Which of the daily copies stay: the newest of each of the last seven days that have one, of five weeks, of twelve months. By the copies alone: a
 * clock that was set wrong for a while throws nothing away.
 */
export function backupsToKeep(names: readonly string[]): Set<string> {
  const newestFirst = names
    .filter((name) => name.endsWith(daily) && instantOf(name))
    .sort()
    .reverse();
  const kept = new Set<string>();
  const keep = (spanOf: (name: string) => string | number, most: number) => {
    const seen = new Set<string | number>();
    for (const name of newestFirst) {
      const span = spanOf(name);
      if (seen.has(span)) continue;
      if (seen.size >= most) break;
      seen.add(span);
      kept.add(name);
    }
  };
  keep((name) => name.slice(0, 8), backupsKept.days);
  keep(weekOf, backupsKept.weeks);
  keep((name) => name.slice(0, 6), backupsKept.months);
  return kept;
}

function thin(folder: string, names: readonly string[]): void {
  const kept = backupsToKeep(names);
  for (const name of names) if (name.endsWith(daily) && !kept.has(name)) letGo(folder, name);
  const older = (end: string, kept: number) =>
    names
      .filter((name) => name.endsWith(end))
      .sort()
      .slice(0, -kept);
  // A copy made by hand is none of the day's: it gives way to later ones by hand alone.
  for (const name of [...older(beforeImport, importCopiesKept), ...older(byHand, handCopiesKept)]) letGo(folder, name);
  // What a killed backup left half.
  for (const name of readdirSync(folder))
    if (name.startsWith(".half-") && statSync(join(folder, name)).mtimeMs < Date.now() - msPerHour)
      rmSync(join(folder, name), { recursive: true, force: true });
}

export interface BackedUp {
  readonly name: string;
  /** What became of the second place; empty where none is named. */
  readonly second: string;
}

/**
 * Copies a shop's data as it is at one instant into its folder “backups”, opens the copy and looks it over, lets go of what is older than is
 * kept, and puts a second copy where one is wanted. A reader beside the server: nobody waits for it.
 * @param why a day's copy, one from before an import or one made by hand: each kind is kept by itself. @param second a folder such as a stick; empty for none. One that is not there now is said and does not fail the first. @throws Error when no
 * whole copy could be made: earlier ones stay.
 */
export function backUp(directory: string, now: Date, second: string | null = null, why: BackupWhy = "daily"): BackedUp {
  const db = new Database(join(directory, "zorbek.db"), { readonly: true, fileMustExist: true, timeout: 10_000 });
  try {
    const name = `${stampOf(now)}${suffix[why]}`;
    copyData(db, directory, name);
    thin(folderOf(directory), listCopies(directory));
    return { name, second: toSecondPlace(directory, name, second ?? secondPlaceOf(db)) };
  } finally {
    db.close();
  }
}

/** The second place as the shop's rules name it. */
function secondPlaceOf(db: Database.Database): string {
  const row = db.prepare("SELECT json_extract(value, '$.backupTo') FROM setting WHERE key = 'shop'").pluck().get();
  return typeof row === "string" ? row : "";
}

function toSecondPlace(directory: string, name: string, place: string): string {
  if (!place) return "";
  if (!existsSync(place)) return `${place} is not connected: the backup is only on this computer.`;
  const folder = join(place, "zorbek-backups");
  const half = join(folder, `.half-${randomUUID()}`);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    // Bytes, not links: a stick goes into a pocket.
    cpSync(join(folderOf(directory), name), half, { recursive: true });
    verifyCopy(half, missingIn(half));
    letGo(folder, name);
    renameSync(half, join(folder, name));
    thin(
      folder,
      readdirSync(folder).filter((one) => instantOf(one)),
    );
    return `also in ${folder}`;
  } catch (error) {
    rmSync(half, { recursive: true, force: true });
    return `${place} took no copy (${(error as { code?: string }).code ?? "damaged on the way"}): the backup is only on this computer.`;
  }
}

/** Pictures a copy names and never had. */
function missingIn(folder: string): Set<string> {
  const db = new Database(join(folder, "zorbek.db"), { readonly: true });
  try {
    const hashes = db.prepare("SELECT 1 FROM sqlite_schema WHERE name = 'photo'").get()
      ? (db.prepare("SELECT hash FROM photo").pluck().all() as string[])
      : [];
    return new Set(hashes.filter((hash) => !existsSync(join(folder, "photos", `${hash}.jpg`))));
  } finally {
    db.close();
  }
}

export interface Copy {
  readonly name: string;
  /** ISO instant. */
  readonly at: string;
  readonly bytes: number;
}

/** The copies of a shop, newest first. */
export const listBackups = (directory: string): Copy[] =>
  listCopies(directory)
    .reverse()
    .flatMap((name) => {
      const at = instantOf(name);
      const file = join(folderOf(directory), name, "zorbek.db");
      return at && existsSync(file) ? [{ name, at, bytes: statSync(file).size }] : [];
    });

/** Whether a day has its copy. */
export const backedUpOn = (directory: string, now: Date): boolean =>
  listCopies(directory).some((name) => name.endsWith(daily) && name.slice(0, 8) === stampOf(now).slice(0, 8));

const syncFile = (path: string) => {
  const handle = openSync(path, "r");
  fsyncSync(handle);
  closeSync(handle);
};

/**
 * Puts a copy in the place of a shop's data. What is there now is copied first, or, where it cannot be opened, kept as it is; the copy is looked
 * over before anything changes; and the database changes by one renaming, so that whatever happens half-way one whole one is there.
 * @returns where what was there before lies. @throws Error where the copy is damaged, or a server still works with the data.
 */
export function restore(directory: string, name: string, now: Date): { before: string } {
  const copy = join(folderOf(directory), name);
  if (!listCopies(directory).includes(name)) throw new Error(`There is no copy ${name}.`);
  verifyCopy(copy, missingIn(copy));
  const file = join(directory, "zorbek.db");
  const before = setAside(directory, file, now);
  const coming = join(directory, "zorbek.db.coming");
  copyFileSync(join(copy, "zorbek.db"), coming);
  syncFile(coming);
  mkdirSync(join(directory, "photos"), { recursive: true });
  // Pictures never change under their name: those of the copy that are gone come back, the others stay.
  for (const picture of existsSync(join(copy, "photos")) ? readdirSync(join(copy, "photos")) : [])
    if (!existsSync(join(directory, "photos", picture))) putPicture(join(copy, "photos", picture), join(directory, "photos", picture));
  for (const rest of ["-wal", "-shm"]) rmSync(`${file}${rest}`, { force: true });
  renameSync(coming, file);
  syncFile(directory);
  return { before };
}

function putPicture(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

/** Keeps what is there: as a copy where it opens, else the files as they are. Leaves no log of writes behind, so that none is mixed with what comes. */
function setAside(directory: string, file: string, now: Date): string {
  const stamp = stampOf(now);
  if (!existsSync(file)) return "";
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { timeout: 2000 });
    // Refused while anybody else has it open.
    db.pragma("journal_mode = DELETE");
    const folder = copyData(db, directory, `${stamp}-before-restore`);
    db.close();
    return folder;
  } catch (error) {
    db?.close();
    if (String((error as { code?: string }).code).startsWith("SQLITE_BUSY"))
      throw new Error("A Zorbek still works with this data. Stop it (Ctrl+C in its window), then restore.");
    const folder = join(folderOf(directory), `damaged-${stamp}`);
    mkdirSync(folder, { recursive: true });
    for (const rest of ["", "-wal", "-shm"])
      if (existsSync(/* turbopackIgnore: true */ `${file}${rest}`)) copyFileSync(`${file}${rest}`, join(folder, `zorbek.db${rest}`));
    return folder;
  }
}
