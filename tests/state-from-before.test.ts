import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const root = join(import.meta.dirname, "..");
const sources = readdirSync(join(root, "src/ui"), { recursive: true, encoding: "utf8" }).filter((name) => /\.tsx?$/.test(name));

/** A setter given what its own state was when the page was last drawn: a hand that is faster than the drawing loses the change before. */
function staleSetters(text: string): string[] {
  return [...text.matchAll(/\bset([A-Z]\w*)\(\s*(.{0,60})/gs)].flatMap(([, name, given]) => {
    const state = name![0]!.toLowerCase() + name!.slice(1);
    const own = new RegExp(`^(?:\\{\\s*\\.\\.\\.${state}\\b|\\[\\s*\\.\\.\\.${state}\\b|${state}\\.(?:map|filter|slice|concat|with)\\()`);
    return own.test(given!) ? [`set${name}(${given!.slice(0, 40)}`] : [];
  });
}

describe("what is typed faster than the page is drawn", () => {
  it("is never lost: a state that is changed is changed as it is, not as it was when the page was drawn", () => {
    expect(
      sources.flatMap((name) => staleSetters(readFileSync(join(root, "src/ui", name), "utf8")).map((one) => `${name}: ${one}`)),
    ).toEqual([]);
  });

  it("is told from what is right", () => {
    expect(staleSetters("setForm({ ...form, a: 1 })")).toHaveLength(1);
    expect(staleSetters("setRows(rows.map(one))")).toHaveLength(1);
    expect(staleSetters("setForm((form) => ({ ...form, a: 1 })); setRows(blank.map(one))")).toEqual([]);
  });
});
