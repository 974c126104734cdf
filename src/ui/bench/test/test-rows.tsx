"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { type ReactNode, useRef, useState } from "react";
import { dragAdvice } from "@/core/drag/fit-drag";
import { compare } from "@/core/proving/compare";
import { againstRecord, type ModelRecord } from "@/core/proving/model-record";
import type { Observation } from "@/core/proving/observation";
import type { TestSpec } from "@/core/proving/protocol";
import { instrumentFor, torqueWords } from "@/core/proving/read-trace";
import { cautionsAt } from "@/core/safety/cautions";
import { readMeasure } from "@/core/units/read-measure";
import { type ForceUnit, sayFigures, sayMeasure, shownUnit, shownValue } from "@/core/units/say-measure";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { InstrumentPanel, type InstrumentReading } from "./instrument-panel";
import { ReadingRail } from "./reading-rail";

interface Props {
  readonly head: BenchHead;
  readonly phase: "before" | "after";
  readonly tests: readonly TestSpec[];
  /** Tests nothing waits for, to be chosen optional. */
  readonly extras: readonly TestSpec[];
  readonly skipped: readonly { readonly phase: "before" | "after"; readonly testId: TestId; readonly reason: string }[];
  /** What such reels leave here with. */
  readonly record: ReadonlyMap<TestId, ModelRecord>;
  readonly observations: readonly Observation[];
  readonly lineRadiusMm: number;
  /** What the customer's line breaks at, N: the drag at strike is set to a share of it. Null where nobody said. */
  readonly lineBreaksN: number | null;
  /** What pulls are shown in here. */
  readonly force: ForceUnit;
  readonly answer: Action<number>;
  readonly allGood: Action<void>;
  readonly leaveOut: Action<void>;
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

const readingWords = (observation: Observation, force: ForceUnit): string =>
  observation.value === null ? verdictWords[observation.verdict] : sayMeasure(observation.value, observation.unit, force);

/**
 * The tests as rows; the one whose turn it is unfolds. One press answers it, the number is optional. The same rows serve before touching
 * and after closing, where the earlier reading stands beside.
 */
export function TestRows({
  head,
  phase,
  tests,
  extras,
  observations,
  skipped,
  record,
  lineRadiusMm,
  lineBreaksN,
  force,
  answer: answerTest,
  allGood,
  leaveOut,
  next,
  above,
  below,
  makeRepair,
}: Props) {
  const { jobId, closed } = head;
  const answered = (id: string) => observations.find((o) => o.testId === id && o.phase === phase);
  const leftOut = (id: string) => (answered(id) ? undefined : skipped.find((skip) => skip.testId === id && skip.phase === phase));
  // Written down, and not yet on the page that comes back: the next press is for the next test.
  const [sent, setSent] = useState<ReadonlySet<string>>(new Set());
  const firstOpen = tests.find((test) => !answered(test.id) && !leftOut(test.id) && !sent.has(test.id))?.id ?? null;
  const [chosen, setChosen] = useState<TestId | null>(null);
  const all = [...tests, ...extras];
  const activeId = closed ? null : (chosen ?? firstOpen);
  const active = all.find((test) => test.id === activeId);
  const [value, setValue] = useState("");
  const [radius, setRadius] = useState(String(lineRadiusMm));
  const [setting, setSetting] = useState("");
  const [reading, setReading] = useState<InstrumentReading | null>(null);
  const router = useRouter();
  const light = head.path.depth === "light";
  const stopped = light && phase === "before" && observations.some((o) => o.phase === "before" && o.verdict === "bad");
  const last = useRef<{ id: TestId; verdict: Verdict } | null>(null);
  const written = (id: TestId | undefined) => id && setSent((before) => new Set([...before, id]));
  const afterAnswer = () => {
    // A light service goes on by itself: a press saved at each of its two test sheets. A fault stops it.
    const left = tests.filter((test) => test.id !== last.current?.id && !sent.has(test.id) && !answered(test.id));
    if (light && !left.length && !stopped && last.current?.verdict !== "bad") router.push(next.href);
  };
  const act = useAct(answerTest, afterAnswer);
  const open = tests.filter((test) => !answered(test.id) && !leftOut(test.id) && !sent.has(test.id)).map(({ id }) => id);
  const sounding = useAct(allGood, () => {
    setSent((before) => new Set([...before, ...open]));
    setChosen(null);
    if (light && !stopped) router.push(next.href);
  });
  const leaving = useAct(leaveOut, () => {
    written(skipping.current ?? undefined);
    setChosen(null);
  });
  const skipping = useRef<TestId | null>(null);
  const skip = (testId: TestId, reason: string) => {
    skipping.current = testId;
    leaving.press({ jobId, phase, testId, reason });
  };
  const radiusMm = readMeasure(radius, "mm");
  const byLever = tests.some(({ id, name }) => id === "drag-full" && /lever/i.test(name));
  const settingWords = byLever ? "Lever, ° (if read)" : "Turns on (if counted)";
  /** Compared where the record stands: the same torque at the model's own line radius. */
  const atRadius = (test: TestSpec, pull: number) => (test.takesLineRadius && radiusMm > 0 ? (pull * radiusMm) / lineRadiusMm : pull);
  /** A reading as it stands on the rail: pulls at the model's own line radius, as the record has them. */
  const onRail = (test: TestSpec, one: Observation | undefined) => {
    if (!one || one.value === null) return null;
    const value = test.takesLineRadius && one.lineRadiusMm ? (one.value * one.lineRadiusMm) / lineRadiusMm : one.value;
    return { value, verdict: one.verdict };
  };
  const answer = (verdict: Verdict) => {
    if (!active) return;
    const typed = value.trim();
    last.current = { id: active.id, verdict };
    // The next test is under the hand at once: what is typed from now on is for it. Refused, the page goes back to this one.
    const kept = { id: active.id, value, setting, reading };
    written(active.id);
    setValue("");
    setSetting("");
    setReading(null);
    setChosen(null);
    const sending = act.press({
      jobId,
      phase,
      testId: active.id,
      verdict,
      value: reading ? reading.value : typed === "" ? null : readMeasure(typed, active.unit, shownUnit(active.unit, force)),
      lineRadiusMm: active.takesLineRadius ? radiusMm : null,
      setting: active.takesLineRadius && setting.trim() !== "" ? readMeasure(setting, null) : null,
      instrument: reading ? reading.instrument : typed === "" ? "by hand" : "typed",
      simulated: reading?.simulated ?? false,
      trace: reading?.trace ?? null,
    });
    void sending.then((result) => {
      if (result?.ok) return;
      setSent((before) => new Set([...before].filter((id) => id !== kept.id)));
      setChosen(kept.id);
      setValue(kept.value);
      setSetting(kept.setting);
      setReading(kept.reading);
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
            <Key shortcut="n" words="Not done" busy={leaving.busy} onPress={() => skip(active.id, "")} className="min-w-28">
              Not done
            </Key>
            {open.length > 1 && (
              <Key
                shortcut="a"
                words="All as they should be"
                busy={sounding.busy}
                onPress={() => sounding.press({ jobId, phase, testIds: open })}
                className="min-w-28"
              >
                All {open.length} good
              </Key>
            )}
          </>
        ) : (
          <NextLink {...next} />
        )
      }
    >
      <Refused of={[act, leaving, sounding]} />
      {above}
      {stopped && !closed && makeRepair && <MakeRepair jobId={jobId} makeRepair={makeRepair} />}
      <ol>
        {all.map((test, i) => {
          const why = leftOut(test.id);
          const usual = record.get(test.id);
          const instrument = instrumentFor(test.id);
          const shown = reading ? reading.value : readMeasure(value, test.unit, shownUnit(test.unit, force));
          const before = observations.find((o) => o.testId === test.id && o.phase === "before");
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
                    onClick={() => {
                      setChosen(test.id);
                      setValue("");
                      setSetting("");
                      setReading(null);
                    }}
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
                {why && !isActive && <WhyLeftOut skip={why} closed={closed} say={(reason) => skip(test.id, reason)} />}
                {!now && !why && !isActive && <span className="text-note">{i < tests.length ? "not done" : "optional"}</span>}
              </div>
              {isActive && (
                <div className="mt-1 grid gap-4 lg:grid-cols-[1fr_520px]">
                  <div>
                    <p>{test.how}</p>
                    {test.id === "drag-strike" && lineBreaksN !== null && (
                      <p className="font-semibold">
                        Target at strike: {sayMeasure(dragAdvice(lineBreaksN, "usual").strikeN, "N", force)}, a quarter of the{" "}
                        {sayMeasure(lineBreaksN, "N", force)} its line breaks at; on a bare spool never above{" "}
                        {sayMeasure(dragAdvice(lineBreaksN, "usual").mostN, "N", force)}.
                      </p>
                    )}
                    {test.id.startsWith("drag") && (
                      <Link className="act-link inline-flex min-h-6 items-center" href={`/gauges/drag?job=${head.tag}`}>
                        Target drag
                      </Link>
                    )}
                    <p className="text-note">{test.why}</p>
                    {usual && (
                      <p className="mt-1">
                        Such reels leave here with{" "}
                        <span className="num">
                          {sayFigures(usual.median, test.unit, force)} ({sayFigures(usual.low, test.unit, force)} to{" "}
                          {sayFigures(usual.high, test.unit, force)}) {shownUnit(test.unit, force)}
                        </span>
                        , {usual.jobs} jobs{test.takesLineRadius && `, at ${lineRadiusMm} mm`}.
                        {Number.isFinite(shown) && (
                          <strong> This one is {againstWords[againstRecord(atRadius(test, shown), usual)]}.</strong>
                        )}
                      </p>
                    )}
                    {test.takesLineRadius && Number.isFinite(shown) && radiusMm > 0 && (
                      <p>{torqueWords(shown, radiusMm)}, the same at any line radius.</p>
                    )}
                    <Cautions
                      said={[
                        ...cautionsAt({ at: "test", pullsLine: false, electric: head.electric }),
                        ...(test.caution ? [test.caution] : []),
                      ]}
                    />
                  </div>
                  <div>
                    <div className="flex items-end gap-4">
                      {test.unit && (
                        <label className="flex-1 text-note">
                          Reading, if you took one ({shownUnit(test.unit, force)})
                          <input
                            inputMode="decimal"
                            className="num"
                            style={{ fontSize: 56, lineHeight: "56px", height: 72 }}
                            value={reading ? shownValue(reading.value, test.unit, force).toFixed(force === "N" ? 1 : 2) : value}
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
                      {test.takesLineRadius && (
                        <label className="w-40 text-note">
                          {settingWords}
                          <input
                            inputMode="decimal"
                            value={setting}
                            onChange={(event) => setSetting(event.target.value)}
                            aria-invalid={Boolean(act.fields.setting)}
                          />
                          {act.fields.setting && <span role="alert">{act.fields.setting}</span>}
                        </label>
                      )}
                    </div>
                    {instrument && (
                      <InstrumentPanel
                        key={test.id}
                        jobId={jobId}
                        phase={phase}
                        testId={test.id}
                        instrument={instrument}
                        onReading={setReading}
                      />
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

const againstWords = { under: "below usual", within: "as usual", over: "above usual" } as const;
const reasons = ["no line on it", "it could do damage", "a part is missing", "customer did not want it", "no time"] as const;

/** Why a test was left out: one of the usual reasons, said after the press or not at all. */
function WhyLeftOut({ skip, closed, say }: { skip: { readonly reason: string }; closed: boolean; say: (reason: string) => void }) {
  return (
    <span className="flex items-center gap-3">
      left out
      {closed ? (
        skip.reason && `: ${skip.reason}`
      ) : (
        <select aria-label="Why it was left out" className="w-64" value={skip.reason} onChange={(event) => say(event.target.value)}>
          <option value="">say why</option>
          {[...new Set([...reasons, ...(skip.reason ? [skip.reason] : [])])].map((reason) => (
            <option key={reason} value={reason}>
              {reason}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}

/** A light service that met a fault: it stops here, or goes the long way. */
function MakeRepair({ jobId, makeRepair }: { jobId: number; makeRepair: Action<void> }) {
  const act = useAct(makeRepair);
  return (
    <div className="alarm mb-3 flex flex-wrap items-center gap-4">
      <p>There is a fault: this is more than an outside service. Your tests stay.</p>
      <Key shortcut="r" words="Make it a repair" busy={act.busy} onPress={() => act.press({ jobId })}>
        Make it a repair
      </Key>
      <Refused of={[act]} />
    </div>
  );
}
