import { readdirSync, readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { migrationsDirectory, readMigrations } from "@/data/database/database";

/** Every statement that changes rows, as written in SQL: table and file. A name made up at run time counts as a table of that name and is found as such. */
const changes = /\b(?:INSERT(?: OR [A-Z]+)? INTO|REPLACE INTO|UPDATE(?: OR [A-Z]+)?|DELETE FROM)\s+(?!SET\b)(\$\{\w+\}|[a-z_]+)/g;

const files = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
  .map((file) => join("src", file));

const writers = new Map<string, Set<string>>();
for (const file of files)
  for (const [, table] of readFileSync(file, "utf8").matchAll(changes))
    (writers.get(table!) ?? writers.set(table!, new Set()).get(table!)!).add(file);

const roomOf = (file: string) => file.split("/").slice(0, -1).join("/");

describe("who writes a table", () => {
  const tables = openWorkshop()
    .db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'find_%' ORDER BY name")
    .pluck()
    .all() as string[];
  const migrations = readMigrations(migrationsDirectory());

  it("knows every table there is, and no table that is none", () => {
    expect(tables.length).toBeGreaterThan(80);
    expect([...writers.keys()].filter((table) => !tables.includes(table))).toEqual([]);
  });

  it("is one room of data, so that a rule about its rows has one place", () => {
    const shared = [...writers].flatMap(([table, files]) => {
      const rooms = [...new Set([...files].map(roomOf))];
      return rooms.length > 1 || !rooms[0]!.startsWith("src/data/") ? [`${table}: ${rooms.join(", ")}`] : [];
    });
    expect(shared).toEqual([]);
  });

  it("is written by somebody, or by the database's own triggers: what nobody writes is gone", () => {
    expect(migrations.length).toBeGreaterThan(50);
    expect(tables.filter((table) => !writers.has(table))).toEqual(["seat_wear"]);
  });

  it("stands in docs/writers.md (npx vitest --project unit tests/writers.test.ts -u writes it anew)", async () => {
    const lines = tables
      .filter((table) => writers.has(table))
      .map((table) => {
        const of = [...writers.get(table)!].sort();
        return `| ${table} | ${roomOf(of[0]!).replace("src/", "")} | ${of.map((file) => basename(file, ".ts")).join(", ")} |`;
      });
    const page = `# Who writes a table\n\nEach table has one room that writes it; every other room asks that one. Held by tests/writers.test.ts.\n\n| Table | Room | Files |\n|---|---|---|\n${lines.join("\n")}\n`;
    await expect(page).toMatchFileSnapshot("../docs/writers.md");
  });
});
