"use client";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { testBoard } from "@/core/acts/test/board";
import { answerSchema } from "@/core/proving/answer-input";
import { changeWords, compare } from "@/core/proving/compare";
import type { ModelRecord } from "@/core/proving/model-record";
import type { Observation, Phase, SkippedTest } from "@/core/proving/observation";
import type { TestSpec } from "@/core/proving/protocol";
import { readMeasure } from "@/core/units/read-measure";
import { type ForceUnit, sayMeasure, shownUnit } from "@/core/units/say-measure";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { useBoard } from "@/ui/act/queue-provider";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import type { Measuring } from "./instrument-panel";
import { MakeRepair } from "./make-repair";
import { ReadingRail } from "./reading-rail";
import { TestTurn, type Typed } from "./test-turn";
import { WhyLeftOut } from "./why-left-out";

interface Props {
  readonly head: BenchHead;
  readonly phase: Phase;
  readonly tests: readonly TestSpec[];
  /** Tests nothing waits for, to be chosen optional. */
  readonly extras: readonly TestSpec[];
  readonly skipped: readonly SkippedTest[];
  /** What such reels leave here with. */
  readonly record: ReadonlyMap<TestId, ModelRecord>;
  readonly observations: readonly Observation[];
  readonly lineRadiusMm: number;
  /** What the customer's line breaks at, N: the drag at strike is set to a share of it. Null where nobody said. */
  readonly lineBreaksN: number | null;
  /** What pulls are shown in here. */
  readonly force: ForceUnit;
  readonly next: { href: string; words: string };
  /** What stands above the tests: the last visit of a comeback. */
  readonly above?: ReactNode;
  /** What stands under them: how the reel came. */
  readonly below?: ReactNode;
  /** Where a short job can still become a repair. */
  readonly makeRepair?: boolean;
}

const verdictWords: Record<Verdict, string> = { good: "good", doubtful: "doubtful", bad: "bad" };

const readingWords = (observation: Observation, force: ForceUnit): string =>
  observation.value === null ? verdictWords[observation.verdict] : sayMeasure(observation.value, observation.unit, force);

const nothingWrong: Readonly<Record<string, string>> = {};

/**
 * The tests as rows; the one whose turn it is unfolds. One press answers it, the number is optional. A press is on the page at once, and the
 * next test is under the hand. The same rows serve before touching and after closing, where the earlier reading stands beside.
 */
