import "server-only";
import { appendFileSync } from "node:fs";
import { type Db, openDatabase } from "@/data/store/database";
import { backUpDaily } from "./daily-backup";

const holder = globalThis as typeof globalThis & { zorbekDb?: Db };

/** For `npm run bench`: a file that gets a line for every statement, so that those of one page can be counted. Holds customers' data. */
const statementLog = process.env.ZORBEK_STATEMENT_LOG;
const logStatement = statementLog ? (sql: string) => appendFileSync(statementLog, `${sql.replace(/\s+/g, " ")}\n`) : undefined;

/** The one open database of this server. Kept on globalThis because the bundler may load this module more than once. */
export function getDb(): Db {
  // What this server writes is for whoever runs it, and for nobody else on the computer.
  process.umask(0o077);
  holder.zorbekDb ??= openDatabase(undefined, undefined, logStatement);
  backUpDaily();
  return holder.zorbekDb;
}

/** Lets go of the database, so that another can take its place; whoever asks next opens that. */
export function closeDb(): void {
  holder.zorbekDb?.close();
  delete holder.zorbekDb;
}
