import { createHash } from "node:crypto";
import { mkdirSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";

export type Db = Database.Database;

/** Where the data lives. `ZORBEK_DATA` chooses; else `data` in the folder the server was started in. */
export const dataDirectory = (): string => process.env.ZORBEK_DATA ?? join(process.cwd(), "data");

const migrationsDirectory = () => join(process.cwd(), "src", "data", "migrations");

/**
 * Opens the database of a data directory and brings it up to date.
 * WAL with synchronous FULL: the package's default under WAL is NORMAL, which may lose the last commits at a power cut.
 * @throws Error when a migration that was applied has been changed since, or the file is newer than this program.
 */
export function openDatabase(directory: string = dataDirectory()): Db {
  mkdirSync(directory, { recursive: true });
  const db = new Database(join(directory, "zorbek.db"), { timeout: 5000 });
  db.pragma("journal_mode = WAL");
  db.pragma("synchronous = FULL");
  db.pragma("foreign_keys = ON");
  db.pragma("trusted_schema = OFF");
  migrate(db, readMigrations(migrationsDirectory()));
  return db;
}

/** An empty database in memory with the real schema, for tests. */
export function openMemoryDatabase(): Db {
  const db = new Database(":memory:");
  db.pragma("foreign_keys = ON");
  migrate(db, readMigrations(migrationsDirectory()));
  return db;
}

export interface Migration {
  readonly name: string;
  readonly sql: string;
}

const readMigrations = (directory: string): Migration[] =>
  readdirSync(directory)
    .filter((file) => /^\d{4}-.*\.sql$/.test(file))
    .sort()
    .map((name) => ({ name, sql: readFileSync(join(directory, name), "utf8") }));

const checksum = (sql: string): string => createHash("sha256").update(sql.replaceAll("\r\n", "\n")).digest("hex");

/**
 * Applies what is missing, each migration and its log row in one transaction. References are looked over before it commits rather than at
 * each statement, so that a migration can build a table anew.
 */
export function migrate(db: Db, migrations: readonly Migration[]): void {
  db.exec("CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, checksum TEXT NOT NULL, at TEXT NOT NULL) STRICT");
  const applied = new Map(
    (db.prepare("SELECT name, checksum FROM migration ORDER BY name").all() as { name: string; checksum: string }[]).map((row) => [
      row.name,
      row.checksum,
    ]),
  );
  for (const name of applied.keys())
    if (!migrations.some((migration) => migration.name === name))
      throw new Error(`This data was written by a newer Zorbek (${name}). Start that version, or choose another ZORBEK_DATA.`);
  for (const { name, sql } of migrations) {
    const sum = checksum(sql);
    const before = applied.get(name);
    if (before === sum) continue;
    if (before !== undefined)
      throw new Error(`Migration ${name} has changed since it was applied. Restore the file, or start with a fresh ZORBEK_DATA.`);
    // Has no effect inside a transaction, so it stands around it.
    db.pragma("foreign_keys = OFF");
    try {
      db.transaction(() => {
        db.exec(sql);
        const broken = db.pragma("foreign_key_check") as { table: string }[];
        if (broken.length) throw new Error(`Migration ${name} would leave rows of ${broken[0]!.table} without what they point to.`);
        db.prepare("INSERT INTO migration (name, checksum, at) VALUES (?, ?, ?)").run(name, sum, new Date().toISOString());
      }).immediate();
    } finally {
      db.pragma("foreign_keys = ON");
    }
  }
}
