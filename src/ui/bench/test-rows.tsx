"use client";
import { useRouter } from "next/navigation";
import { type ReactNode, useRef, useState } from "react";
import type { PullSample } from "@/core/drag/pull-trace";
import { compare } from "@/core/proving/compare";
import type { TestSpec, Verdict } from "@/core/proving/protocol";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import { NextLink } from "./next-link";
import { PullScalePanel, type ScaleReading } from "./pull-scale-panel";

export interface ShownObservation {
  readonly testId: string;
  readonly phase: "before" | "after";
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly unit: string | null;
  readonly lineRadiusMm: number | null;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly PullSample[] | null;
}

interface Props {
  readonly head: BenchHead;
  readonly phase: "before" | "after";
  readonly tests: readonly TestSpec[];
  readonly observations: readonly ShownObservation[];
  readonly lineRadiusMm: number;
  readonly record: Action<number>;
  readonly next: { href: string; words: string };
  /** What stands above the tests: the last visit of a comeback. */
  readonly above?: ReactNode;
  /** What stands under them: how the reel came. */
  readonly below?: ReactNode;
  /** Where a short job can still become a repair. */
  readonly makeRepair?: Action<void>;
}

const verdictWords: Record<Verdict, string> = { good: "good", doubtful: "doubtful", bad: "bad" };
export const changeWords = {
  better: "better",
  same: "the same",
  worse: "WORSE",
  "not-comparable": "no line radius: cannot be compared",
} as const;

export const readingWords = (observation: ShownObservation): string =>
  observation.value === null ? verdictWords[observation.verdict] : `${Number(observation.value.toFixed(1))} ${observation.unit}`;

/**
 * The tests as rows; the one whose turn it is unfolds. One press answers it, the number is optional. The same rows serve before touching
 * and after closing, where the earlier reading stands beside.
 */
