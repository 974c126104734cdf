import { describe, expect, it } from "vitest";
import { judgeFailures, type TestRun, testsOf } from "../scripts/unsteady.mjs";

const run = (test: string, passed: boolean, file = "rack.test.ts"): TestRun => ({ file, test, passed, message: passed ? "" : "no" });
const failed = run("drags a tag", false);

describe("a browser test that fails in the whole run", () => {
  it("is unsteady when it passes twice by itself, and does not fail the run", () => {
    const verdict = judgeFailures([failed], [[run("drags a tag", true)], [run("drags a tag", true)]]);
    expect(verdict).toEqual({ broken: [], unsteady: [failed], fails: false });
  });

  it("is broken when it fails once more, in either run", () => {
    for (const again of [
      [[run("drags a tag", false)], [run("drags a tag", true)]],
      [[run("drags a tag", true)], [run("drags a tag", false)]],
    ])
      expect(judgeFailures([failed], again)).toEqual({ broken: [failed], unsteady: [], fails: true });
  });

  it("is broken when it was not run again, or did not get as far", () => {
    expect(judgeFailures([failed], []).fails).toBe(true);
    expect(judgeFailures([failed], [[run("drags a tag", true)], [run("another", true)]]).fails).toBe(true);
    expect(judgeFailures([failed], [[run("drags a tag", true, "counter.test.ts")], [run("drags a tag", true)]]).fails).toBe(true);
  });

  it("fails the run all the same when they stand in more than three files; the tests of one file are one chain", () => {
    const many = ["a", "b", "c", "d"].map((name) => run(name, false, `${name}.test.ts`));
    const alone = many.map(({ test, file }) => run(test, true, file));
    const chain = ["a", "b", "c", "d", "e"].map((name) => run(name, false));
    const passing = chain.map(({ test }) => run(test, true));
    expect(judgeFailures(chain, [passing, passing])).toMatchObject({ fails: false, unsteady: chain });
    expect(judgeFailures(many.slice(0, 3), [alone, alone]).fails).toBe(false);
    expect(judgeFailures(many, [alone, alone])).toMatchObject({ fails: true, broken: [] });
  });

  it("counts a file that could not be set up as a failure of its own, unsteady only if all of it passes", () => {
    const report = {
      testResults: [{ name: "/x/rack.test.ts", status: "failed", message: "no server", assertionResults: [] }],
    };
    const [whole] = testsOf(report, () => "rack.test.ts");
    expect(whole).toEqual({ file: "rack.test.ts", test: "", passed: false, message: "no server" });
    expect(judgeFailures([whole!], [[run("a", true)], [run("a", true)]]).unsteady).toEqual([whole]);
    expect(judgeFailures([whole!], [[run("a", true)], [run("a", false)]]).fails).toBe(true);
    expect(judgeFailures([whole!], [[], []]).fails).toBe(true);
  });

  it("reads passed, failed and left-out tests of a report", () => {
    const assertionResults = [
      { fullName: "a", status: "passed", failureMessages: [] },
      { fullName: "b", status: "failed", failureMessages: ["saw c"] },
      { fullName: "c", status: "skipped", failureMessages: [] },
    ];
    expect(testsOf({ testResults: [{ name: "f", status: "failed", message: "", assertionResults }] })).toEqual([
      { file: "f", test: "a", passed: true, message: "" },
      { file: "f", test: "b", passed: false, message: "saw c" },
    ]);
  });
});
