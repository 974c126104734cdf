/**
 * Mistakes planted in a room of src/data, without a file being written: each is put into the source as the tests load it, and the tests that load the
 * room run. Which mistakes is drawn from a seed, so that a score can be told from an earlier one. Called by `npm run mutate -- data/ROOM`.
 */
import { readdirSync, readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { createVitest } from "vitest/node";

export interface Planted {
  readonly file: string;
  readonly line: number;
  readonly was: string;
  readonly is: string;
  /** Where in the file, characters. */
  readonly from: number;
  readonly to: number;
}

/** What a tired hand writes instead: the other side of a comparison, a rule left out, a wrong direction. TypeScript and the SQL in it. */
const slips: readonly (readonly [RegExp, (was: string) => string])[] = [
  [/ === /g, () => " !== "],
  [/ !== /g, () => " === "],
  [/ && /g, () => " || "],
  [/ \|\| /g, () => " && "],
  [/ <= /g, () => " < "],
  [/ >= /g, () => " > "],
  [/ > (?=[\w(])/g, () => " >= "],
  [/ < (?=[\w(])/g, () => " <= "],
  [/ \+ (?=\d)/g, () => " - "],
  [/\bif \((?!false)/g, () => "if (false && "],
  [/\.some\(/g, () => ".every("],
  [/\.every\(/g, () => ".some("],
  [/Math\.max\(/g, () => "Math.min("],
  [/Math\.min\(/g, () => "Math.max("],
  [/ = \?(?= AND| OR|`|"| ORDER)/g, () => " <> ?"],
  [/\bIS NULL\b/g, () => "IS NOT NULL"],
  [/\bIS NOT NULL\b/g, () => "IS NULL"],
  [/ AND (?=\w+(\.\w+)? (=|IS|IN|<>|<|>))/g, () => " OR "],
  [/ DESC\b/g, () => ""],
  [/^ {2,}(?!return|throw)[\w.]+\([^\n]*\);$/gm, () => ""],
  [/^ {2,}db\.prepare\([^\n]*\)\.run\([^\n]*\);$/gm, () => ""],
];

const roomFiles = (room: string): string[] =>
  readdirSync(join("src", room))
    .filter((file) => /\.ts$/.test(file) && !/\.test\.ts$/.test(file))
    .map((file) => join("src", room, file));

/** Words for people and remarks are left alone: their lines carry no rule. */
const isRemark = (line: string) => /^\s*(\*|\/\/|\/\*\*)/.test(line) || /^import /.test(line);

function allMistakes(room: string): Planted[] {
  return roomFiles(room).flatMap((file) => {
    const text = readFileSync(file, "utf8");
    return slips.flatMap(([pattern, instead]) =>
      [...text.matchAll(pattern)].flatMap((match) => {
        const from = match.index;
        const start = text.lastIndexOf("\n", from - 1) + 1;
        const end = text.indexOf("\n", from);
        const whole = text.slice(start, end < 0 ? undefined : end);
        if (isRemark(whole)) return [];
        return [
          { file, line: text.slice(0, from).split("\n").length, was: match[0], is: instead(match[0]), from, to: from + match[0].length },
        ];
      }),
    );
  });
}

/** Mulberry32, so that the same seed draws the same mistakes anywhere. */
function drawn(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** @returns so many of all mistakes, by a seed; all where there are fewer. */
export function drawMistakes(room: string, count: number, seed: number): Planted[] {
  const chance = drawn(seed);
  return allMistakes(room)
    .map((mistake) => ({ mistake, key: chance() }))
    .sort((a, b) => a.key - b.key)
    .slice(0, count)
    .map(({ mistake }) => mistake);
}

/** Test files of src/data that load a file of the room, its own first. */
function testsOf(room: string): string[] {
  const own = (file: string) => file.startsWith(`src/${room}/`);
  return readdirSync("src/data", { recursive: true, encoding: "utf8" })
    .filter((file) => /\.test\.ts$/.test(file))
    .map((file) => join("src/data", file))
    .filter((file) => own(file) || readFileSync(file, "utf8").includes(`"@/${room}/`))
    .sort((a, b) => Number(own(b)) - Number(own(a)));
}

export interface Score {
  readonly found: number;
  readonly of: number;
  readonly alive: readonly Planted[];
}

/** @throws when the room's tests fail before anything is planted. */
export async function mutateRoom(room: string, count: number, seed: number): Promise<Score> {
  let planted: Planted | null = null;
  const vitest = await createVitest(
    "test",
    { watch: false, config: "vitest.mutate.config.ts", include: testsOf(room), reporters: [{}], bail: 1, maxWorkers: 1, isolate: false },
    {
      plugins: [
        {
          name: "plant",
          enforce: "pre",
          load(id: string) {
            if (!planted || id.split("?")[0] !== resolve(planted.file)) return null;
            const text = readFileSync(planted.file, "utf8");
            const mended = planted.is.startsWith("if (false && ") ? text.slice(0, planted.to) : text.slice(0, planted.from);
            if (!planted.is.startsWith("if (false && ")) return mended + planted.is + text.slice(planted.to);
            // The whole of the condition, to its closing bracket.
            let depth = 1;
            let at = planted.to;
            while (depth > 0) depth += { "(": 1, ")": -1 }[text[at++]!] ?? 0;
            return `${text.slice(0, planted.from)}if (false && (${text.slice(planted.to, at - 1)}))${text.slice(at)}`;
          },
        },
      ],
    },
  );
  const specs = await vitest.globTestSpecifications();
  const passes = async (): Promise<boolean> => {
    const { testModules, unhandledErrors } = await vitest.runTestSpecifications(specs, true);
    return unhandledErrors.length === 0 && testModules.every((module) => module.ok());
  };
  if (!(await passes())) throw new Error(`The tests of ${room} fail as they are.`);
  const alive: Planted[] = [];
  const mistakes = drawMistakes(room, count, seed);
  for (const mistake of mistakes) {
    planted = mistake;
    vitest.invalidateFile(resolve(mistake.file));
    if (await passes()) {
      alive.push(mistake);
      console.log(`  ${mistake.file}:${mistake.line} ${mistake.was.trim().slice(0, 70)} → ${mistake.is.trim() || "nothing"}`);
    }
    vitest.invalidateFile(resolve(mistake.file));
  }
  await vitest.close();
  return { found: mistakes.length - alive.length, of: mistakes.length, alive };
}

const [room, count = "150", seed = "1"] = process.argv.slice(2);
if (room) {
  const started = Date.now();
  const { found, of } = await mutateRoom(room, Number(count), Number(seed));
  console.log(
    `${room}: ${((100 * found) / of).toFixed(1)} % of ${of} mistakes found, seed ${seed} (${Math.round((Date.now() - started) / 1000)} s)`,
  );
  process.exit(0);
}
