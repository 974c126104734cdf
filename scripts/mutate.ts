/** `npm run mutate -- spin drag/fit-drag.ts` plants mistakes in folders of src/core and counts how many the tests find, a score for each folder. */
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
const folders = named.length ? named : computing;
const unknown = folders.filter((folder) => !existsSync(join("src/core", folder)));
const isFile = (named: string) => named.endsWith(".ts");
if (unknown.length) {
  console.error(`There is no src/core/${unknown.join(", src/core/")}.`);
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
console.log(`\n${rows.join("\n")}\nReports: ${out}`);
