import "server-only";
import { appendFileSync } from "node:fs";
import { type Db, openDatabase } from "@/data/store/database";

const holder = globalThis as typeof globalThis & { zorbekDb?: Db };

/** For `npm run bench`: a file that gets a line for every statement, so that those of one page can be counted. Holds customers' data. */
const statementLog = process.env.ZORBEK_STATEMENT_LOG;
const logStatement = statementLog ? (sql: string) => appendFileSync(statementLog, `${sql.replace(/\s+/g, " ")}\n`) : undefined;

/** The one open database of this server. Kept on globalThis because the bundler may load this module more than once. */
export function getDb(): Db {
  // What this server writes is for whoever runs it, and for nobody else on the computer.
  process.umask(0o077);
  holder.zorbekDb ??= openDatabase(undefined, undefined, logStatement);
  return holder.zorbekDb;
}
