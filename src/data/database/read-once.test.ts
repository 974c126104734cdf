import { beforeEach, describe, expect, it, vi } from "vitest";
import { openMemoryDatabase } from "./database";
import { readOnce, rootOf } from "./read-once";

describe("a page's handle on the database", () => {
  let db: ReturnType<typeof openMemoryDatabase>;
  beforeEach(() => {
    db = openMemoryDatabase();
    db.exec("CREATE TABLE weight (grams INTEGER); INSERT INTO weight VALUES (310), (540)");
  });

  it("answers the same question once, another one anew, by its values and by the shape of the rows", () => {
    const prepare = vi.spyOn(db, "prepare");
    const page = readOnce(db);
    const sql = "SELECT grams FROM weight WHERE grams > ? ORDER BY grams";
    expect(page.prepare(sql).all(0)).toEqual([{ grams: 310 }, { grams: 540 }]);
    db.exec("DELETE FROM weight");
    expect(page.prepare(sql).all(0)).toHaveLength(2);
    expect(prepare).toHaveBeenCalledTimes(1);
    expect(page.prepare(sql).all(400)).toEqual([]);
    db.exec("INSERT INTO weight VALUES (95)");
    expect(page.prepare(sql).pluck().all(0)).toEqual([95]);
    expect(page.prepare(sql).raw().all(0)).toEqual([[95]]);
    expect(page.prepare(sql).get(0)).toEqual({ grams: 95 });
    // Another page asks for itself.
    expect(readOnce(db).prepare(sql).all(0)).toEqual([{ grams: 95 }]);
  });

  it("writes nothing", () => {
    const page = readOnce(db);
    expect(() => page.prepare("DELETE FROM weight").run()).toThrow("only reads");
    expect(() => page.prepare("DELETE FROM weight RETURNING grams").all()).toThrow("only reads");
    expect(db.prepare("SELECT count(*) FROM weight").pluck().get()).toBe(2);
  });

  it("knows the database behind it", () => {
    expect(rootOf(readOnce(db))).toBe(db);
    expect(rootOf(db)).toBe(db);
  });
});
