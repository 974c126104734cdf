import Database from "better-sqlite3";
import { describe, expect, it } from "vitest";
import { keepStatements } from "./kept-statements";

describe("a connection that keeps its statements", () => {
  const db = keepStatements(new Database(":memory:"));
  db.exec("CREATE TABLE thing (id INTEGER PRIMARY KEY, name TEXT) STRICT; INSERT INTO thing VALUES (1, 'star'), (2, 'dog')");
  const sql = "SELECT id, name FROM thing ORDER BY id";

  it("gives the same statement for the same words", () => expect(db.prepare(sql)).toBe(db.prepare(sql)));

  it("keeps one that plucks or gives lists apart from the plain one", () => {
    expect(db.prepare(sql).pluck().all()).toEqual([1, 2]);
    expect(db.prepare(sql).all()).toEqual([
      { id: 1, name: "star" },
      { id: 2, name: "dog" },
    ]);
    expect(db.prepare(sql).raw().get()).toEqual([1, "star"]);
    expect(db.prepare(sql).get()).toEqual({ id: 1, name: "star" });
  });

  it("writes, gives back what it wrote, and goes on after the table changed", () => {
    const add = "INSERT INTO thing (name) VALUES (?) RETURNING id";
    expect(db.prepare(add).pluck().get("cap")).toBe(3);
    expect(db.prepare(add).get("cup")).toEqual({ id: 4 });
    db.exec("ALTER TABLE thing ADD COLUMN size REAL");
    expect(db.prepare("SELECT * FROM thing WHERE id = 4").get()).toEqual({ id: 4, name: "cup", size: null });
    expect(db.prepare("UPDATE thing SET size = 2 WHERE id = ?").run(4).changes).toBe(1);
  });

  it("can be asked within a question about another", () => {
    const names = db.prepare("SELECT id FROM thing WHERE id < 3").pluck().all() as number[];
    expect(names.map((id) => db.prepare("SELECT name FROM thing WHERE id = ?").pluck().get(id))).toEqual(["star", "dog"]);
  });
});
