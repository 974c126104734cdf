"use client";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { testBoard } from "@/core/acts/test/board";
import { answerSchema } from "@/core/proving/answer-input";
import type { TestSpec } from "@/core/proving/protocol";
import { readMeasure } from "@/core/units/read-measure";
import { shownUnit } from "@/core/units/say-measure";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { useBoard } from "@/ui/act/queue-provider";
import type { Measuring } from "./instrument-panel";
import type { TestProps } from "./test-props";
import type { Typed } from "./test-turn";

const nothingWrong: Readonly<Record<string, string>> = {};

/** How the tests stand under the hand: what is answered, whose turn it is, what is typed at it, and every press. */
export function useTests(props: TestProps) {
  const { head, phase, tests, extras, lineRadiusMm, force, next } = props;
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
    if (!press("test", { jobId, ...checked.data }, `${active.name}: ${verdict}`)) return;
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

  return {
    all,
    open,
    active,
    observations,
    answered,
    leftOut,
    typed,
    type,
    wrong,
    measuring,
    setMeasuring,
    turnTo,
    answer,
    skip,
    allGood,
    /** A light service that shows a fault is no light service any more. */
    stopsLight: light && fault && !closed,
  };
}

export type Tests = ReturnType<typeof useTests>;
