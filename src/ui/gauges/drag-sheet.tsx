"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { hasFreeSpool, type LeverDrag, leverForce, type Star, starForce } from "@/core/drag/adjusters";
import { capacityNmm, type DragElement, gapsOf, type PressureModel } from "@/core/drag/capacity";
import { type DiscSpring, stackOf } from "@/core/drag/disc-springs";
import { dragLimit } from "@/core/drag/drag-limit";
import { type DragUse, dragAdvice, dragShares, type MeasuredPull } from "@/core/drag/fit-drag";
import { pullN } from "@/core/drag/pull";
import { type ModelNumber, modelNumbers, type NumbersOfModel } from "@/core/gauges/model-numbers";
import type { Phase } from "@/core/proving/observation";
import { convert, type UnitOf, unitFactors } from "@/core/units/units";
import { useAct } from "@/ui/act/use-act";
import { CurveChart } from "@/ui/charts/curve-chart";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { ChoiceField, TextField } from "@/ui/controls/text-field";
import { type DragTyped, readDrag } from "./drag-typed";
import { StackDrawing } from "./drawn/stack-drawing";
import { shown } from "./figures/typed";
import { FishRunPanel } from "./fish-run-panel";
import { GaugeFrame, type GaugeJob } from "./gauge-frame";
import { type FitFigure, MeasuredPanel } from "./measured-panel";
import { type StackRow, StackTable } from "./stack-table";

const ofStar = ["pitch", "stiffness", "stop", "efficiency", "loss"] as const;
const ofLever = ["leverStiffness", "knobPitch", "gap", "efficiency", "loss"] as const;

interface Props {
  /** Pulls of this job whose setting was noted. */
  readonly pulls: readonly (MeasuredPull & { readonly phase: Phase })[];
  /** What is known of its model; null for a bare bench. */
  readonly own: NumbersOfModel | null;
  readonly job: GaugeJob | null;
  readonly stack: readonly (DragElement & { readonly name: string })[];
  readonly springs: readonly { readonly disc: DiscSpring; readonly up: boolean }[];
  readonly ratio: number | null;
  readonly arborRadiusMm: number | null;
  readonly fullRadiusMm: number | null;
  /** It has a lever and a cam. */
  readonly lever: boolean;
}

/** A three-gap stack to begin with when no reel is named. */
const ownStack: Props["stack"] = Array.from({ length: 7 }, (_, i) => ({
  name: i % 2 ? `Friction washer ${(i + 1) / 2}` : i === 0 ? "Gear" : i % 4 ? "Keyed washer" : "Eared washer",
  member: i % 2 ? ("none" as const) : i % 4 ? ("sleeve" as const) : ("gear" as const),
  outsideMm: 31,
  insideMm: 9,
  mu: i % 2 ? 0.2 : null,
}));
const ownSprings: Props["springs"] = [true, false].map((up) => ({
  disc: { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 },
  up,
}));

/** How far a coefficient is usually off when it was not measured on this reel. */
const muOff = 0.2;

