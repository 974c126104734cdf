import { createHash } from "node:crypto";
import { createWriteStream, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import Database from "better-sqlite3";
import Papa from "papaparse";
import yauzl, { type Entry, type ZipFile } from "yauzl";
import yazl from "yazl";
import { z } from "zod";
import { copyData } from "./data-copy";

/**
 * A whole shop as one file: format "zorbek-archive", version 1, a ZIP. It holds the database as it is, and, for whoever has no Zorbek, every table as
 * JSON Lines and as CSV, the pictures, and the schema in words. Its hash is of what the tables hold, whatever order or file they lie in.
 */
const manifestSchema = z.object({
  format: z.literal("zorbek-archive"),
  version: z.literal(1),
  madeAt: z.string(),
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  tables: z.record(z.string(), z.number().int()),
  pictures: z.number().int(),
});
export type ArchiveManifest = z.infer<typeof manifestSchema>;

/** The tables that hold what somebody wrote; the find index is made from them, and SQLite's own are its own. */
const tablesOf = (db: Database.Database): { name: string; sql: string }[] =>
  db
    .prepare(
      "SELECT name, sql FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT GLOB 'find*' ORDER BY name",
    )
    .all() as { name: string; sql: string }[];

const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;
const columnsOf = (db: Database.Database, table: string): string[] =>
  db.prepare(`SELECT name FROM pragma_table_info(?) ORDER BY cid`).pluck().all(table) as string[];

/** Rows in the order of all their columns, so that two databases that hold the same give the same. */
function rowsOf(db: Database.Database, table: string): IterableIterator<Record<string, unknown>> {
  const columns = columnsOf(db, table).map(quoted).join(", ");
  return db.prepare(`SELECT ${columns} FROM ${quoted(table)} ORDER BY ${columns}`).iterate() as IterableIterator<Record<string, unknown>>;
}

/** SHA-256 over every table's name and rows as JSON Lines, tables and rows in order. */
export function canonicalHash(db: Database.Database): string {
  const hash = createHash("sha256");
  for (const { name } of tablesOf(db)) {
    hash.update(`${name}\n`);
    for (const row of rowsOf(db, name)) hash.update(`${JSON.stringify(row)}\n`);
  }
  return hash.digest("hex");
}

/** A cell no spreadsheet takes for a formula (OWASP, CSV injection: a cell that begins with one of these signs gets an apostrophe before it). */
export const safeCell = (cell: unknown): unknown => (typeof cell === "string" && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);

function* jsonLines(db: Database.Database, table: string): Generator<string> {
  for (const row of rowsOf(db, table)) yield `${JSON.stringify(row)}\n`;
}

function* csvLines(db: Database.Database, table: string): Generator<string> {
  yield `\uFEFF${Papa.unparse([columnsOf(db, table)])}\r\n`;
  for (const row of rowsOf(db, table)) yield `${Papa.unparse([Object.values(row).map(safeCell)])}\r\n`;
}

const readMe = `This is a whole shop, taken out of Zorbek.

zorbek.db       the database itself (SQLite); a Zorbek begins with it: npm run bring-in -- THIS-FILE, into an empty folder
tables/*.jsonl  every table, one row a line, as JSON
tables/*.csv    the same for a spreadsheet: UTF-8, commas; a cell that would be taken for a formula has an apostrophe before it
photos/         the pictures, by the SHA-256 of their bytes
schema.sql      what every table and column is; what is in minor units (cents) says so in its name
manifest.json   when it was made, how many rows each table has, and the hash over all of them
`;

/**
 * Writes a shop into one file, as it is at one instant; the server may go on working. @param to a path that does not exist yet.
 * @returns what is in it. @throws Error where it could not be written: then there is no half file.
 */
export async function takeOut(directory: string, to: string, now: Date): Promise<ArchiveManifest> {
  const work = mkdtempSync(join(tmpdir(), "zorbek-out-"));
  const half = `${to}.half`;
  try {
    const live = new Database(join(directory, "zorbek.db"), { readonly: true, fileMustExist: true, timeout: 10_000 });
    // A copy beside the pictures of this shop, so that pictures and rows are of one instant.
    const copy = copyData(live, directory, ".out");
    live.close();
    renameSync(copy, join(work, "copy"));
    const db = new Database(join(work, "copy", "zorbek.db"), { readonly: true });
    try {
      const tables = tablesOf(db);
      const photos = readdirSync(join(work, "copy", "photos"));
      const manifest: ArchiveManifest = {
        format: "zorbek-archive",
        version: 1,
        madeAt: now.toISOString(),
        hash: canonicalHash(db),
        tables: Object.fromEntries(
          tables.map(({ name }) => [
            name,
            db
              .prepare(`SELECT count(*) FROM ${quoted(name)}`)
              .pluck()
              .get() as number,
          ]),
        ),
        pictures: photos.length,
      };
      const zip = new yazl.ZipFile();
      zip.addBuffer(Buffer.from(readMe), "README.txt");
      zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), "manifest.json");
      zip.addBuffer(Buffer.from(tables.map(({ sql }) => `${sql};\n`).join("\n")), "schema.sql");
      zip.addFile(join(work, "copy", "zorbek.db"), "zorbek.db");
      for (const { name } of tables) {
        // One after the other: each is read when it is written.
        zip.addReadStreamLazy(`tables/${name}.jsonl`, (give) => give(null, Readable.from(jsonLines(db, name))));
        zip.addReadStreamLazy(`tables/${name}.csv`, (give) => give(null, Readable.from(csvLines(db, name))));
      }
      for (const photo of photos) zip.addFile(join(work, "copy", "photos", photo), `photos/${photo}`, { compress: false });
      zip.end();
      await pipeline(zip.outputStream, createWriteStream(half, { mode: 0o600 }));
      renameSync(half, to);
      return manifest;
    } finally {
      db.close();
    }
  } catch (error) {
    rmSync(half, { force: true });
    throw error;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

/** The entries a shop is made of, and nothing else out of a file that came from somewhere. */
const wanted = /^(zorbek\.db|manifest\.json|photos\/[0-9a-f]{64}\.jpg)$/;
/** What an entry may hold unpacked: a file that swells without end is none of ours. */
const mostUnpacked = 20 * 1024 ** 3;

const openZip = (file: string): Promise<ZipFile> =>
  new Promise((settle, fail) => yauzl.open(file, { lazyEntries: true }, (error, zip) => (error ? fail(error) : settle(zip!))));

async function unpack(file: string, into: string): Promise<void> {
  const zip = await openZip(file);
  let left = mostUnpacked;
  await new Promise<void>((settle, fail) => {
    zip.on("error", fail);
    zip.on("end", settle);
    zip.on("entry", (entry: Entry) => {
      if (!wanted.test(entry.fileName)) return zip.readEntry();
      left -= entry.uncompressedSize;
      if (left < 0) return fail(new Error("it holds more than any shop."));
      zip.openReadStream(entry, (error, stream) => {
        if (error) return fail(error);
        const folder = entry.fileName.startsWith("photos/") ? join(into, "photos") : into;
        pipeline(stream!, createWriteStream(join(folder, basename(entry.fileName)), { mode: 0o600 })).then(() => zip.readEntry(), fail);
      });
    });
    zip.readEntry();
  });
  zip.close();
}

/**
 * Puts an archive's shop into a folder that has none. What comes is looked over whole (pages, references, hash, pictures) before the folder has it.
 * @throws Error saying what is wrong with the file, or that there is a shop already: then the folder is as it was.
 */
export async function bringInArchive(file: string, directory: string): Promise<ArchiveManifest> {
  if (existsSync(join(directory, "zorbek.db")))
    throw new Error(`There is a shop in ${directory} already. Name an empty folder with ZORBEK_DATA.`);
  mkdirSync(directory, { recursive: true, mode: 0o700 });
  const coming = join(directory, ".coming");
  rmSync(coming, { recursive: true, force: true });
  mkdirSync(join(coming, "photos"), { recursive: true });
  try {
    await unpack(file, coming).catch((error: Error) => {
      throw new Error(`${basename(file)} cannot be read as a shop's archive: ${error.message}`);
    });
    if (!existsSync(join(coming, "manifest.json")) || !existsSync(join(coming, "zorbek.db")))
      throw new Error(`${basename(file)} is no shop's archive: it has no manifest and no database.`);
    const manifest = manifestSchema.safeParse(JSON.parse(readFileSync(join(coming, "manifest.json"), "utf8")));
    if (!manifest.success) throw new Error(`${basename(file)} was written by another version: its manifest is not understood.`);
    const db = new Database(join(coming, "zorbek.db"), { readonly: true });
    try {
      if (db.pragma("integrity_check", { simple: true }) !== "ok") throw new Error("The archive's database is damaged.");
      if (canonicalHash(db) !== manifest.data.hash)
        throw new Error("The archive does not hold what its manifest says: it was changed on the way.");
    } finally {
      db.close();
    }
    for (const picture of readdirSync(join(coming, "photos"))) {
      const bytes = readFileSync(join(coming, "photos", picture));
      if (!bytes.length) throw new Error(`The picture ${picture} in it is empty.`);
    }
    if (existsSync(join(directory, "photos"))) rmSync(join(directory, "photos"), { recursive: true });
    renameSync(join(coming, "photos"), join(directory, "photos"));
    renameSync(join(coming, "zorbek.db"), join(directory, "zorbek.db"));
    return manifest.data;
  } finally {
    rmSync(coming, { recursive: true, force: true });
  }
}