export function TestRows({ head, phase, tests, observations, lineRadiusMm, record, next, above, below, makeRepair }: Props) {
  const { jobId, closed } = head;
  const answered = (id: string) => observations.find((o) => o.testId === id && o.phase === phase);
  const firstOpen = tests.find((test) => !answered(test.id))?.id ?? null;
  const [chosen, setChosen] = useState<string | null>(null);
  const activeId = closed ? null : (chosen ?? firstOpen);
  const active = tests.find((test) => test.id === activeId);
  const [value, setValue] = useState("");
  const [radius, setRadius] = useState(String(lineRadiusMm));
  const [reading, setReading] = useState<ScaleReading | null>(null);
  const router = useRouter();
  const light = head.kind === "light-service";
  const stopped = light && phase === "before" && observations.some((o) => o.phase === "before" && o.verdict === "bad");
  const last = useRef<Verdict | null>(null);
  const act = useAct(record, () => {
    setValue("");
    setReading(null);
    setChosen(null);
    // A light service goes on by itself: a press saved at each of its two test sheets. A fault stops it.
    const left = tests.filter((test) => test.id !== activeId && !answered(test.id));
    if (light && !left.length && !stopped && last.current !== "bad") router.push(next.href);
  });
  const answer = (verdict: Verdict) => {
    if (!active) return;
    const typed = value.trim().replace(",", ".");
    last.current = verdict;
    act.press({
      jobId,
      phase,
      testId: active.id,
      verdict,
      value: reading ? reading.value : typed === "" ? null : Number(typed),
      lineRadiusMm: active.takesLineRadius ? Number(radius.replace(",", ".")) : null,
      instrument: reading ? reading.instrument : typed === "" ? "by hand and ear" : "typed",
      simulated: reading?.simulated ?? false,
      trace: reading?.trace ?? null,
    });
  };
  return (
    <BenchSheet
      head={head}
      station={phase === "before" ? "test" : "prove"}
      act={
        active ? (
          <>
            <MainKey words="Good" busy={act.busy} onPress={() => answer("good")}>
              Good
            </MainKey>
            <Key shortcut="d" words="Doubtful" busy={act.busy} onPress={() => answer("doubtful")} className="min-w-36">
              Doubtful
            </Key>
            <Key shortcut="x" words="Bad" busy={act.busy} onPress={() => answer("bad")} className="min-w-36">
              Bad
            </Key>
          </>
        ) : (
          <NextLink {...next} />
        )
      }
    >
      <Refused message={act.message} />
      {above}
      {stopped && !closed && makeRepair && <MakeRepair jobId={jobId} makeRepair={makeRepair} />}
      <ol>
        {tests.map((test) => {
          const before = observations.find((o) => o.testId === test.id && o.phase === "before");
          const now = answered(test.id);
          const isActive = test.id === activeId;
          return (
            <li key={test.id} className={isActive ? "border-2 border-ink p-3" : "rule-row"}>
              <div className="flex flex-wrap items-baseline gap-x-6">
                {isActive ? (
                  <h2>{test.name}</h2>
                ) : (
                  <button
                    type="button"
                    disabled={closed}
                    className="min-h-12 w-64 text-left font-semibold text-brass disabled:text-ink"
                    onClick={() => {
                      setChosen(test.id);
                      setValue("");
                      setReading(null);
                    }}
                  >
                    {test.name}
                  </button>
                )}
                {phase === "after" && before && (
                  <span>
                    before: <span className="num">{readingWords(before)}</span>
                    {before.value !== null && `, ${before.verdict}`}
                  </span>
                )}
                {now && (
                  <span className="flex items-baseline gap-3">
                    <span className="num text-head font-medium">{readingWords(now)}</span>
                    {now.value !== null && <span>{now.verdict}</span>}
                    {now.simulated && <span className="simulated">simulated</span>}
                    {phase === "after" && before && <strong>{changeWords[compare(test, before, now)]}</strong>}
                    {now.lineRadiusMm !== null && <span className="text-note">line radius {now.lineRadiusMm} mm</span>}
                  </span>
                )}
                {!now && !isActive && <span className="text-note">not done</span>}
              </div>
              {isActive && (
                <div className="mt-1 grid gap-4 lg:grid-cols-[1fr_520px]">
                  <div>
                    <p>{test.how}</p>
                    <p className="text-note">{test.why}</p>
                    {test.caution && <p className="alarm mt-2">{test.caution}</p>}
                  </div>
                  <div>
                    <div className="flex items-end gap-4">
                      {test.unit && (
                        <label className="flex-1 text-note">
                          Reading, if you took one ({test.unit})
                          <input
                            inputMode="decimal"
                            className="num"
                            style={{ fontSize: 56, lineHeight: "56px", height: 72 }}
                            value={reading ? reading.value.toFixed(1) : value}
                            onChange={(event) => {
                              setReading(null);
                              setValue(event.target.value);
                            }}
                            aria-invalid={Boolean(act.fields.value)}
                          />
                          {act.fields.value && <span role="alert">{act.fields.value}</span>}
                        </label>
                      )}
                      {test.takesLineRadius && (
                        <label className="w-40 text-note">
                          Line radius, mm
                          <input
                            inputMode="decimal"
                            value={radius}
                            onChange={(event) => setRadius(event.target.value)}
                            aria-invalid={Boolean(act.fields.lineRadiusMm)}
                          />
                          {act.fields.lineRadiusMm && <span role="alert">{act.fields.lineRadiusMm}</span>}
                        </label>
                      )}
                    </div>
                    {test.takesLineRadius && (
                      <PullScalePanel key={test.id} jobId={jobId} phase={phase} testId={test.id} onReading={setReading} />
                    )}
                  </div>
                </div>
              )}
            </li>
          );
        })}
      </ol>
      {below}
    </BenchSheet>
  );
}

/** A light service that met a fault: it stops here, or goes the long way. */
function MakeRepair({ jobId, makeRepair }: { jobId: number; makeRepair: Action<void> }) {
  const act = useAct(makeRepair);
  return (
    <div className="alarm mb-3 flex flex-wrap items-center gap-4">
      <p>A fault: this is more than a light service. What was tested stays.</p>
      <Key shortcut="r" words="Make it a repair" busy={act.busy} onPress={() => act.press({ jobId })}>
        Make it a repair
      </Key>
      <Refused message={act.message} />
    </div>
  );
}
