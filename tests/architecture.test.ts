import { existsSync, readdirSync, readFileSync, statSync } from "node:fs";
import { dirname, join, normalize } from "node:path";
import { describe, expect, it } from "vitest";

/** All program files below src and demo, tests left out. */
const files = ["src", "demo"]
  .flatMap((root) => readdirSync(root, { recursive: true, encoding: "utf8" }).map((file) => join(root, file)))
  .filter((file) => /\.(ts|tsx)$/.test(file) && !/\.test\./.test(file) && statSync(file).isFile());

const endings = ["", ".ts", ".tsx", "/index.ts"];
/** The file an import means, by alias or by relative path; null for a package. */
function target(specifier: string, from: string): string | null {
  const path = specifier.startsWith("@/")
    ? join("src", specifier.slice(2))
    : specifier.startsWith("#demo/")
      ? join("demo", specifier.slice(6))
      : specifier.startsWith(".")
        ? normalize(join(dirname(from), specifier))
        : null;
  if (path === null) return null;
  return endings.map((ending) => path + ending).find((file) => existsSync(file) && statSync(file).isFile()) ?? null;
}

/** Every import of a file, types as well: what only borrows a type is tied to it all the same. */
const importsOf = (file: string): string[] =>
  [...readFileSync(file, "utf8").matchAll(/(?:from|import)\s*\(?\s*["']([^"']+)["']/g)].flatMap(
    ([, specifier]) => target(specifier!, file) ?? [],
  );

const graph = new Map(files.map((file) => [file, importsOf(file)]));

/** One circle of a graph as its nodes in order, or null. Depth first; the way back up to a node still open is the circle. */
function circle(nodes: Iterable<string>, next: (node: string) => Iterable<string>): string[] | null {
  const state = new Map<string, "open" | "done">();
  const path: string[] = [];
  const visit = (node: string): string[] | null => {
    state.set(node, "open");
    path.push(node);
    for (const to of next(node)) {
      if (state.get(to) === "open") return [...path.slice(path.indexOf(to)), to];
      const found = state.has(to) ? null : visit(to);
      if (found) return found;
    }
    path.pop();
    state.set(node, "done");
    return null;
  };
  for (const node of nodes) {
    const found = state.has(node) ? null : visit(node);
    if (found) return found;
  }
  return null;
}

/** The room of a file below a folder: its first folder there; files that lie in the folder itself are one room. */
const roomOf = (folder: string, file: string) => {
  const [first, ...rest] = file.slice(folder.length + 1).split("/");
  return rest.length ? first! : "(here)";
};

/** Every folder that holds program files or folders of them, the outermost first. */
const folders = [
  ...new Set(
    files.flatMap((file) =>
      file
        .split("/")
        .slice(0, -1)
        .map((_, i, parts) => parts.slice(0, i + 1).join("/")),
    ),
  ),
].sort();

describe("the house", () => {
  it("is read whole", () => {
    expect(files.length).toBeGreaterThan(300);
    expect([...graph.values()].flat().length).toBeGreaterThan(1500);
  });

  it("has no circle of files", () => expect(circle(graph.keys(), (file) => graph.get(file) ?? [])).toBeNull());

  it.each(folders)("has no circle of rooms in %s", (folder) => {
    const rooms = new Map<string, Set<string>>();
    for (const [file, imports] of graph) {
      if (!file.startsWith(`${folder}/`)) continue;
      const room = roomOf(folder, file);
      const others = rooms.get(room) ?? rooms.set(room, new Set()).get(room)!;
      for (const to of imports) if (to.startsWith(`${folder}/`) && roomOf(folder, to) !== room) others.add(roomOf(folder, to));
    }
    expect(circle(rooms.keys(), (room) => rooms.get(room) ?? [])).toBeNull();
  });

  // app → ui, data, formats, devices → core; workers run core for ui.
  const may: Readonly<Record<string, readonly string[]>> = {
    core: [],
    data: ["core"],
    formats: ["core"],
    devices: ["core"],
    workers: ["core"],
    ui: ["core", "workers"],
    app: ["core", "data", "formats", "devices", "workers", "ui"],
  };
  it.each(Object.entries(may))("has no arrow upward from %s, by alias or by path", (floor, allowed) => {
    const wrong = [...graph].flatMap(([file, imports]) =>
      file.startsWith(`src/${floor}/`)
        ? imports.filter((to) => ![floor, ...allowed].includes(to.split("/")[1]!)).map((to) => `${file} → ${to}`)
        : [],
    );
    expect(wrong).toEqual([]);
  });

  it("speaks to the database in data alone", () => {
    const wrong = files.filter(
      (file) => /^src\/(core|ui|app|formats|devices)\//.test(file) && /\.prepare\(|\bSELECT\b.+\bFROM\b/.test(readFileSync(file, "utf8")),
    );
    expect(wrong).toEqual([]);
  });

  it("has a core whose tests need neither data nor devices, pages nor the demo", () => {
    const tests = readdirSync("src/core", { recursive: true, encoding: "utf8" }).filter((file) => /\.test\.ts$/.test(file));
    expect(
      tests.filter((file) => /from "(#demo|@\/(data|devices|ui|app|formats))\//.test(readFileSync(`src/core/${file}`, "utf8"))),
    ).toEqual([]);
  });

  it("has no clock and no chance in core: both are passed in", () => {
    const wrong = files.filter(
      (file) =>
        file.startsWith("src/core/") &&
        /\bDate\.now\b|\bnew Date\(\s*\)|\bMath\.random\b|\bperformance\.now\b|\bcrypto\b|\bDateTime\.(now|local)\(\s*\)/.test(
          readFileSync(file, "utf8"),
        ),
    );
    expect(wrong).toEqual([]);
  });

  it("keeps nothing between calls in core but what is worked out of a thing again and again, with the thing itself", () => {
    const wrong = files.filter(
      (file) =>
        file.startsWith("src/core/") &&
        /^(?:export )?let\s|^(?:export )?const \w+(?:: [^=\n]+)? = new (?:Map|Set)(?:<[^\n]*>)?\(\);/m.test(readFileSync(file, "utf8")),
    );
    expect(wrong).toEqual([]);
  });

  it("has its shared ids in a leaf: the vocabulary borrows from no other room", () => {
    const borrowed = [...graph].flatMap(([file, imports]) =>
      file.startsWith("src/core/vocabulary/")
        ? imports.filter((to) => !to.startsWith("src/core/vocabulary/")).map((to) => `${file} → ${to}`)
        : [],
    );
    expect(borrowed).toEqual([]);
  });

  it("asks one place whether a person may read: every page and every file that is given out", () => {
    const readers = /\b(readPage|readerOf|loadBench|loadModel|gaugeJob|readFile|jobFile|reportFile|recordFile|modelFile|historyFile)\(/;
    const answers = files.filter((file) => /^src\/app\/.*\b(page\.tsx|route\.ts)$/.test(file));
    expect(answers.length).toBeGreaterThan(50);
    // Where somebody becomes somebody is for whoever is nobody yet.
    const doors = new Set(["src/app/sign-in/page.tsx", "src/app/join/[token]/page.tsx", "src/app/q/[token]/route.ts"]);
    // A route without GET takes something in, which is a press; a page that reads no data has nothing to hide.
    const open = answers.filter((file) => {
      const text = readFileSync(file, "utf8");
      const gives = file.endsWith("page.tsx") ? /@\/data|@\/app/.test(text) : /export (const|async function|function) GET/.test(text);
      return !doors.has(file) && gives && !readers.test(text) && !/redirect\(/.test(text);
    });
    expect(open).toEqual([]);
  });
});