export function TestRows(props: Props) {
  const { head, phase, tests, extras, record, lineRadiusMm, lineBreaksN, force, next, above, below, makeRepair } = props;
  const { jobId, closed } = head;
  const router = useRouter();
  const server = useMemo(() => ({ observations: props.observations, skipped: props.skipped }), [props.observations, props.skipped]);
  const { state, press, stopped, pending } = useBoard(head.tag, head.revision, server, testBoard);
  const { observations, skipped } = state;
  const answered = (id: string) => observations.find((one) => one.testId === id && one.phase === phase);
  const leftOut = (id: string) => (answered(id) ? undefined : skipped.find((one) => one.testId === id && one.phase === phase));
  const open = tests.filter(({ id }) => !answered(id) && !leftOut(id)).map(({ id }) => id);

  const [chosen, setChosen] = useState<TestId | null>(null);
  const all = [...tests, ...extras];
  const activeId = closed ? null : (chosen ?? open[0] ?? null);
  const active = all.find((test) => test.id === activeId);
  const empty: Typed = { value: "", setting: "", reading: null, radius: String(lineRadiusMm) };
  const [typed, setTyped] = useState(empty);
  const [wrong, setWrong] = useState(nothingWrong);
  // While something is measured the main key ends it: an answer now would be one without its reading.
  const [measuring, setMeasuring] = useState<Measuring | null>(null);
  const type = (change: Partial<Typed>) => setTyped((before) => ({ ...before, ...change }));
  /** Turns to a test, with nothing typed at it yet. The line radius stays: it is the reel's, whatever is tested. */
  const turnTo = (id: TestId | null) => {
    setChosen(id);
    type({ value: "", setting: "", reading: null });
    setWrong(nothingWrong);
  };

  // A light service goes on by itself: a press saved at each of its two test sheets. A fault stops it.
  const light = head.path.depth === "light";
  const fault = phase === "before" && observations.some((one) => one.phase === "before" && one.verdict === "bad");
  const goingOn = useRef(false);
  useEffect(() => {
    if (stopped) goingOn.current = false;
    if (!goingOn.current || pending || open.length) return;
    goingOn.current = false;
    router.push(next.href);
  }, [stopped, pending, open.length, router, next.href]);

  // Refused, the page goes back to what was not done, with what was typed there.
  const sent = useRef(new Map<TestId, Typed>());
  useEffect(() => {
    const refused = stopped?.notDone.find(({ act, about }) => act === "test" && about === head.tag);
    const id = (refused?.input as { readonly testId: TestId } | undefined)?.testId;
    const was = id && sent.current.get(id);
    if (!id || !was) return;
    setChosen(id);
    setTyped(was);
    setWrong(stopped?.fields ?? nothingWrong);
  }, [stopped, head.tag]);

  const answer = (verdict: Verdict) => {
    if (!active) return;
    const { reading } = typed;
    const number = typed.value.trim();
    const setting = typed.setting.trim();
    const input = {
      phase,
      testId: active.id,
      verdict,
      value: reading ? reading.value : number === "" ? null : readMeasure(number, active.unit, shownUnit(active.unit, force)),
      lineRadiusMm: active.takesLineRadius ? readMeasure(typed.radius, "mm") : null,
      setting: active.takesLineRadius && setting !== "" ? readMeasure(setting, null) : null,
      instrument: reading ? reading.instrument : number === "" ? "by hand" : "typed",
      simulated: reading?.simulated ?? false,
      trace: reading?.trace ?? null,
    };
    const checked = answerSchema.safeParse(input);
    if (!checked.success) {
      setWrong(Object.fromEntries(checked.error.issues.map(({ path, message }) => [String(path[0]), message])));
      return;
    }
    if (!press("test", { jobId, ...checked.data }, `${active.name}: ${verdictWords[verdict]}`)) return;
    sent.current.set(active.id, typed);
    goingOn.current = light && !fault && verdict !== "bad";
    turnTo(null);
  };
  const skip = (test: TestSpec, reason: string) => {
    goingOn.current = false;
    return press("skip-test", { jobId, phase, testId: test.id, reason }, `${test.name} left out${reason && `: ${reason}`}`);
  };
  const allGood = () => {
    if (!press("tests-all-good", { jobId, phase, testIds: open }, `All ${open.length} good`)) return;
    goingOn.current = light && !fault;
    turnTo(null);
  };

  const byLever = tests.some(({ adjuster }) => adjuster === "lever");
  /** A reading as it stands on the rail: pulls at the model's own line radius, as the record has them. */
  const onRail = (test: TestSpec, one: Observation | undefined) => {
    if (!one || one.value === null) return null;
    const value = test.takesLineRadius && one.lineRadiusMm ? (one.value * one.lineRadiusMm) / lineRadiusMm : one.value;
    return { value, verdict: one.verdict };
  };
  return (
    <BenchSheet
      head={head}
      station={phase === "before" ? "test" : "prove"}
      act={
        active ? (
          <>
            {measuring ? (
              <MainKey words={measuring.words} onPress={measuring.stop}>
                {measuring.words}
              </MainKey>
            ) : (
              <MainKey words="Good" onPress={() => answer("good")}>
                Good
              </MainKey>
            )}
            <Key shortcut="d" words="Doubtful" onPress={() => answer("doubtful")} className="min-w-32">
              Doubtful
            </Key>
            <Key shortcut="x" words="Bad" onPress={() => answer("bad")} className="min-w-28">
              Bad
            </Key>
            <Key
              shortcut="n"
              words="Not done"
              onPress={() => {
                if (skip(active, "")) turnTo(null);
              }}
              className="min-w-28"
            >
              Not done
            </Key>
            {open.length > 1 && (
              <Key shortcut="a" words="All as they should be" onPress={allGood} className="min-w-28">
                All {open.length} good
              </Key>
            )}
          </>
        ) : (
          <NextLink {...next} />
        )
      }
    >
      {above}
      {light && fault && !closed && makeRepair && <MakeRepair jobId={jobId} />}
      <ol>
        {all.map((test, i) => {
          const why = leftOut(test.id);
          const usual = record.get(test.id);
          const before = observations.find((one) => one.testId === test.id && one.phase === "before");
          const now = answered(test.id);
          const isActive = test.id === activeId;
          return (
            <li key={test.id} className={isActive ? "border-2 border-ink p-3" : `rule-row ${i === tests.length ? "mt-4" : ""}`}>
              <div className="flex flex-wrap items-baseline gap-x-6">
                {isActive ? (
                  <h2>{test.name}</h2>
                ) : (
                  <button
                    type="button"
                    disabled={closed}
                    className="min-h-12 w-64 text-left font-semibold text-brass disabled:text-ink"
                    onClick={() => turnTo(test.id)}
                  >
                    {test.name}
                  </button>
                )}
                {phase === "after" && before && (
                  <span>
                    before: <span className="num">{readingWords(before, force)}</span>
                    {before.value !== null && `, ${before.verdict}`}
                  </span>
                )}
                {now && (
                  <span className="flex items-baseline gap-3">
                    <span className="num text-head font-medium">{readingWords(now, force)}</span>
                    {now.value !== null && <span>{now.verdict}</span>}
                    {now.simulated && <span className="simulated">simulated</span>}
                    {phase === "after" && before && <strong>{changeWords[compare(test, before, now)]}</strong>}
                    {now.lineRadiusMm !== null && (
                      <span className="text-note">
                        line radius {now.lineRadiusMm} mm{now.setting !== null && `, at ${now.setting} ${byLever ? "°" : "turns"}`}
                      </span>
                    )}
                  </span>
                )}
                {test.unit && (now?.value != null || before?.value != null) && (
                  <ReadingRail
                    name={test.name}
                    usual={usual ?? null}
                    before={phase === "after" ? onRail(test, before) : null}
                    now={onRail(test, phase === "after" ? now : (now ?? before))}
                    say={(value) => sayMeasure(value, test.unit, force)}
                  />
                )}
                {why && !isActive && <WhyLeftOut skip={why} closed={closed} say={(reason) => skip(test, reason)} />}
                {!now && !why && !isActive && <span className="text-note">{i < tests.length ? "not done" : "optional"}</span>}
              </div>
              {isActive && (
                <TestTurn
                  head={head}
                  phase={phase}
                  test={test}
                  usual={usual}
                  lineRadiusMm={lineRadiusMm}
                  lineBreaksN={lineBreaksN}
                  force={force}
                  byLever={byLever}
                  typed={typed}
                  type={type}
                  wrong={wrong}
                  onMeasuring={setMeasuring}
                />
              )}
            </li>
          );
        })}
      </ol>
      {below}
    </BenchSheet>
  );
}
