// npm test: installs what is missing, then lint, types, licences, unit and reference tests, build, browser tests.
// Ends with one line: N passed, N failed. `npm test -- --loaded` runs it with both cores busy.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, relative } from "node:path";
import { licenceFaults } from "./licences.mjs";
import { buildApplication, installBrowser, installPackages, root, say } from "./setup.mjs";
import { filesOf, judgeFailures, mostFilesAgain, mostUnsteady, testsOf } from "./unsteady.mjs";

let passed = 0;
let failed = 0;
/** Seconds and name of every test file that ran. */
const files = [];
/** What failed, by name: said again at the very end, where a long log is read. */
const failures = [];
/** Browser tests that failed among all others and passed twice by themselves. */
const unsteady = [];
const failureFolder = join(root, ".zorbek/failures");
process.env.ZORBEK_FAILURES = failureFolder;
const started = Date.now();

function step(name, work) {
  const at = Date.now();
  say(`\n── ${name}`);
  const good = work();
  if (good) passed++;
  else {
    failed++;
    failures.push(name);
  }
  say(`── ${name}: ${good ? "passed" : "FAILED"} (${Math.round((Date.now() - at) / 1000)} s)`);
  return good;
}

const firstLines = (messages) => messages.join("\n").split("\n").slice(0, 40).join("\n    ");

const node = (...args) => spawnSync("node", args, { stdio: "inherit", cwd: root }).status === 0;

/** Runs Vitest and reads its report; null when it wrote none. */
function runVitest(project, only = []) {
  const folder = mkdtempSync(join(tmpdir(), "zorbek-report-"));
  const report = join(folder, "report.json");
  const args = ["run", "--project", project, ...only, "--reporter=default", "--reporter=json", `--outputFile.json=${report}`];
  const good = node("node_modules/vitest/vitest.mjs", ...args);
  try {
    return { good, report: JSON.parse(readFileSync(report, "utf8")) };
  } catch {
    return { good, report: null };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const shortName = (name) => relative(root, name);

/** Runs one Vitest project and adds its counts; a run that reports no test at all has failed. @returns the tests that failed. */
function vitest(project) {
  say(`\n── ${project} tests`);
  const { good, report } = runVitest(project);
  const tests = report ? testsOf(report, shortName) : [];
  for (const { name, startTime, endTime } of report?.testResults ?? []) files.push([(endTime - startTime) / 1000, shortName(name)]);
  const bad = tests.filter((one) => !one.passed);
  passed += tests.length - bad.length;
  if (tests.length === 0 || (!good && bad.length === 0)) {
    failed++;
    failures.push(`${project} tests: ended without a report of what failed`);
  }
  return bad;
}

const failedFor = (bad) => {
  failed += bad.length;
  for (const { file, test, message } of bad) failures.push(`${file}: ${test}\n    ${firstLines([message])}`);
};

/** Browser tests that failed among all others, once more and once more by themselves. */
function browserTests() {
  rmSync(failureFolder, { recursive: true, force: true });
  const bad = vitest("browser");
  const again = [...new Set(bad.map(({ file }) => file))];
  if (again.length === 0 || again.length > mostFilesAgain) return failedFor(bad);
  const runs = [1, 2].map((time) => {
    say(`\n── by themselves, time ${time} of 2: ${again.join(", ")}`);
    const { report } = runVitest("browser", again);
    return report ? testsOf(report, shortName) : [];
  });
  const verdict = judgeFailures(bad, runs);
  failedFor(verdict.broken);
  passed += verdict.unsteady.length;
  unsteady.push(...verdict.unsteady);
  if (filesOf(verdict.unsteady) > mostUnsteady) {
    failed++;
    failures.push(`browser tests of ${filesOf(verdict.unsteady)} files are unsteady, more than ${mostUnsteady}`);
  }
}

/** What the screens showed when tests failed in the browser. */
function sayScreens() {
  if (!existsSync(failureFolder)) return;
  for (const name of readdirSync(failureFolder).filter((one) => one.endsWith(".json"))) {
    const { test, file, address, consoleLines } = JSON.parse(readFileSync(join(failureFolder, name), "utf8"));
    say(`\nscreen of "${test}" (${file}) at ${address}: ${shortName(join(failureFolder, name.replace(/json$/, "png")))}`);
    for (const line of consoleLines.slice(-15)) say(`    console: ${line.slice(0, 300)}`);
  }
}

/** Two processes that keep both cores busy beside the tests, as on a machine that does something else: npm test -- --loaded. */
const load = process.argv.includes("--loaded")
  ? [1, 2].map(() => spawn("node", ["-e", "for (;;) Math.random()"], { stdio: "ignore" }))
  : [];

installPackages();
step("lint and format", () => node("node_modules/@biomejs/biome/bin/biome", "check", "."));
step("types", () => node("node_modules/typescript/bin/tsc", "--noEmit"));
step("licences", () => {
  const faults = licenceFaults(root);
  for (const fault of faults) say(`outside the allow-list: ${fault}`);
  return faults.length === 0;
});
installBrowser(); // poppler is read by unit tests too
failedFor(vitest("unit"));
if (step("build", buildApplication)) {
  browserTests();
}
for (const child of load) child.kill();
say("\nSlowest files:");
for (const [seconds, name] of files.sort((a, b) => b[0] - a[0]).slice(0, 10)) say(`${seconds.toFixed(0).padStart(5)} s  ${name}`);
sayScreens();
for (const { file, test, message } of unsteady) say(`\nUNSTEADY ${file}: ${test}\n    ${firstLines([message])}`);
for (const failure of failures) say(`\nFAILED ${failure}`);
say(`\nin ${Math.round((Date.now() - started) / 1000)} s`);
if (unsteady.length) say(`${unsteady.length} unsteady: to be mended before anything else is begun`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
