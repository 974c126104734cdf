import type { AnswerInput } from "./answer-input";
import type { Observation } from "./observation";
import { testSpec } from "./protocol";
import type { TraceSample } from "./trace";

/** An answer as it was given; of a setting nobody spoke. */
export type AnswerToKeep = Readonly<Omit<AnswerInput, "setting" | "trace">> & {
  readonly setting?: number | null | undefined;
  readonly trace: readonly TraceSample[] | null;
};

/** A test that is as it should be, by hand, with nothing to note. */
export const goodByHand = {
  verdict: "good",
  value: null,
  lineRadiusMm: null,
  setting: null,
  instrument: "by hand",
  simulated: false,
  trace: null,
} as const;

/** What is kept of an answer: a reading where the test has a unit, the line's radius and the setting where they make its force. */
export function keptAnswer(answer: AnswerToKeep): Omit<Observation, "id" | "at"> {
  const { testId, phase, verdict, instrument, simulated, trace } = answer;
  const { unit, takesLineRadius } = testSpec(testId);
  return {
    testId,
    phase,
    verdict,
    value: unit === null ? null : answer.value,
    unit: answer.value === null ? null : unit,
    lineRadiusMm: takesLineRadius ? answer.lineRadiusMm : null,
    setting: takesLineRadius ? (answer.setting ?? null) : null,
    instrument,
    simulated,
    trace,
  };
}
