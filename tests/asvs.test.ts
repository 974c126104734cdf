import { existsSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";

const rows = readFileSync("docs/asvs.md", "utf8")
  .split("\n")
  .filter((line) => /^\| \d/.test(line))
  .map((line) => line.split("|").map((cell) => cell.trim()))
  .map(([, item, asks, stands, shown]) => ({ item: item!, asks: asks!, stands: stands!, shown: shown! }));

/** How many items each chapter's section has at levels 1 and 2 (OWASP ASVS 4.0.3, from memory). */
const sections: Readonly<Record<string, number>> = {
  "2.1": 12,
  "2.2": 3,
  "2.3": 3,
  "2.4": 5,
  "2.5": 7,
  "3.1": 1,
  "3.2": 4,
  "3.3": 4,
  "3.4": 5,
  "3.7": 1,
  "4.1": 4,
  "4.2": 2,
  "4.3": 3,
  "5.1": 5,
  "5.2": 8,
  "5.3": 10,
  "5.5": 4,
  "8.1": 4,
  "8.2": 3,
  "8.3": 8,
  "12.1": 3,
  "12.2": 1,
  "12.3": 6,
  "12.4": 2,
  "12.5": 2,
  "12.6": 1,
  "13.1": 4,
  "13.2": 5,
};

describe("the table of sign-in, sessions and data", () => {
  it("has every item once, each yes, no or does not apply, with its reason", () => {
    expect(new Set(rows.map(({ item }) => item)).size).toBe(rows.length);
    for (const { item, stands, shown } of rows) {
      expect(stands, item).toMatch(/^(yes|no|does not apply)$/);
      expect(shown.length, item).toBeGreaterThan(3);
    }
    for (const [section, count] of Object.entries(sections))
      expect(rows.filter(({ item }) => item.startsWith(`${section}.`) && !item.includes("to")).length, section).toBe(count);
  });

  it("names tests and files that are there", () => {
    for (const { item, shown } of rows)
      for (const [file] of shown.matchAll(/(?:src|tests|scripts|docs)\/[\w./[\]-]+\.(?:tsx?|mjs|md)/g))
        expect(existsSync(file), `${item}: ${file}`).toBe(true);
  });
});
