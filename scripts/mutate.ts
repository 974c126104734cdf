/**
 * `npm run mutate -- spin drag/fit-drag.ts` plants every mistake in folders of src/core and counts how many the folder's own tests find.
 * `npm run mutate -- data/quote` plants 150 in a room of src/data, drawn by a seed (--count=, --seed=). Without a name: core where it computes.
 */
import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";

/** Folders where computing lives; any other of src/core can be named as well. */
const computing = [
  "bearings",
  "blind-spots",
  "drag",
  "gauges",
  "gearing",
  "line",
  "listen",
  "measures",
  "proving",
  "spin",
  "statistics",
  "threads",
];

const named = process.argv.slice(2).filter((word) => !word.startsWith("--"));
const rooms = named.filter((word) => word.startsWith("data/"));
const folders = named.length ? named.filter((word) => !word.startsWith("data/")) : computing;
const flag = (name: string, usual: number) => Number(process.argv.find((word) => word.startsWith(`--${name}=`))?.split("=")[1] ?? usual);
const unknown = [
  ...folders.filter((folder) => !existsSync(join("src/core", folder))).map((folder) => `src/core/${folder}`),
  ...rooms.filter((room) => !existsSync(join("src", room))).map((room) => `src/${room}`),
];
const isFile = (named: string) => named.endsWith(".ts");
if (unknown.length) {
  console.error(`There is no ${unknown.join(", ")}.`);
  process.exit(1);
}

interface Mutant {
  readonly status: string;
  readonly mutatorName: string;
  readonly replacement?: string;
  readonly location: { readonly start: { readonly line: number } };
}
const out = mkdtempSync(join(tmpdir(), "zorbek-mutate-"));
process.env.ZORBEK_MUTATING = "1";
const rows: string[] = [];
for (const folder of folders) {
  const report = join(out, `${folder.replaceAll("/", "-")}.json`);
  const settings = join(out, "settings.json");
  writeFileSync(
    settings,
    JSON.stringify({
      testRunner: "vitest",
      plugins: ["@stryker-mutator/vitest-runner"],
      vitest: { configFile: "vitest.mutate.config.ts" },
      // The compiler of today has no such interface any more; nothing here needs its paths.
      tsconfigFile: "none.json",
      mutate: isFile(folder) ? [`src/core/${folder}`] : [`src/core/${folder}/**/*.ts`, `!src/core/${folder}/**/*.test.ts`],
      coverageAnalysis: "perTest",
      concurrency: Number(process.env.ZORBEK_MUTATE_CORES ?? 2),
      timeoutMS: 8000,
      reporters: ["json", "progress-append-only"],
      jsonReporter: { fileName: report },
      tempDirName: join(out, "sandbox"),
      ignorePatterns: ["docs", "tests/browser", "src/app", "src/ui", ".next", "data"],
      allowConsoleColors: false,
      logLevel: "error",
    }),
  );
  process.env.ZORBEK_MUTATE_FOLDER = isFile(folder) ? dirname(folder) : folder;
  const started = Date.now();
  const ran = spawnSync("npx", ["stryker", "run", settings], { stdio: ["ignore", "inherit", "inherit"] });
  if (ran.status !== 0 || !existsSync(report)) {
    console.error(`${folder}: the run did not end; its own words stand above.`);
    process.exit(1);
  }
  const { files } = JSON.parse(readFileSync(report, "utf8")) as { files: Record<string, { mutants: Mutant[] }> };
  const all = Object.entries(files).flatMap(([file, { mutants }]) => mutants.map((mutant) => ({ file, ...mutant })));
  const told = all.filter(({ status }) => status === "Killed" || status === "Timeout");
  const alive = all.filter(({ status }) => status === "Survived" || status === "NoCoverage");
  const score = (100 * told.length) / (told.length + alive.length);
  for (const { file, location, mutatorName, replacement, status } of alive)
    console.log(
      `  ${file}:${location.start.line} ${status === "NoCoverage" ? "not run" : "survived"} ${mutatorName}: ${(replacement ?? "").replaceAll(/\s+/g, " ").slice(0, 90)}`,
    );
  rows.push(
    `${folder}: ${score.toFixed(1)} % of ${told.length + alive.length} mistakes found (${Math.round((Date.now() - started) / 1000)} s)`,
  );
  console.log(rows.at(-1));
}
for (const room of rooms) {
  const ran = spawnSync("npx", ["tsx", "scripts/mutate-data.mts", room, String(flag("count", 150)), String(flag("seed", 1))], {
    stdio: ["ignore", "pipe", "inherit"],
    encoding: "utf8",
  });
  if (ran.status !== 0) process.exit(1);
  const lines = ran.stdout.trimEnd().split("\n");
  console.log(lines.join("\n"));
  rows.push(lines.at(-1)!);
}
console.log(`\n${rows.join("\n")}${folders.length ? `\nReports: ${out}` : ""}`);
