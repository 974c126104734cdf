import type { Db } from "./database";

export type FindKind = "job" | "reel" | "customer" | "model" | "part";

export interface FindHit {
  readonly kind: FindKind;
  readonly ref: string;
  readonly title: string;
}

/** Puts one thing into the find index, or renews what stands there. */
export function indexForFind(db: Db, entry: FindHit & { readonly words: string }): void {
  forgetInFind(db, entry);
  db.prepare("INSERT INTO find (words, kind, ref, title) VALUES (?, ?, ?, ?)").run(entry.words, entry.kind, entry.ref, entry.title);
}

/** Takes one thing out of the find index. What begins with the same reference is met too, so the whole of it is compared. */
export const forgetInFind = (db: Db, { kind, ref }: Pick<FindHit, "kind" | "ref">): void => {
  db.prepare("DELETE FROM find WHERE rowid IN (SELECT rowid FROM find WHERE find MATCH @phrase AND kind = @kind AND ref = @ref)").run({
    phrase: `ref : "${ref.replaceAll('"', '""')}"`,
    kind,
    ref,
  });
};

const queryOf = (text: string): string | null => {
  const words = text.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length ? `words : (${words.map((word) => `"${word}"*`).join(" ")})` : null;
};

/** The tag, and the serials, that are what was typed to the letter: they are what somebody reads off a tag or a reel. */
function findExactly(db: Db, text: string, kinds: readonly FindKind[]): FindHit[] {
  const bare = text.toUpperCase().replace(/[\s-]+/g, "");
  if (bare.length < 3 || bare.length > 40) return [];
  const wanted = (kind: FindKind) => !kinds.length || kinds.includes(kind);
  const tag = /^Z(\d+)(\d)$/.exec(bare);
  const jobs = tag && wanted("job") ? (db.prepare(jobTitle).all(`Z-${tag[1]}-${tag[2]}`) as FindHit[]) : [];
  const reels = wanted("reel") ? (db.prepare(reelTitle).all(bare) as FindHit[]) : [];
  return [...jobs, ...reels];
}
const jobTitle = `SELECT 'job' AS kind, job.tag AS ref, job.tag || ' ' || model.maker || ' ' || model.name || ', ' || customer.name AS title
  FROM job JOIN reel ON reel.id = job.reel_id JOIN model ON model.id = reel.model_id JOIN customer ON customer.id = job.customer_id WHERE job.tag = ?`;
const reelTitle = `SELECT 'reel' AS kind, CAST(reel.id AS TEXT) AS ref, model.maker || ' ' || model.name || ' ' || reel.serial AS title
  FROM reel JOIN model ON model.id = reel.model_id WHERE reel.serial = ? ORDER BY reel.id LIMIT 20`;

/**
 * Finds by the beginnings of words, best first; a whole tag or serial before everything else. Signs that mean something to FTS5 are dropped, so no
 * input is a syntax error.
 * @param kinds narrows to some kinds of thing; all without it. @param offset hits to leave out: of the pages before.
 */
export function findAnything(db: Db, text: string, limit = 20, kinds: readonly FindKind[] = [], offset = 0): FindHit[] {
  const query = queryOf(text);
  if (query === null) return [];
  const exact = offset ? [] : findExactly(db, text, kinds);
  const known = new Set(exact.map(({ kind, ref }) => `${kind} ${ref}`));
  const found = db
    .prepare(
      "SELECT kind, ref, title FROM find WHERE find MATCH @query AND (@kinds = '[]' OR kind IN (SELECT value FROM json_each(@kinds))) ORDER BY rank LIMIT @limit OFFSET @offset",
    )
    .all({ query, kinds: JSON.stringify(kinds), limit, offset }) as FindHit[];
  return [...exact, ...found.filter(({ kind, ref }) => !known.has(`${kind} ${ref}`))].slice(0, limit);
}

/** What is taken out of the index is overwritten from now on. */
export const overwriteInFind = (db: Db): void => {
  db.prepare("INSERT INTO find (find, rank) VALUES ('secure-delete', 1)").run();
};

/** Writes the whole index anew, so that nothing taken out is left in it. */
export const writeFindAnew = (db: Db): void => {
  db.prepare("INSERT INTO find (find) VALUES ('rebuild')").run();
};
