import { boardOf, shows } from "@/core/acts/act/board";
import { type AnswerToKeep, goodByHand, keptAnswer } from "@/core/proving/kept-answer";
import type { Observation, Phase, SkippedTest } from "@/core/proving/observation";
import type { TestId } from "@/core/vocabulary/tests";
import { skipTest } from "./skip-test";
import { test } from "./test";
import { testsAllGood } from "./tests-all-good";

/** What a job's tests have said so far: the newest answer to each, and those left out. */
export interface Answers {
  readonly observations: readonly Observation[];
  readonly skipped: readonly SkippedTest[];
}

const isOf = (phase: Phase, testId: TestId) => (one: { readonly phase: Phase; readonly testId: TestId }) =>
  one.phase === phase && one.testId === testId;

/** The newest answer counts, and a test that was left out is made after all. */
function answered({ observations, skipped }: Answers, answer: AnswerToKeep): Answers {
  const same = isOf(answer.phase, answer.testId);
  const one: Observation = { id: 0, at: "", ...keptAnswer(answer) };
  return { observations: [...observations.filter((other) => !same(other)), one], skipped: skipped.filter((other) => !same(other)) };
}

/** What the tests at Test and Prove have said, as hands leave it. */
export const testBoard = boardOf<Answers>([
  shows(test, answered),
  shows(testsAllGood, (answers, { phase, testIds }) =>
    testIds.reduce((before, testId) => answered(before, { phase, testId, ...goodByHand }), answers),
  ),
  shows(skipTest, (answers, { phase, testId, reason }) => ({
    ...answers,
    skipped: [...answers.skipped.filter((other) => !isOf(phase, testId)(other)), { phase, testId, reason }],
  })),
]);
