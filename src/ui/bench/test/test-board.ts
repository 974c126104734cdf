import type { AnswerInput } from "@/core/proving/answer-input";
import type { Observation, Phase, SkippedTest } from "@/core/proving/observation";
import { testSpec } from "@/core/proving/protocol";
import type { TestId } from "@/core/vocabulary/tests";
import type { QueuedPress } from "@/ui/act/press-queue";

/** What a job's tests have said so far: the newest answer to each, and those left out. */
export interface Answers {
  readonly observations: readonly Observation[];
  readonly skipped: readonly SkippedTest[];
}

const isOf = (phase: Phase, testId: TestId) => (one: { readonly phase: Phase; readonly testId: TestId }) =>
  one.phase === phase && one.testId === testId;

/** An answer as the server will keep it: the newest counts, and a test that was left out is made after all. */
function answered({ observations, skipped }: Answers, input: AnswerInput): Answers {
  const { unit, takesLineRadius } = testSpec(input.testId);
  const same = isOf(input.phase, input.testId);
  const one: Observation = {
    id: 0,
    testId: input.testId,
    phase: input.phase,
    verdict: input.verdict,
    value: unit === null ? null : input.value,
    unit: input.value === null ? null : unit,
    lineRadiusMm: takesLineRadius ? input.lineRadiusMm : null,
    setting: takesLineRadius ? input.setting : null,
    instrument: input.instrument,
    simulated: input.simulated,
    trace: input.trace,
    at: "",
  };
  return { observations: [...observations.filter((other) => !same(other)), one], skipped: skipped.filter((other) => !same(other)) };
}

const byHand = {
  verdict: "good",
  value: null,
  lineRadiusMm: null,
  setting: null,
  instrument: "by hand",
  simulated: false,
  trace: null,
} as const;

/** Takes one press at Test and Prove as the server will; one that the answers have already changes nothing of what they say. */
export function testPress(answers: Answers, press: QueuedPress): Answers {
  if (press.act === "test") return answered(answers, press.input as AnswerInput);
  if (press.act === "tests-all-good") {
    const { phase, testIds } = press.input as { phase: Phase; testIds: readonly TestId[] };
    return testIds.reduce((before, testId) => answered(before, { phase, testId, ...byHand }), answers);
  }
  if (press.act === "skip-test") {
    const { phase, testId, reason } = press.input as SkippedTest;
    const others = answers.skipped.filter((other) => !isOf(phase, testId)(other));
    return { ...answers, skipped: [...others, { phase, testId, reason }] };
  }
  return answers;
}
