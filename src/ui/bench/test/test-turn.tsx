"use client";
import Link from "next/link";
import { dragAdvice } from "@/core/drag/fit-drag";
import { againstRecord, type ModelRecord } from "@/core/proving/model-record";
import type { Phase } from "@/core/proving/observation";
import type { TestSpec } from "@/core/proving/protocol";
import { instrumentFor, torqueWords } from "@/core/proving/read-trace";
import { cautionsAt } from "@/core/safety/cautions";
import { readMeasure } from "@/core/units/read-measure";
import { type ForceUnit, sayFigures, sayMeasure, shownUnit, shownValue } from "@/core/units/say-measure";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { InstrumentPanel, type InstrumentReading, type Measuring } from "./instrument-panel";

/** What is typed at the test whose turn it is, as it was typed. */
export interface Typed {
  readonly value: string;
  /** Line radius, mm. */
  readonly radius: string;
  /** Turns or degrees of the adjuster. */
  readonly setting: string;
  /** Read by an instrument: counts before what was typed. */
  readonly reading: InstrumentReading | null;
}

interface Props {
  readonly head: BenchHead;
  readonly phase: Phase;
  readonly test: TestSpec;
  readonly usual: ModelRecord | undefined;
  /** The model's own. */
  readonly lineRadiusMm: number;
  /** N; null where nobody said. */
  readonly lineBreaksN: number | null;
  readonly force: ForceUnit;
  readonly byLever: boolean;
  readonly typed: Typed;
  readonly type: (change: Partial<Typed>) => void;
  /** What is wrong with what was typed, by field. */
  readonly wrong: Readonly<Record<string, string>>;
  readonly onMeasuring: (measuring: Measuring | null) => void;
}

const againstWords = { under: "below usual", within: "as usual", over: "above usual" } as const;

/** The test whose turn it is: how it is made and what for, what such reels leave with, and where its number goes. */
export function TestTurn({ head, phase, test, usual, lineRadiusMm, lineBreaksN, force, byLever, typed, type, wrong, onMeasuring }: Props) {
  const { reading } = typed;
  const instrument = instrumentFor(test.id);
  const shown = reading ? reading.value : readMeasure(typed.value, test.unit, shownUnit(test.unit, force));
  const radiusMm = readMeasure(typed.radius, "mm");
  /** Compared where the record stands: the same torque at the model's own line radius. */
  const atRadius = test.takesLineRadius && radiusMm > 0 ? (shown * radiusMm) / lineRadiusMm : shown;
  return (
    <div className="mt-1 grid gap-4 xl:grid-cols-[1fr_460px]">
      <div>
        <p>{test.how}</p>
        {test.id === "drag-strike" && lineBreaksN !== null && (
          <p className="font-semibold">
            Target at strike: {sayMeasure(dragAdvice(lineBreaksN, "usual").strikeN, "N", force)}, a quarter of the{" "}
            {sayMeasure(lineBreaksN, "N", force)} breaking strain of its line; on a bare spool never above{" "}
            {sayMeasure(dragAdvice(lineBreaksN, "usual").mostN, "N", force)}.
          </p>
        )}
        {test.takesLineRadius && (
          <Link className="act-link inline-flex min-h-6 items-center" href={`/gauges/drag?job=${head.tag}`}>
            Target drag
          </Link>
        )}
        <p className="text-note">{test.why}</p>
        {usual && (
          <p className="mt-1">
            Reels like this leave here with{" "}
            <span className="num">
              {sayFigures(usual.median, test.unit, force)} ({sayFigures(usual.low, test.unit, force)} to{" "}
              {sayFigures(usual.high, test.unit, force)}) {shownUnit(test.unit, force)}
            </span>
            , {usual.jobs} jobs{test.takesLineRadius && `, at ${lineRadiusMm} mm`}.
            {Number.isFinite(shown) && <strong> This one is {againstWords[againstRecord(atRadius, usual)]}.</strong>}
          </p>
        )}
        {test.takesLineRadius && Number.isFinite(shown) && radiusMm > 0 && (
          <p>{torqueWords(shown, radiusMm)}, the same at any line radius.</p>
        )}
        <Cautions
          said={[...cautionsAt({ at: "test", pullsLine: false, electric: head.electric }), ...(test.caution ? [test.caution] : [])]}
        />
      </div>
      <div>
        <div className="flex flex-wrap items-end gap-4">
          {test.unit && (
            <label className="min-w-36 flex-1 text-note">
              Reading, if you took one ({shownUnit(test.unit, force)})
              <input
                inputMode="decimal"
                className="num"
                style={{ fontSize: 56, lineHeight: "56px", height: 72 }}
                value={reading ? shownValue(reading.value, test.unit, force).toFixed(force === "N" ? 1 : 2) : typed.value}
                onChange={(event) => type({ reading: null, value: event.target.value })}
                aria-invalid={Boolean(wrong.value)}
              />
              {wrong.value && <span role="alert">{wrong.value}</span>}
            </label>
          )}
          {test.takesLineRadius && (
            <label className="w-40 text-note">
              Line radius, mm
              <input
                inputMode="decimal"
                value={typed.radius}
                onChange={(event) => type({ radius: event.target.value })}
                aria-invalid={Boolean(wrong.lineRadiusMm)}
              />
              {wrong.lineRadiusMm && <span role="alert">{wrong.lineRadiusMm}</span>}
            </label>
          )}
          {test.takesLineRadius && (
            <label className="w-40 text-note">
              {byLever ? "Lever, ° (if read)" : "Turns on (if counted)"}
              <input
                inputMode="decimal"
                value={typed.setting}
                onChange={(event) => type({ setting: event.target.value })}
                aria-invalid={Boolean(wrong.setting)}
              />
              {wrong.setting && <span role="alert">{wrong.setting}</span>}
            </label>
          )}
        </div>
        {Object.entries(wrong)
          .filter(([field]) => !(field === "value" ? test.unit : ["lineRadiusMm", "setting"].includes(field) && test.takesLineRadius))
          .map(([field, words]) => (
            <p key={field} role="alert" className="alarm mt-1 text-text">
              {words}
            </p>
          ))}
        {instrument && (
          <InstrumentPanel
            key={test.id}
            jobId={head.jobId}
            phase={phase}
            testId={test.id}
            instrument={instrument}
            simulated={head.simulated}
            onReading={(reading) => type({ reading })}
            onMeasuring={onMeasuring}
          />
        )}
      </div>
    </div>
  );
}
