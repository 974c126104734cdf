// A browser test that failed among all others is run twice more by itself. What fails again is broken; what passes both times is
// unsteady: it is named, with what its screen showed, and has to be mended. Pure: test.mjs does the running.

/** More than this many files with unsteady tests are no chance any more: the run fails. The tests of a file share a reel: one that fails takes the next along. */
export const mostUnsteady = 3;
/** More files than this are not run again: so much does not fail by chance. */
export const mostFilesAgain = 8;

/**
 * The tests of a JSON report by file. A file that could not be read or set up has one failure without a name.
 * @param report what Vitest's JSON reporter wrote. @param shortName a file's path as it is said.
 * @returns {{ file: string, test: string, passed: boolean, message: string }[]}
 */
export function testsOf(report, shortName = (name) => name) {
  return report.testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = shortName(name);
    const tests = assertionResults
      .filter((one) => one.status === "passed" || one.status === "failed")
      .map((one) => ({ file, test: one.fullName, passed: one.status === "passed", message: (one.failureMessages ?? []).join("\n") }));
    const fileAlone = status === "failed" && tests.every(({ passed }) => passed);
    return fileAlone ? [...tests, { file, test: "", passed: false, message: message ?? "" }] : tests;
  });
}

/** How many files these tests stand in. */
export const filesOf = (tests) => new Set(tests.map(({ file }) => file)).size;

/**
 * What a failure in the whole run was, by what the same files did alone.
 * @param failures those of the whole run. @param again the tests of each further run, which are two.
 * @returns {{ broken: object[], unsteady: object[], fails: boolean }} `broken` failed again or could not be run again.
 */
export function judgeFailures(failures, again) {
  const passedAlone = ({ file, test }) => {
    const inFile = again.map((tests) => tests.filter((one) => one.file === file));
    // Without a name the whole file had failed: all of it has to pass, and something has to have run.
    if (test === "") return again.length > 0 && inFile.every((tests) => tests.length > 0 && tests.every(({ passed }) => passed));
    return again.length > 0 && inFile.every((tests) => tests.some((one) => one.test === test && one.passed));
  };
  const unsteady = failures.filter(passedAlone);
  const broken = failures.filter((failure) => !passedAlone(failure));
  return { broken, unsteady, fails: broken.length > 0 || filesOf(unsteady) > mostUnsteady };
}
