import { readdirSync, readFileSync } from "node:fs";
import { expect, test } from "vitest";

const filesBelow = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" }).map((name) => `${folder}/${name}`);

test("every line and fill a drawing is made of has its look", () => {
  const styles = filesBelow("src/app")
    .filter((name) => name.endsWith(".css"))
    .map((name) => readFileSync(name, "utf8"))
    .join("\n");
  const used = filesBelow("src")
    .filter((name) => /\.tsx?$/.test(name))
    .flatMap((name) => [...readFileSync(name, "utf8").matchAll(/\b(?:ln|fl)-[a-z-]+/g)].map(([found]) => found));
  expect(used.length).toBeGreaterThan(50);
  expect([...new Set(used)].filter((name) => !styles.includes(`.${name}`))).toEqual([]);
});
