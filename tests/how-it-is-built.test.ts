import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { describe, expect, it } from "vitest";

const page = readFileSync("docs/how-it-is-built.md", "utf8");
const index = readFileSync("src/core/README.md", "utf8");

/** Rules of the trade with where they stand: file, line, name. */
const rules = [...page.matchAll(/^\| (.+?) +\| `(src\/core\/[\w./-]+):(\d+)` `(\w+)` +\|$/gm)].map(([, rule, file, line, name]) => ({
  rule: rule!,
  file: file!,
  line: Number(line),
  name: name!,
}));

describe("how it is built", () => {
  it("fills two pages, not more", () => expect(page.split("\n").length).toBeLessThanOrEqual(130));

  it("names only what is there: every path in its text, every link", () => {
    const paths = [...page.matchAll(/`((?:src|tests|demo|docs|scripts)\/[\w./[\]-]*)(?::\d+)?`/g)].map(([, path]) => path!);
    const links = [...page.matchAll(/\]\(([^)#]+)\)/g)].map(([, link]) => join(dirname("docs/x"), link!));
    expect(paths.length).toBeGreaterThan(40);
    expect([...paths, ...links].filter((path) => !existsSync(path))).toEqual([]);
  });

  it("has twenty rules of the trade, or more", () => expect(rules.length).toBeGreaterThanOrEqual(20));

  it.each(rules)("$rule: stands on the line it says, two steps from the index of core", ({ file, line, name }) => {
    const text = readFileSync(file, "utf8").split("\n")[line - 1];
    expect(text, `${file}:${line}`).toMatch(new RegExp(`\\b(const|function) ${name}\\b`));
    // One step to its room, one to its file.
    const [, , room, ...rest] = file.split("/");
    expect(rest).toHaveLength(1);
    expect(index).toContain(`[${room}](`);
  });
});
