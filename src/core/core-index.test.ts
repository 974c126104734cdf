import { existsSync, readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { usualWays } from "@/core/ways/ways";

interface Row {
  readonly room: string;
  readonly file: string;
  readonly example: string;
  readonly gives: string;
}

/** The rooms as README.md lists them. */
const rows = readFileSync("src/core/README.md", "utf8")
  .split("\n")
  .filter((line) => line.startsWith("| ["))
  .map((line): Row => {
    const [, begin = "", , example = "", gives = ""] = line.split(/(?<!\\)\|/).map((cell) => cell.trim());
    const [, room = "", file = ""] = /^\[([\w-]+)\]\(([^)]+)\)$/.exec(begin) ?? [];
    return { room, file, example, gives };
  });
const codeOf = (cell: string): string | null => /^`(.+)`$/.exec(cell)?.[1] ?? null;

/** What an example may name beside its own file. */
const types = (family: FamilyId) => new Map(families[family].parts.map((part) => [part.id, part]));
const around = { families, types, usualWays };

describe("the index of core", () => {
  it("names every room, each once", () => {
    const rooms = readdirSync("src/core", { withFileTypes: true }).filter((entry) => entry.isDirectory());
    expect(rows.map(({ room }) => room)).toEqual(rooms.map(({ name }) => name).sort());
  });

  it.each(rows)("$room: begins with a file that is there", ({ file }) => expect(existsSync(`src/core/${file}`), file).toBe(true));

  it.each(rows.filter(({ example }) => codeOf(example)))("$room: $example gives $gives", async ({ file, example, gives }) => {
    const scope: Record<string, unknown> = {
      ...around,
      ...((await import(/* @vite-ignore */ `./${file.replace(/\.ts$/, "")}.ts`)) as object),
    };
    const names = Object.keys(scope);
    const answer: unknown = new Function(...names, `return (${codeOf(example)});`)(...names.map((name) => scope[name]));
    const wanted: unknown = JSON.parse(codeOf(gives)!);
    if (typeof wanted === "number") expect(answer).toBeCloseTo(wanted, 5);
    else expect(answer).toEqual(wanted);
  });

  it.each(rows.filter(({ example }) => example.startsWith("[")))(
    "$room: has a worked test that calls what its file offers",
    ({ file, example }) => {
      const test = /\(([^)]+)\)/.exec(example)![1]!;
      const text = readFileSync(`src/core/${test}`, "utf8");
      const offered = [...readFileSync(`src/core/${file}`, "utf8").matchAll(/^export (?:const|function) (\w+)/gm)].map(([, name]) => name!);
      expect(
        offered.some((name) => new RegExp(`\\b${name}[(<]`).test(text)),
        test,
      ).toBe(true);
    },
  );
});
