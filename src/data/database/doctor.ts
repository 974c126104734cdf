import { type Dirent, existsSync, readdirSync, statfsSync, statSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { msPerDay } from "@/core/day/day";
import { readWhole, rottenPictures } from "./data-copy";

/** One thing looked at: what it is, whether it is as it should be, and what to do where it is not. */
export interface Looked {
  readonly what: string;
  readonly state: "good" | "look" | "bad";
  readonly words: string;
  /** Empty where nothing is to be done. */
  readonly todo: string;
}

const good = (what: string, words: string): Looked => ({ what, state: "good", words, todo: "" });
const gigabyte = 1024 ** 3;

export interface Surroundings {
  readonly nodeVersion: string;
  readonly freeBytes: number;
  readonly now: Date;
  /** The migrations this program brings. */
  readonly migrations: readonly string[];
}

/** What surrounds a data directory here and now. */
export const surroundingsOf = (directory: string, migrations: readonly string[]): Surroundings => {
  const { bavail, bsize } = statfsSync(existsSync(directory) ? directory : ".");
  return { nodeVersion: process.versions.node, freeBytes: bavail * bsize, now: new Date(), migrations };
};

function lookAtNode(version: string): Looked {
  const major = Number(version.split(".")[0]);
  return major >= 20
    ? good("Node", `version ${version}`)
    : { what: "Node", state: "bad", words: `version ${version} is too old`, todo: "Install Node 20 or newer." };
}

function lookAtDisk(free: number): Looked {
  const words = `${(free / gigabyte).toFixed(1)} GB free`;
  if (free > 2 * gigabyte) return good("Disk", words);
  return {
    what: "Disk",
    state: free < 0.2 * gigabyte ? "bad" : "look",
    words,
    todo: "Make room: old pictures outside Zorbek, other programs' files. Nothing is lost while it is full, but nothing more can be written.",
  };
}

/** Files that anybody else on this computer could read. Windows keeps rights another way. */
function lookAtRights(directory: string): Looked {
  if (process.platform === "win32") return good("Rights", "as the folder's own");
  const open = (path: string) => (statSync(path).mode & 0o077) !== 0;
  const files = readdirSync(directory, { withFileTypes: true }).filter((entry: Dirent) => entry.isFile());
  const wide = [...(open(directory) ? [directory] : []), ...files.map(({ name }) => join(directory, name)).filter(open)];
  return wide.length
    ? {
        what: "Rights",
        state: "look",
        words: `others on this computer can read ${wide.length === 1 ? wide[0] : `${wide.length} files`}`,
        todo: `chmod -R go= ${directory}`,
      }
    : good("Rights", "only you can read it");
}

/** The database itself, its pictures, and whether this program knows it. */
function lookAtData(directory: string, migrations: readonly string[]): Looked[] {
  const file = join(directory, "zorbek.db");
  if (!existsSync(file)) return [{ what: "Data", state: "look", words: "no shop in this folder yet", todo: "npm start begins one." }];
  const restore = "Put back the newest whole copy from the folder “backups” (npm run restore), and keep the damaged file.";
  if (statSync(file).size === 0) return [{ what: "Data", state: "bad", words: "zorbek.db is empty: nothing is in it", todo: restore }];
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { readonly: true, fileMustExist: true });
    const integrity = db.pragma("integrity_check", { simple: true });
    if (integrity !== "ok") return [{ what: "Data", state: "bad", words: `damaged: ${String(integrity).slice(0, 120)}`, todo: restore }];
    const strays = (db.pragma("foreign_key_check") as unknown[]).length;
    const applied = db.prepare("SELECT name FROM migration ORDER BY name").pluck().all() as string[];
    const newer = applied.filter((name) => !migrations.includes(name));
    const pictures = db.prepare("SELECT hash FROM photo").pluck().all() as string[];
    const missing = pictures.filter((hash) => !existsSync(join(directory, "photos", `${hash}.jpg`)));
    const rotten = rottenPictures(directory, pictures);
    return [
      strays
        ? { what: "Data", state: "bad", words: `${strays} rows belong to nothing`, todo: restore }
        : good("Data", `whole, ${(statSync(file).size / 1024 ** 2).toFixed(1)} MB`),
      newer.length
        ? { what: "Version", state: "bad", words: `written by a newer Zorbek (${newer[0]})`, todo: "Start the newer version." }
        : good("Version", applied.length < migrations.length ? "brought up to date when it is started next" : "up to date"),
      rotten.length
        ? {
            what: "Pictures",
            state: "bad",
            words: `${rotten.length} of ${pictures.length} are damaged (${rotten[0]}.jpg): their bytes are not those that were kept`,
            todo: "Copy them back from a copy in the folder “backups”, photos, in which they are whole; the disk may be failing.",
          }
        : missing.length
          ? {
              what: "Pictures",
              state: "look",
              words: `${missing.length} of ${pictures.length} are missing (${missing[0]}.jpg)`,
              todo: "Look for them in the folder “backups”, photos, and copy them back; pages show the rest meanwhile.",
            }
          : good("Pictures", `${pictures.length}, all there and as they were kept`),
    ];
  } catch (error) {
    const code = (error as { code?: string }).code ?? "";
    return [{ what: "Data", state: "bad", words: `cannot be opened (${code || String(error).slice(0, 80)})`, todo: restore }];
  } finally {
    db?.close();
  }
}

