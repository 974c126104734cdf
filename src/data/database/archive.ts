import { createHash, type Hash } from "node:crypto";
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import Database from "better-sqlite3";
import Papa from "papaparse";
import yauzl, { type Entry, type ZipFile } from "yauzl";
import yazl from "yazl";
import { z } from "zod";
import { safeCell } from "@/core/vocabulary/safe-cell";
import { copyData } from "./data-copy";
import { migrate, migrationsDirectory, readMigrations } from "./database";

/**
 * A whole shop as one file: format "zorbek-archive", version 2, a ZIP. It holds every table as JSON Lines and, for a spreadsheet, as CSV, the pictures,
 * and the schema in words. Who is signed in where, invitations, failed tries and what presses answered stay behind. Its hash is of what the tables
 * hold, whatever order they lie in.
 */
const manifestSchema = z.object({
  format: z.literal("zorbek-archive"),
  version: z.literal(2),
  madeAt: z.string(),
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  /** The steps its tables were made by: an older shop is brought up to date after its rows are in. */
  migrations: z
    .array(z.string().regex(/^\d{4}-[a-z0-9-]+\.sql$/))
    .min(1)
    .max(1000),
  tables: z.record(z.string().max(60), z.number().int().min(0)),
  pictures: z.number().int().min(0),
});
export type ArchiveManifest = z.infer<typeof manifestSchema>;

/** Tables that are of this computer and its devices alone; another one begins without them. */
const staysBehind: ReadonlySet<string> = new Set(["session", "invitation", "failed_try", "known_device", "press", "migration"]);
/** Columns that point to what stays behind. */
const cutOff: Readonly<Record<string, readonly string[]>> = { journal: ["session_id"] };

/** The tables that hold what somebody wrote; of the find index what it finds by, and SQLite's own are its own. */
const tablesOf = (db: Database.Database): { name: string; sql: string }[] =>
  (
    db
      .prepare(
        "SELECT name, sql FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND (name NOT GLOB 'find*' OR name = 'find') ORDER BY name",
      )
      .all() as { name: string; sql: string }[]
  ).filter(({ name }) => !staysBehind.has(name));

const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;
const columnsOf = (db: Database.Database, table: string): string[] =>
  db.prepare(`SELECT name FROM pragma_table_info(?) ORDER BY cid`).pluck().all(table) as string[];

/** Rows in the order of all their columns, so that two databases that hold the same give the same. */
function rowsOf(db: Database.Database, table: string): IterableIterator<Record<string, unknown>> {
  const cut = new Set(cutOff[table]);
  const columns = columnsOf(db, table);
  const shown = columns.map((name) => (cut.has(name) ? `NULL AS ${quoted(name)}` : quoted(name))).join(", ");
  const order = columns.filter((name) => !cut.has(name)).map(quoted);
  return db.prepare(`SELECT ${shown} FROM ${quoted(table)} ORDER BY ${order.join(", ")}`).iterate() as IterableIterator<
    Record<string, unknown>
  >;
}

/** SHA-256 over every table's name and rows as JSON Lines, tables and rows in order; without what stays behind. */
export function canonicalHash(db: Database.Database): string {
  const hash = createHash("sha256");
  for (const { name } of tablesOf(db)) {
    hash.update(`${name}\n`);
    for (const row of rowsOf(db, name)) hash.update(`${JSON.stringify(row)}\n`);
  }
  return hash.digest("hex");
}

export { safeCell };

function* jsonLines(db: Database.Database, table: string): Generator<string> {
  for (const row of rowsOf(db, table)) yield `${JSON.stringify(row)}\n`;
}

function* csvLines(db: Database.Database, table: string): Generator<string> {
  yield `\uFEFF${Papa.unparse([columnsOf(db, table)])}\r\n`;
  for (const row of rowsOf(db, table)) yield `${Papa.unparse([Object.values(row).map(safeCell)])}\r\n`;
}

