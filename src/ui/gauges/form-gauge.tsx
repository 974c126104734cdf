"use client";
import { type ReactNode, useState } from "react";
import type { InputNamed } from "@/core/acts/acts";
import type { Figure } from "@/core/measures/taken";
import { type Curve, CurveChart } from "@/ui/charts/curve-chart";
import { Field } from "@/ui/controls/field";
import { ChoiceField, TextField } from "@/ui/controls/text-field";
import { shown } from "./figures/typed";
import { GaugeFrame, type GaugeJob } from "./gauge-frame";

export interface GaugeField {
  readonly key: string;
  readonly label: string;
  /** A choice instead of a number. */
  readonly of?: Readonly<Record<string, string>>;
}

/** What a gauge says of what was typed: what is wrong at which field, or its result. */
export type GaugeAnswer =
  | { readonly fault: { readonly field: string; readonly message: string } }
  | {
      readonly big: string;
      /** What is kept with a job and copied. */
      readonly words: string;
      readonly rows: readonly (readonly [label: string, value: string])[];
      readonly notes?: readonly string[];
      readonly figures?: readonly (Figure & { readonly name: string; readonly unit: string })[];
      readonly chart?: { readonly curves: readonly Curve[]; readonly xName: string; readonly yName: string; readonly summary: string };
    };

type Chart = NonNullable<Extract<GaugeAnswer, { big: string }>["chart"]>;

/** Value of a curve at a place along it, straight between its points. */
function valueAt(points: Chart["curves"][number]["points"], x: number): number {
  const after = points.findIndex((point) => point.x >= x);
  if (after <= 0) return points[after === 0 ? 0 : points.length - 1]?.y ?? Number.NaN;
  const [a, b] = [points[after - 1]!, points[after]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x || 1);
}

/** A chart that is read by arrow keys as well as by eye: the place along it is a slider, its values stand in its label. */
function ReadChart({ chart }: { chart: Chart }) {
  const [percent, setPercent] = useState(50);
  const xs = chart.curves.flatMap(({ points }) => points.map(({ x }) => x));
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const x = low + ((high - low) * percent) / 100;
  return (
    <>
      <CurveChart {...chart} atX={x} heightPx={200} />
      <Field
        label={`Read at ${shown(x, 3)} (${chart.xName}): ${chart.curves.map(({ name, points }) => `${name} ${shown(valueAt(points, x), 3)}`).join(", ")} (${chart.yName})`}
      >
        {(field) => (
          <input {...field} type="range" min={0} max={100} value={percent} onChange={(event) => setPercent(Number(event.target.value))} />
        )}
      </Field>
    </>
  );
}

interface Props {
  readonly gauge: InputNamed<"keep-gauge">["gauge"];
  readonly job: GaugeJob | null;
  readonly title: string;
  readonly fields: readonly GaugeField[];
  readonly initial: Readonly<Record<string, string>>;
  /** Sets of numbers off the reel it was opened for: one press fills them in. */
  readonly presets?: readonly { readonly name: string; readonly values: Readonly<Record<string, string>> }[];
  readonly compute: (typed: Readonly<Record<string, string>>) => GaugeAnswer;
  /** Where the method and its numbers come from. */
  readonly method: string;
  /** The gauge's own drawing, which can be pulled at; nothing while the numbers make none. */
  readonly draw?: (typed: Readonly<Record<string, string>>, set: (values: Readonly<Record<string, string>>) => void) => ReactNode;
  readonly extra?: (set: (values: Readonly<Record<string, string>>) => void, typed: Readonly<Record<string, string>>) => ReactNode;
}

/** A gauge of a few numbers: typed on the left, its answer with method and source on the right; what is wrong is said at its field. */
export function FormGauge({ gauge, job, title, fields, initial, presets = [], compute, method, draw, extra }: Props) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({ ...initial, ...presets[0]?.values });
  const set = (values: Readonly<Record<string, string>>) => setTyped((typed) => ({ ...typed, ...values }));
  const answer = compute(typed);
  const fault = "fault" in answer ? answer.fault : null;
  const known = fault && fields.some(({ key }) => key === fault.field);
  const reading = "fault" in answer ? null : answer;
  return (
    <GaugeFrame
      gauge={gauge}
      job={job}
      result={
        reading && {
          words: reading.words,
          csv: reading.rows.map(([label, value]) => `"${label.replaceAll('"', '""')}";"${value.replaceAll('"', '""')}"`).join("\r\n"),
          input: { ...typed },
          figures: reading.figures ?? [],
        }
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1>{title}</h1>
          {draw?.(typed, set)}
          {presets.length > 0 && (
            <div className="flex max-h-40 flex-wrap gap-1 overflow-auto">
              {presets.map((preset) => (
                <button key={preset.name} type="button" className="key key-small" onClick={() => set(preset.values)}>
                  {preset.name}
                </button>
              ))}
            </div>
          )}
          <div className="grid grid-cols-2 gap-3">
            {fields.map(({ key, label, of }) =>
              of ? (
                <ChoiceField
                  key={key}
                  label={label}
                  of={of}
                  value={typed[key] ?? ""}
                  error={fault?.field === key ? fault.message : undefined}
                  onChoose={(id) => set({ [key]: id })}
                />
              ) : (
                <TextField
                  key={key}
                  label={label}
                  value={typed[key] ?? ""}
                  error={fault?.field === key ? fault.message : undefined}
                  onType={(text) => set({ [key]: text })}
                />
              ),
            )}
          </div>
          {extra?.(set, typed)}
        </div>
        <div className="flex flex-col gap-3">
          {fault && !known && (
            <p role="alert" className="alarm">
              {fault.message}
            </p>
          )}
          {reading ? (
            <>
              <p className="num text-measure" role="status">
                {reading.big}
              </p>
              {reading.rows.length > 0 && (
                <table className="plain-table">
                  <tbody>
                    {reading.rows.map(([label, value]) => (
                      <tr key={`${label} ${value}`}>
                        <td>{label}</td>
                        <td className="num">{value}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {reading.chart && <ReadChart chart={reading.chart} />}
              {reading.notes?.map((note) => (
                <p key={note} className="border-l-4 border-ink pl-2">
                  {note}
                </p>
              ))}
            </>
          ) : (
            known && <p>Fix the marked fields to see the result.</p>
          )}
          <p className="text-note">{method} Millimetres, or inches with “in”: 3/16 in.</p>
        </div>
      </div>
    </GaugeFrame>
  );
}
