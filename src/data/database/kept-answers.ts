import type { Db } from "./database";
import { rootOf } from "./read-once";

const answers = new WeakMap<Db, Map<string, { readonly standing: string; readonly value: unknown }>>();
/** Answers kept of one database; when there are more it begins anew. */
const mostKept = 400;

/**
 * An answer to a question that is dear and seldom changes: kept as long as what it stands on is the same. What is given must be left as it is.
 * @param question names it, with what it was asked for. @param standing what it stands on, cheap to ask: a count, a last number.
 */
export function keptAnswer<T>(db: Db, question: string, standing: string, answer: () => T): T {
  const root = rootOf(db);
  const own = answers.get(root) ?? answers.set(root, new Map()).get(root)!;
  const known = own.get(question);
  if (known?.standing === standing) return known.value as T;
  const value = answer();
  // What is seen inside a transaction may be rolled back, and the numbers it stands on given out again.
  if (root.inTransaction) return value;
  if (own.size >= mostKept) own.clear();
  own.set(question, { standing, value });
  return value;
}

/** The last act that was not about one job: what the library, the stores and the shop's rules stand on. Every change writes the journal. */
export const lastActOfShop = (db: Db): string =>
  String((db.prepare("SELECT max(id) FROM journal WHERE job_id IS NULL").pluck().get() as number | null) ?? 0);

/** The last reading taken after a service: what a model's record and norms stand on. */
export const lastReadingAfter = (db: Db): string =>
  String((db.prepare("SELECT max(id) FROM observation WHERE phase = 'after'").pluck().get() as number | null) ?? 0);

/** The last handing back: what is known of finished jobs stands on it. */
export const lastHandedBack = (db: Db): string =>
  (db.prepare("SELECT max(closed_at) FROM job WHERE closed_at IS NOT NULL").pluck().get() as string | null) ?? "";
