export interface TestRun {
  readonly file: string;
  /** "" where the file as a whole failed. */
  readonly test: string;
  readonly passed: boolean;
  readonly message: string;
}
export const mostUnsteady: number;
export function filesOf(tests: readonly TestRun[]): number;
export const mostFilesAgain: number;
export function testsOf(report: unknown, shortName?: (name: string) => string): TestRun[];
export function judgeFailures(
  failures: readonly TestRun[],
  again: readonly (readonly TestRun[])[],
): { broken: TestRun[]; unsteady: TestRun[]; fails: boolean };
