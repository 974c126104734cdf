import "server-only";
import { type Db, openDatabase } from "@/data/store/database";

const holder = globalThis as typeof globalThis & { zorbekDb?: Db };

/** The one open database of this server. Kept on globalThis because the bundler may load this module more than once. */
export function getDb(): Db {
  holder.zorbekDb ??= openDatabase();
  return holder.zorbekDb;
}