/** How many copies are read whole each time: the newest, and one more that moves on from day to day, so that in time each is. */
const readEachTime = 2;

/** A copy's age counts: a week old is an alarm; and so does whether it can be put back. */
function lookAtCopies(directory: string, now: Date): Looked {
  const folder = join(directory, "backups");
  const copies = existsSync(folder)
    ? readdirSync(folder, { withFileTypes: true }).filter((one) => one.isDirectory() && !one.name.startsWith("."))
    : [];
  if (!copies.length)
    return {
      what: "Backup",
      state: "look",
      words: "none yet",
      todo: "npm run backup makes one; the server makes one a day while it runs.",
    };
  const byAge = copies.map(({ name }) => ({ name, at: statSync(join(folder, name)).mtimeMs })).sort((a, b) => b.at - a.at);
  // A copy of a file that was damaged already is no copy to put back.
  const whole = byAge.filter(({ name }) => !name.startsWith("damaged-"));
  const others = whole.slice(1);
  const chosen = [whole[0], others[Math.floor(now.getTime() / msPerDay) % Math.max(1, others.length)]]
    .flatMap((one) => (one ? [one.name] : []))
    .slice(0, readEachTime);
  const wrong = chosen.flatMap((name) => {
    const words = readWhole(join(folder, name), directory);
    return words ? [`${name}: ${words}`] : [];
  });
  if (wrong.length)
    return {
      what: "Backup",
      state: "bad",
      words: `a copy cannot be put back. ${wrong.join("; ")}`,
      todo: "npm run backup makes a new one now; keep the damaged one apart, and have the disk looked at.",
    };
  const days = (now.getTime() - (whole[0]?.at ?? 0)) / msPerDay;
  const words = `${copies.length} kept, ${chosen.length === 1 ? "the newest" : "the newest and one more"} read whole; the newest ${days < 1 ? "of today" : `${Math.floor(days)} day${days < 2 ? "" : "s"} old`}`;
  return days < 7
    ? good("Backup", words)
    : { what: "Backup", state: "bad", words, todo: "npm run backup, and leave the server running once a day." };
}

/** Looks a data directory over, and what surrounds it. Changes nothing. */
export function examine(directory: string, { nodeVersion, freeBytes, now, migrations }: Surroundings): Looked[] {
  if (!existsSync(directory))
    return [
      lookAtNode(nodeVersion),
      { what: "Folder", state: "look", words: `${directory} is not there yet`, todo: "npm start makes it." },
    ];
  return [
    lookAtNode(nodeVersion),
    lookAtDisk(freeBytes),
    lookAtRights(directory),
    ...lookAtData(directory, migrations),
    lookAtCopies(directory, now),
  ];
}
