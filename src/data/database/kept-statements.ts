import type Database from "better-sqlite3";

type Statement = Database.Statement;
/** Statements are written in the program, so they are few; a page that made them up as it went would still not fill the memory. */
const mostKept = 2000;

/**
 * Lets a connection keep the statements it has prepared: preparing one anew at every call took a quarter of all time. A statement that plucks or
 * gives rows as lists is kept apart from the plain one, because the package sets that on the statement itself.
 */
export function keepStatements(db: Database.Database): Database.Database {
  const prepare = db.prepare.bind(db) as (sql: string) => Statement;
  const kept = new Map<string, Statement>();
  const keep = (key: string, make: () => Statement): Statement => {
    const known = kept.get(key);
    if (known) return known;
    if (kept.size >= mostKept) kept.clear();
    const made = make();
    kept.set(key, made);
    return made;
  };
  const plain = (sql: string): Statement =>
    keep(`plain ${sql}`, () => {
      const statement = prepare(sql);
      if (!statement.reader) return statement;
      return Object.assign(statement, {
        pluck: () => keep(`pluck ${sql}`, () => prepare(sql).pluck()),
        raw: () => keep(`raw ${sql}`, () => prepare(sql).raw()),
      });
    });
  return Object.assign(db, { prepare: plain });
}
