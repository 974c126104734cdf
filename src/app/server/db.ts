import "server-only";
import { appendFileSync } from "node:fs";
import { type Db, dataDirectory, openDatabase } from "@/data/database/database";
import { sweepHalfWritten } from "@/data/database/sweep";
import { forgetInvoiceNames } from "@/data/papers/invoice-names";
import { today } from "./clock";
import { backUpDaily } from "./daily-backup";

const holder = globalThis as typeof globalThis & { zorbekDb?: Db };

/** For `npm run bench`: a file that gets a line for every statement, so that those of one page can be counted. Holds customers' data. */
const statementLog = process.env.ZORBEK_STATEMENT_LOG;
const logStatement = statementLog ? (sql: string) => appendFileSync(statementLog, `${sql.replace(/\s+/g, " ")}\n`) : undefined;

/** The one open database of this server. Kept on globalThis because the bundler may load this module more than once. */
export function getDb(): Db {
  // What this server writes is for whoever runs it, and for nobody else on the computer.
  process.umask(0o077);
  if (!holder.zorbekDb) {
    holder.zorbekDb = openDatabase(undefined, undefined, logStatement);
    // A wait for another program stands still for everybody: what could not be written is tried again beside them (action.ts).
    holder.zorbekDb.pragma("busy_timeout = 60");
    sweepHalfWritten(dataDirectory(), new Date());
  }
  // A name kept for an invoice is let go of when its day has passed.
  backUpDaily(() => holder.zorbekDb && forgetInvoiceNames(holder.zorbekDb, today()));
  return holder.zorbekDb;
}

/** Lets go of the database, so that another can take its place; whoever asks next opens that. */
export function closeDb(): void {
  holder.zorbekDb?.close();
  delete holder.zorbekDb;
}
