// npm test: installs what is missing, then lint, types, licences, unit and reference tests, build, browser tests.
// Ends with one line: N passed, N failed.
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, relative } from "node:path";
import { licenceFaults } from "./licences.mjs";
import { buildApplication, installBrowser, installPackages, root, say } from "./setup.mjs";

let passed = 0;
let failed = 0;
/** Seconds and name of every test file that ran. */
const files = [];
const started = Date.now();

function step(name, work) {
  const at = Date.now();
  say(`\n── ${name}`);
  const good = work();
  if (good) passed++;
  else failed++;
  say(`── ${name}: ${good ? "passed" : "FAILED"} (${Math.round((Date.now() - at) / 1000)} s)`);
  return good;
}

const node = (...args) => spawnSync("node", args, { stdio: "inherit", cwd: root }).status === 0;

/** Runs one Vitest project and adds its counts; a run that reports no test at all has failed. */
function vitest(project) {
  const folder = mkdtempSync(join(tmpdir(), "zorbek-report-"));
  const report = join(folder, "report.json");
  say(`\n── ${project} tests`);
  const good = node(
    "node_modules/vitest/vitest.mjs",
    "run",
    "--project",
    project,
    "--reporter=default",
    "--reporter=json",
    `--outputFile.json=${report}`,
  );
  try {
    const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(readFileSync(report, "utf8"));
    for (const { name, startTime, endTime } of testResults) files.push([(endTime - startTime) / 1000, relative(root, name)]);
    passed += numPassedTests;
    failed += numFailedTests;
    if (!good && !numFailedTests) failed += Math.max(1, numFailedTestSuites);
    if (numPassedTests + numFailedTests === 0) failed++;
  } catch {
    failed++;
  }
  rmSync(folder, { recursive: true, force: true });
}

installPackages();
step("lint and format", () => node("node_modules/@biomejs/biome/bin/biome", "check", "."));
step("types", () => node("node_modules/typescript/bin/tsc", "--noEmit"));
step("licences", () => {
  const faults = licenceFaults(root);
  for (const fault of faults) say(`outside the allow-list: ${fault}`);
  return faults.length === 0;
});
installBrowser(); // poppler is read by unit tests too
vitest("unit");
if (step("build", buildApplication)) {
  vitest("browser");
}
say("\nSlowest files:");
for (const [seconds, name] of files.sort((a, b) => b[0] - a[0]).slice(0, 10)) say(`${seconds.toFixed(0).padStart(5)} s  ${name}`);
say(`\nin ${Math.round((Date.now() - started) / 1000)} s`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