const readMe = `This is a whole shop, taken out of Zorbek.

tables/*.jsonl  every table, one row a line, as JSON; another Zorbek begins with them: npm run bring-in -- THIS-FILE, into an empty folder
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
        version: 2,
        migrations: db.prepare("SELECT name FROM migration ORDER BY name").pluck().all() as string[],
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
const wanted = /^(manifest\.json|tables\/[a-z_]{1,60}\.jsonl|photos\/[0-9a-f]{64}\.jpg)$/;
/** What an entry may hold unpacked: a file that swells without end is none of ours. */
const mostUnpacked = 20 * 1024 ** 3;
/** The longest row of a table. */
const longestLine = 16 * 1024 ** 2;

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
        pipeline(stream!, createWriteStream(join(into, entry.fileName), { mode: 0o600, flags: "wx" })).then(() => zip.readEntry(), fail);
      });
    });
    zip.readEntry();
  });
  zip.close();
}

/** The words of a file that is meant to be JSON. @throws Error that names the place. */
function parsed(text: string, where: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Error(`${where} cannot be read: it is no JSON. The file was damaged or changed on the way.`);
  }
}

const cell = z.union([z.string(), z.number(), z.null()]);

/** A file's lines, split where JSON Lines splits and nowhere else. @throws Error for one that is longer than any row. */
async function* linesOf(file: string, where: string): AsyncGenerator<string> {
  let rest = "";
  for await (const chunk of createReadStream(file, "utf8") as AsyncIterable<string>) {
    rest += chunk;
    let at = rest.indexOf("\n");
    for (; at >= 0; at = rest.indexOf("\n")) {
      yield rest.slice(0, at);
      rest = rest.slice(at + 1);
    }
    if (rest.length > longestLine) throw new Error(`${where} has a line that is longer than any row of a shop.`);
  }
  if (rest) yield rest;
}

/**
 * Reads one table's rows into the schema of our own. @param hash is fed with the rows as they stand in the file.
 * @returns how many. @throws Error for what is no row of this table.
 */
async function readTable(db: Database.Database, table: string, file: string, hash: Hash): Promise<number> {
  const columns = columnsOf(db, table);
  const put = db.prepare(`INSERT INTO ${quoted(table)} (${columns.map(quoted).join(", ")}) VALUES (${columns.map(() => "?").join(", ")})`);
  hash.update(`${table}\n`);
  let n = 0;
  for await (const line of linesOf(file, `tables/${table}.jsonl`)) {
    const where = `tables/${table}.jsonl, line ${n + 1}`;
    const row = z.record(z.string(), cell).safeParse(parsed(line, where));
    if (!row.success) throw new Error(`${where} is no row: words, figures or nothing in each column.`);
    const names = Object.keys(row.data);
    if (names.length !== columns.length || names.some((name) => !columns.includes(name)))
      throw new Error(`${where} has other columns than this table.`);
    hash.update(`${line}\n`);
    try {
      put.run(columns.map((name) => row.data[name]));
    } catch (error) {
      throw new Error(`${where} cannot be: ${(error as Error).message}.`);
    }
    n++;
  }
  return n;
}

/** Who works in a shop that came in, and as what: said to whoever brings it in. */
export interface BroughtIn {
  readonly manifest: ArchiveManifest;
  readonly people: readonly { readonly name: string; readonly role: string; readonly active: boolean }[];
  /** Pictures that rows name and the file does not have. */
  readonly missing: number;
}

/** Builds the database of an archive anew: our own schema as it was then, its rows, then whatever came since. */
async function rebuild(coming: string, manifest: ArchiveManifest): Promise<void> {
  const ours = readMigrations(migrationsDirectory());
  const until = manifest.migrations.length;
  if (manifest.migrations.some((name, i) => ours[i]?.name !== name))
    throw new Error("It was taken out of a newer Zorbek, or of another program: its tables are not known here.");
  const db = new Database(join(coming, "zorbek.db"));
  try {
    db.pragma("journal_mode = WAL");
    db.pragma("trusted_schema = OFF");
    migrate(db, ours.slice(0, until));
    const tables = tablesOf(db).map(({ name }) => name);
    const strange = Object.keys(manifest.tables).filter((name) => !tables.includes(name));
    if (strange.length) throw new Error(`It has a table “${strange[0]}”, which no shop has.`);
    // Rows are put in as they are: what our own triggers once did for them is in them already.
    const triggers = db.prepare("SELECT name, sql FROM sqlite_schema WHERE type = 'trigger'").all() as { name: string; sql: string }[];
    db.pragma("foreign_keys = OFF");
    db.exec("BEGIN");
    for (const { name } of triggers) db.exec(`DROP TRIGGER ${quoted(name)}`);
    // Rows that a migration itself put into a new shop: they come with the file.
    for (const table of tables) db.exec(`DELETE FROM ${quoted(table)}`);
    const hash = createHash("sha256");
    for (const table of tables) {
      const file = join(coming, "tables", `${table}.jsonl`);
      if (!existsSync(file)) throw new Error(`The table “${table}” is not in it.`);
      const rows = await readTable(db, table, file, hash);
      if (rows !== manifest.tables[table])
        throw new Error(`The table “${table}” has ${rows} rows, its manifest says ${manifest.tables[table]}: it was changed on the way.`);
    }
    if (hash.digest("hex") !== manifest.hash)
      throw new Error("The archive does not hold what its manifest says: it was changed on the way.");
    for (const { sql } of triggers) db.exec(sql);
    const strays = db.pragma("foreign_key_check") as { table: string }[];
    if (strays.length) throw new Error(`${strays.length} rows of it belong to nothing, the first of “${strays[0]!.table}”.`);
    db.exec("COMMIT");
    db.pragma("foreign_keys = ON");
    migrate(db, ours);
    if (!db.prepare("SELECT 1 FROM person WHERE role = 'owner' AND active = 1").get())
      throw new Error("Nobody in it is an owner: such a shop could not be changed any more.");
    db.pragma("wal_checkpoint(TRUNCATE)");
    db.pragma("journal_mode = DELETE");
  } finally {
    db.close();
  }
}

/** Looks the pictures over: each is what its name says, and one that no row names does not come along. @returns how many are named and missing. */
function checkPictures(coming: string): number {
  const db = new Database(join(coming, "zorbek.db"), { readonly: true });
  try {
    const named = new Set(db.prepare("SELECT hash FROM photo").pluck().all() as string[]);
    for (const picture of readdirSync(join(coming, "photos"))) {
      const path = join(coming, "photos", picture);
      const hash = picture.replace(/\.jpg$/, "");
      if (createHash("sha256").update(readFileSync(path)).digest("hex") !== hash)
        throw new Error(`The picture ${picture} in it is not the one its name says: it was damaged or changed.`);
      if (!named.has(hash)) rmSync(path);
    }
    return [...named].filter((hash) => !existsSync(join(coming, "photos", `${hash}.jpg`))).length;
  } finally {
    db.close();
  }
}

/**
 * Puts an archive's shop into a folder that has none. An archive is a stranger: its rows are read into a schema of our own and looked over whole
 * (columns, counts, hash, references, pictures by their hash, owners) before the folder has anything.
 * @throws Error saying what is wrong with the file, or that there is a shop already: then the folder is as it was.
 */
export async function bringInArchive(file: string, directory: string): Promise<BroughtIn> {
  if (existsSync(join(directory, "zorbek.db")))
    throw new Error(`There is a shop in ${directory} already. Name an empty folder with ZORBEK_DATA.`);
  mkdirSync(directory, { recursive: true, mode: 0o700 });
  const coming = join(directory, ".coming");
  rmSync(coming, { recursive: true, force: true });
  for (const folder of ["photos", "tables"]) mkdirSync(join(coming, folder), { recursive: true });
  try {
    await unpack(file, coming).catch((error: Error) => {
      throw new Error(`${basename(file)} cannot be read as a shop's archive: ${error.message}`);
    });
    if (!existsSync(join(coming, "manifest.json"))) throw new Error(`${basename(file)} is no shop's archive: it has no manifest.`);
    const manifest = manifestSchema.safeParse(parsed(readFileSync(join(coming, "manifest.json"), "utf8"), "manifest.json"));
    if (!manifest.success)
      throw new Error(
        `${basename(file)} was written by another version: its manifest is not understood. Take it out anew with this version.`,
      );
    await rebuild(coming, manifest.data);
    const missing = checkPictures(coming);
    const db = new Database(join(coming, "zorbek.db"), { readonly: true });
    const people = (
      db.prepare("SELECT name, role, active FROM person ORDER BY id").all() as { name: string; role: string; active: 0 | 1 }[]
    ).map((one) => ({ ...one, active: one.active === 1 }));
    db.close();
    if (existsSync(join(directory, "photos"))) rmSync(join(directory, "photos"), { recursive: true });
    renameSync(join(coming, "photos"), join(directory, "photos"));
    renameSync(join(coming, "zorbek.db"), join(directory, "zorbek.db"));
    return { manifest: manifest.data, people, missing };
  } finally {
    rmSync(coming, { recursive: true, force: true });
  }
}