/** What a drag will pull: the stack from the base up, squeezed by its star, at the line, over the whole spool. */
export function DragSheet({ job, stack, springs, ratio, arborRadiusMm, fullRadiusMm, lever, pulls, own }: Props) {
  const startOf = (id: ModelNumber) => shown(own?.values[id] ?? modelNumbers[id].usual ?? 0);
  const keeping = useAct("keep-model-numbers");
  const [rows, setRows] = useState<readonly StackRow[]>(() =>
    (stack.length ? stack : ownStack).map(({ name, member, outsideMm, insideMm, mu }, id) => ({
      id,
      name,
      member,
      outside: String(outsideMm),
      inside: String(insideMm),
      mu: mu === null ? "" : String(mu),
    })),
  );
  const [model, setModel] = useState<PressureModel>("uniform-pressure");
  const [typed, setTyped] = useState<DragTyped>({
    pitch: startOf("pitch"),
    stiffness: startOf("stiffness"),
    stop: startOf("stop"),
    ratio: String(Math.round((ratio ?? 3) * 1000) / 1000),
    efficiency: startOf("efficiency"),
    loss: startOf("loss"),
    arbor: String(arborRadiusMm ?? 12),
    full: String(fullRadiusMm ?? 24),
    breaking: "120",
    leverStiffness: startOf("leverStiffness"),
    knobPitch: startOf("knobPitch"),
    knobTurns: "0.4",
    gap: startOf("gap"),
  });
  const [by, setBy] = useState<"star" | "lever">(lever ? "lever" : "star");
  const [cam, setCam] = useState(own?.cam || "0 0; 30 0.1; 90 0.5; 120 0.7");
  const [reversed, setReversed] = useState(false);
  const [fitted, setFitted] = useState<FitFigure | null>(null);
  const [unit, setUnit] = useState<UnitOf<"force">>("N");
  const [use, setUse] = useState<DragUse>("usual");
  // Within the travel of usual tension washers: beyond it they are flat.
  const [percent, setPercent] = useState(25);
  const { value, errors, camPoints, camFault, elements, fault, lineError, ready } = readDrag({ typed, rows, by, cam, unit });
  const inUnit = (newtons: number) => convert("force", newtons, "N", unit);

  const star: Star = useMemo(
    () => ({
      pitchMm: value.pitch,
      springs: stackOf(springs.length ? springs : ownSprings),
      stackStiffnessNPerMm: value.stiffness,
      endStopTurns: value.stop,
    }),
    [springs, value.pitch, value.stiffness, value.stop],
  );
  const leverDrag: LeverDrag = {
    stiffnessNPerMm: value.leverStiffness,
    cam: camPoints,
    knobPitchMm: value.knobPitch,
    knobTurns: value.knobTurns,
    gapMm: value.gap,
    camReversed: reversed,
  };
  /** How far the adjuster goes: turns of the star, degrees of the lever. */
  const most = by === "star" ? value.stop : (camPoints.at(-1)?.degrees ?? 0);
  const computed = (() => {
    if (!ready) return null;
    const gaps = gapsOf(elements, model);
    const forceAt = (x: number) => (by === "star" ? starForce(star, x).forceN : leverForce(leverDrag, x));
    const torqueAt = (turns: number, factor = 1) => capacityNmm(elements, forceAt(turns), model) * factor;
    const pullAt = (turns: number, radius: number, factor = 1) =>
      pullN({ stackNmm: torqueAt(turns, factor), ratio: value.ratio, efficiency: value.efficiency, lossNmm: value.loss }, radius);
    const steps = Array.from({ length: 41 }, (_, i) => (most * i) / 40);
    return { gaps, torqueAt, pullAt, steps };
  })();
  const turns = (most * percent) / 100;
  const atWords = by === "star" ? `${shown(turns, 3)} turns of the star` : `the lever at ${shown(turns, 3)}°`;
  const fullPull = computed?.pullAt(turns, value.full) ?? 0;
  const barePull = computed?.pullAt(turns, value.arbor) ?? 0;
  const low = computed?.pullAt(turns, value.full, 1 - muOff) ?? 0;
  const high = computed?.pullAt(turns, value.full, 1 + muOff) ?? 0;
  const breakingN = convert("force", value.breaking, unit, "N");
  const advice = dragAdvice(breakingN, use);
  const springsFlat = computed && by === "star" ? starForce(star, turns).springsFlat : false;
  const words = computed
    ? `Drag: ${computed.gaps.length} slipping places; at ${atWords} ${shown(inUnit(fullPull))} ${unit} at a full spool (${shown(inUnit(low), 3)} to ${shown(inUnit(high), 3)}, coefficient ±20 %), ${shown(inUnit(barePull))} ${unit} when it is bare.`
    : "";
  const change = (id: number, edit: Partial<StackRow>) => setRows((rows) => rows.map((row) => (row.id === id ? { ...row, ...edit } : row)));
  const number = (key: keyof DragTyped, label: string) => (
    <TextField label={label} value={typed[key]} error={errors[key]} onType={(text) => setTyped((typed) => ({ ...typed, [key]: text }))} />
  );
  const curveOf = (radius: number, factor = 1) => computed!.steps.map((x) => ({ x, y: inUnit(computed!.pullAt(x, radius, factor)) }));
  return (
    <GaugeFrame
      gauge="drag"
      job={job}
      result={
        computed && {
          words,
          csv: [
            `${by === "star" ? "turns" : "degrees"};full spool ${unit};bare ${unit}`,
            ...computed.steps.map((x) =>
              [x, inUnit(computed.pullAt(x, value.full)), inUnit(computed.pullAt(x, value.arbor))].map((v) => v.toFixed(4)).join(";"),
            ),
          ].join("\r\n"),
          input: { stack: elements, model, by, ...typed },
          figures: fitted ? [fitted] : [],
        }
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1>The stack, from the base up</h1>
          {!fault && (
            <StackDrawing
              widthPx={580}
              heightPx={230}
              elements={elements}
              gaps={computed?.gaps ?? []}
              set={(i, outsideMm) => change(rows[i]!.id, { outside: String(outsideMm) })}
            />
          )}
          <StackTable rows={rows} gaps={computed?.gaps ?? []} fault={fault} onChange={change} />
          {fault && (
            <p role="alert" className="alarm">
              {rows[fault.at]?.name}: {fault.message}
            </p>
          )}
          <div className="grid grid-cols-3 gap-3">
            <ChoiceField
              label="Squeezed by"
              of={{ star: "a star and tension washers", lever: "a lever and its cam" }}
              value={by}
              onChoose={(id) => setBy(id as "star")}
            />
            {by === "star" ? (
              <>
                {number("pitch", "Star's thread, mm a turn")}
                {number("stiffness", "Stack stiffness, N/mm")}
                {number("stop", "Turns to the end stop")}
              </>
            ) : (
              <>
                <TextField label="Cam: degrees and rise, mm" value={cam} error={camFault} onType={setCam} />
                <ChoiceField
                  label="Cam fitted"
                  of={{ right: "as it belongs", wrong: "half a turn out" }}
                  value={reversed ? "wrong" : "right"}
                  onChoose={(id) => setReversed(id === "wrong")}
                />
                {number("leverStiffness", "Springs and plates, N/mm")}
                {number("knobPitch", "Preset knob, mm a turn")}
                {number("knobTurns", "Preset knob, turns")}
                {number("gap", "Clearance, mm")}
              </>
            )}
            {number("ratio", "Ratio, gear to spool")}
            {number("efficiency", "Back-driven efficiency")}
            {number("loss", "Losses at the spool, N·mm")}
            {number("arbor", "Arbor radius, mm")}
            {number("full", "Full radius, mm")}
            <ChoiceField
              label="Rings are"
              of={{ "uniform-pressure": "new: even pressure", "uniform-wear": "run in: even wear" }}
              value={model}
              onChoose={(id) => setModel(id as PressureModel)}
            />
          </div>
          {job && own && (
            <div className="flex flex-wrap items-center gap-3">
              {!job.closed && (
                <button
                  type="button"
                  className="key key-small"
                  disabled={keeping.busy || Object.values(errors).some(Boolean)}
                  onClick={() =>
                    keeping.press({
                      jobId: job.jobId,
                      values: Object.fromEntries(
                        (by === "star" ? ofStar : ofLever).map((id) => [id, value[id]]).filter(([, v]) => Number(v) > 0),
                      ),
                      cam: by === "lever" ? cam : "",
                    })
                  }
                >
                  Measured here: save for this model
                </button>
              )}
              <span className="text-note">
                {own.measured.length
                  ? `Measured on this model: ${own.measured.map((id) => modelNumbers[id].name).join("; ")}. The rest is usual for its kind.`
                  : "Nothing measured on this model yet: these are usual for its kind."}
              </span>
            </div>
          )}
          <Refused of={[keeping]} />
          <p className="text-note">
            Coefficients of carbon are your own data; 0.2 is a place to begin. Tension washers:{" "}
            <Link className="act-link" href={`/gauges/washers${job ? `?job=${job.tag}` : ""}`}>
              as {springs.length ? "this reel" : "two opposed"}
            </Link>
            .
          </p>
        </div>
        <div className="flex flex-col gap-3">
          {computed ? (
            <>
              <p className="num text-measure" role="status">
                {shown(inUnit(fullPull))} {unit}
              </p>
              <p>
                at a full spool, <span className="num">±{shown(inUnit((high - low) / 2), 2)}</span> for a coefficient 20 % off;{" "}
                <span className="num">{shown(inUnit(barePull))}</span> {unit} when the spool is bare. Slips in{" "}
                <span className="num">{computed.gaps.length}</span> place{computed.gaps.length === 1 ? "" : "s"}.
              </p>
              <div className="grid grid-cols-[1fr_auto] items-end gap-3">
                <Field label={by === "star" ? `Star at ${shown(turns, 3)} turns from the first contact` : `Lever at ${shown(turns, 3)}°`}>
                  {(field) => (
                    <input
                      {...field}
                      type="range"
                      min={0}
                      max={100}
                      value={percent}
                      onChange={(event) => setPercent(Number(event.target.value))}
                    />
                  )}
                </Field>
                <ChoiceField
                  label="Unit"
                  of={Object.fromEntries(Object.keys(unitFactors.force).map((name) => [name, name]))}
                  value={unit}
                  onChoose={(id) => {
                    const next = id as UnitOf<"force">;
                    // The same breaking load, said in the other unit.
                    if (Number.isFinite(value.breaking))
                      setTyped((typed) => ({ ...typed, breaking: shown(convert("force", value.breaking, unit, next)) }));
                    setUnit(next);
                  }}
                />
              </div>
              {by === "lever" && !hasFreeSpool(leverDrag) && (
                <p className="alarm">
                  No free spool: it already presses at the lever's first mark.{" "}
                  {reversed ? "The cam is half a turn out." : "Back off the preset knob, or check that the cam is not half a turn out."}
                </p>
              )}
              {springsFlat && (
                <p className="border-l-4 border-ink pl-2">The tension washers are flat here: beyond this the pull climbs steeply.</p>
              )}
              <CurveChart
                curves={[
                  { name: "full spool", points: curveOf(value.full), line: "solid" },
                  { name: "bare spool", points: curveOf(value.arbor), line: "dashed" },
                  { name: "low", points: curveOf(value.full, 1 - muOff), line: "thin" },
                  { name: "high", points: curveOf(value.full, 1 + muOff), line: "thin" },
                ]}
                xName={by === "star" ? "turns of the star" : "degrees of the lever"}
                yName={`pull, ${unit}`}
                atX={turns}
                heightPx={220}
                summary={`Solid: full spool, to ${shown(inUnit(computed.pullAt(most, value.full)))} ${unit} at the end. Thin: coefficient 20 % off. Dashed: bare spool, ${shown(value.full / value.arbor, 3)} times as hard.`}
              />
              <div className="grid grid-cols-2 gap-3">
                {number("breaking", `Breaking load, ${unit}`)}
                <ChoiceField
                  label="Fishing"
                  of={Object.fromEntries(Object.keys(dragShares).map((name) => [name, name]))}
                  value={use}
                  onChoose={(id) => setUse(id as DragUse)}
                />
              </div>
              {!lineError && (
                <p>
                  Set the strike to about <strong className="num">{shown(inUnit(advice.strikeN))}</strong> {unit} (
                  {Math.round(dragShares[use] * 100)} % of the line; common practice). With the spool drawn down never above{" "}
                  <span className="num">{shown(inUnit(advice.mostN))}</span> {unit}: {dragLimit.why}.
                  {barePull > advice.mostN && <strong> This setting is above it on a bare spool.</strong>}
                </p>
              )}
              <MeasuredPanel
                elements={elements}
                names={rows.map(({ name }) => name)}
                model={model}
                key={by}
                squeeze={by === "star" ? { star } : { lever: leverDrag }}
                // Degrees are not turns: pulls of this reel stand only where it is squeezed as it is built.
                taken={(by === "lever") === lever ? pulls : []}
                path={{ ratio: value.ratio, efficiency: value.efficiency, lossNmm: value.loss }}
                radiusMm={value.full}
                onFigure={setFitted}
              />
              <FishRunPanel spoolTorqueNmm={fullPull * value.full} arborRadiusMm={value.arbor} fullRadiusMm={value.full} />
              <p className="text-note">
                Method: torque = force × Σ μ·r over the gaps, each slipping where μ·r is least; at the line (T ÷ (i·η) + losses) ÷ radius,
                as the fish drives the train backwards.
              </p>
            </>
          ) : (
            <p>Fix the marked fields to see the result.</p>
          )}
        </div>
      </div>
    </GaugeFrame>
  );
}
