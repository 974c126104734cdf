import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { copyBeforeMigration } from "./data-copy";
import { keepStatements } from "./kept-statements";
import { troubleOf } from "./trouble";
import { DataUnusable } from "./unusable";

export type Db = Database.Database;

/** Where the data lives. `ZORBEK_DATA` chooses; else `data` in the folder the server was started in. */
export const dataDirectory = (): string => process.env.ZORBEK_DATA ?? join(process.cwd(), "data");

export const migrationsDirectory = () => join(process.cwd(), "src", "data", "database", "migrations");

/**
 * Opens the database of a data directory and brings it up to date; before anything of it is changed a copy of database and pictures is kept.
 * WAL with synchronous FULL: the package's default under WAL is NORMAL, which may lose the last commits at a power cut.
 * @throws DataUnusable when a migration that was applied has been changed since, the file is newer than this program, or no copy can be made.
 */
export function openDatabase(
  directory: string = dataDirectory(),
  migrations = readMigrations(migrationsDirectory()),
  /** Told of every statement that is run, its values filled in: for counting them. */
  onStatement?: (sql: string) => void,
): Db {
  refuseEmptied(directory);
  const db = openFile(directory, onStatement);
  try {
    db.pragma("journal_mode = WAL");
    db.pragma("synchronous = FULL");
    db.pragma("foreign_keys = ON");
    db.pragma("trusted_schema = OFF");
    const { applied, missing } = missingMigrations(db, migrations);
    if (applied && missing[0]) copyBeforeMigration(db, directory, missing[0].name, new Date());
    migrate(db, migrations);
    return keepStatements(db);
  } catch (error) {
    db.close();
    throw unusable(error, directory) ?? error;
  }
}

function openFile(directory: string, onStatement?: (sql: string) => void): Db {
  try {
    mkdirSync(directory, { recursive: true });
    return new Database(join(directory, "zorbek.db"), {
      timeout: 5000,
      ...(onStatement ? { verbose: (sql?: unknown) => onStatement(String(sql)) } : {}),
    });
  } catch (error) {
    throw unusable(error, directory) ?? error;
  }
}

/** What SQLite or the file system says of a file that cannot be worked with now; null for anything else. */
function unusable(error: unknown, directory: string): DataUnusable | null {
  const trouble = troubleOf(error);
  const code = (error as { code?: string }).code ?? "";
  if (!trouble && !/^(ENOTDIR|EEXIST|EISDIR)/.test(code)) return null;
  return new DataUnusable(
    "cannot-open",
    `The database in ${directory} cannot be opened (${code}). ${trouble?.message ?? ""}`.trim(),
    trouble?.remedy ??
      "See that the folder is there, that it can be written to, and that zorbek.db in it is the shop's own. The folder “backups” holds copies.",
    { cause: error },
  );
}

/** A file of no bytes is what a full disk or a careless copy leaves of a shop, and SQLite would begin a new one in it. @throws DataUnusable */
function refuseEmptied(directory: string): void {
  const file = join(directory, "zorbek.db");
  const wasShop = existsSync(join(directory, "backups")) || existsSync(join(directory, "photos"));
  if (wasShop && existsSync(file) && statSync(file).size === 0 && !existsSync(`${file}-wal`))
    throw new DataUnusable(
      "emptied",
      `The database in ${directory} has no bytes left, though a shop was here.`,
      "Put the last good copy back: npm run restore lists them. The disk may have been full, or a copy was broken off.",
    );
}

/** An empty database as all migrations leave it: made once in a process, for tests open hundreds. */
let emptyImage: Buffer | null = null;

/** An empty database in memory with the real schema, for tests. */
export function openMemoryDatabase(): Db {
  if (!emptyImage) {
    const made = new Database(":memory:");
    made.pragma("foreign_keys = ON");
    migrate(made, readMigrations(migrationsDirectory()));
    emptyImage = made.serialize();
    made.close();
  }
  const db = new Database(emptyImage);
  db.pragma("foreign_keys = ON");
  return keepStatements(db);
}

export interface Migration {
  readonly name: string;
  readonly sql: string;
}

export const readMigrations = (directory: string): Migration[] =>
  readdirSync(directory)
    .filter((file) => /^\d{4}-.*\.sql$/.test(file))
    .sort()
    .map((name) => ({ name, sql: readFileSync(join(directory, name), "utf8") }));

const checksum = (sql: string): string => createHash("sha256").update(sql.replaceAll("\r\n", "\n")).digest("hex");

/**
 * Which migrations a database still lacks, in their order, and how many it has.
 * @throws DataUnusable when it has one that this program does not know, or one that has changed since.
 */
function missingMigrations(db: Db, migrations: readonly Migration[]): { applied: number; missing: Migration[] } {
  db.exec("CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, checksum TEXT NOT NULL, at TEXT NOT NULL) STRICT");
  const applied = new Map(
    (db.prepare("SELECT name, checksum FROM migration ORDER BY name").all() as { name: string; checksum: string }[]).map((row) => [
      row.name,
      row.checksum,
    ]),
  );
  for (const name of applied.keys())
    if (!migrations.some((migration) => migration.name === name))
      throw new DataUnusable(
        "newer",
        `This data was written by a newer Zorbek (${name}). This version would not understand all of it, so it changes nothing.`,
        "Start the newer version, or choose another data directory with ZORBEK_DATA.",
      );
  for (const { name, sql } of migrations)
    if (applied.has(name) && applied.get(name) !== checksum(sql))
      throw new DataUnusable(
        "changed-migration",
        `The step ${name} that once prepared this data is not the one this program has.`,
        "Put the program's own files back as they were delivered, or choose another data directory with ZORBEK_DATA.",
      );
  return { applied: applied.size, missing: migrations.filter(({ name }) => !applied.has(name)) };
}

/**
 * Applies what is missing, each migration and its log row in one transaction. References are looked over before it commits rather than at
 * each statement, so that a migration can build a table anew.
 */
export function migrate(db: Db, migrations: readonly Migration[]): void {
  for (const { name, sql } of missingMigrations(db, migrations).missing) {
    // Has no effect inside a transaction, so it stands around it.
    db.pragma("foreign_keys = OFF");
    try {
      db.transaction(() => {
        db.exec(sql);
        const broken = db.pragma("foreign_key_check") as { table: string }[];
        if (broken.length) throw new Error(`Migration ${name} would leave rows of ${broken[0]!.table} without what they point to.`);
        db.prepare("INSERT INTO migration (name, checksum, at) VALUES (?, ?, ?)").run(name, checksum(sql), new Date().toISOString());
      }).immediate();
    } finally {
      db.pragma("foreign_keys = ON");
    }
  }
}
