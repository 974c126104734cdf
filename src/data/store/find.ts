import type { Db } from "./database";

export type FindKind = "job" | "reel" | "customer" | "model" | "part";

export interface FindHit {
  readonly kind: FindKind;
  readonly ref: string;
  readonly title: string;
}

/** Puts one thing into the find index, or renews what stands there. @param isNew nothing stands there. */
export function indexForFind(db: Db, entry: FindHit & { readonly words: string }, isNew = false): void {
  if (!isNew) forgetInFind(db, entry);
  db.prepare("INSERT INTO find (words, kind, ref, title) VALUES (?, ?, ?, ?)").run(entry.words, entry.kind, entry.ref, entry.title);
}

/** Takes one thing out of the find index. Reads all of it: what is new is not looked for. */
export const forgetInFind = (db: Db, { kind, ref }: Pick<FindHit, "kind" | "ref">): void => {
  db.prepare("DELETE FROM find WHERE kind = ? AND ref = ?").run(kind, ref);
};

/**
 * Finds by the beginnings of words, best first. Signs that mean something to FTS5 are dropped, so no input is a syntax error.
 * @param kinds narrows to some kinds of thing; all without it.
 */
export function findAnything(db: Db, text: string, limit = 20, kinds: readonly FindKind[] = []): FindHit[] {
  const words = text.match(/[\p{L}\p{N}]+/gu) ?? [];
  if (!words.length) return [];
  const query = words.map((word) => `"${word}"*`).join(" ");
  return db
    .prepare(
      "SELECT kind, ref, title FROM find WHERE find MATCH @query AND (@kinds = '[]' OR kind IN (SELECT value FROM json_each(@kinds))) ORDER BY rank LIMIT @limit",
    )
    .all({ query, kinds: JSON.stringify(kinds), limit }) as FindHit[];
}
