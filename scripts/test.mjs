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
/** What failed, by name: said again at the very end, where a long log is read. */
const failures = [];
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
    for (const { name, startTime, endTime, status, message, assertionResults } of testResults) {
      files.push([(endTime - startTime) / 1000, relative(root, name)]);
      const bad = assertionResults.filter((one) => one.status === "failed");
      for (const { fullName, failureMessages } of bad)
        failures.push(`${relative(root, name)}: ${fullName}\n    ${firstLines(failureMessages)}`);
      if (status === "failed" && bad.length === 0) failures.push(`${relative(root, name)}: ${firstLines([message])}`);
    }
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
for (const failure of failures) say(`\nFAILED ${failure}`);
say(`\nin ${Math.round((Date.now() - started) / 1000)} s`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
