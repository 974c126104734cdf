"use client";
import Link from "next/link";
import { type ReactNode, useState } from "react";
import { gapsOf } from "@/core/drag/capacity";
import { pullAtRadius, torqueAtSpoolNmm } from "@/core/drag/pull";
import { readMeasure } from "@/core/units/read-measure";
import { convert, type Quantity, type UnitOf, unitFactors } from "@/core/units/units";
import { Field } from "@/ui/controls/field";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { BearingDrawing } from "./drawn/bearing-drawing";
import { ConesDrawing } from "./drawn/cones-drawing";
import { GearDrawing } from "./drawn/gear-drawing";
import { LineDrawing } from "./drawn/line-drawing";
import { SpinDrawing } from "./drawn/spin-drawing";
import { StackDrawing } from "./drawn/stack-drawing";
import { ThreadDrawing } from "./drawn/thread-drawing";
import { typedMm } from "./figures/typed";
import { type GaugeId, type GaugeJob, GaugeTabs, gaugeNames } from "./gauge-frame";

const read = (text: string): number | null => {
  const value = Number(text.trim().replace(",", "."));
  return text.trim() !== "" && Number.isFinite(value) && value >= 0 ? value : null;
};
const mend = (text: string, value: number | null) => (value === null ? `“${text}” is no number from 0 up.` : undefined);
const show = (value: number) => value.toLocaleString("en-GB", { maximumSignificantDigits: 5, useGrouping: false });

/** A pull carried to another line radius, and exact units. Each shows its inputs, unit and method. */
export function GaugesSheet({ job }: { job: GaugeJob | null }) {
  return (
    <Sheet
      fill
      top={<GaugeTabs here="" job={job} />}
      block={<CornerBlock cells={[{ label: "Gauge", value: gaugeNames[""], large: true }]} />}
    >
      <SevenDrawings job={job} />
      <div className="mt-8 grid gap-10 lg:grid-cols-2">
        <div className="flex flex-col gap-8">
          <PullGauge />
        </div>
        <UnitGauge />
      </div>
    </Sheet>
  );
}

const cardPx = { widthPx: 270, heightPx: 120 };
const friction = { member: "none", outsideMm: 31, insideMm: 9, mu: 0.2 } as const;
const stack = [
  { member: "gear", outsideMm: 33, insideMm: 8, mu: null },
  friction,
  { member: "sleeve", outsideMm: 30, insideMm: 8, mu: null },
  friction,
  { member: "gear", outsideMm: 29, insideMm: 9, mu: null },
] as const;
const cone = { outsideMm: 20, insideMm: 10.2, thicknessMm: 1.1, coneHeightMm: 0.45 };

/** What the gauges reckon with, as drawings: each is the way to its gauge. */
function SevenDrawings({ job }: { job: GaugeJob | null }) {
  const cards: readonly (readonly [GaugeId, ReactNode])[] = [
    ["drag", <StackDrawing key="drag" {...cardPx} elements={stack} gaps={gapsOf(stack, "uniform-pressure")} />],
    [
      "washers",
      <ConesDrawing
        key="washers"
        {...cardPx}
        share={0.2}
        cones={[
          { ...cone, up: true },
          { ...cone, up: false },
        ]}
      />,
    ],
    ["bearing", <BearingDrawing key="bearing" {...cardPx} boreMm={5} outsideMm={11} widthMm={4} />],
    ["screw", <ThreadDrawing key="screw" {...cardPx} diameterMm={3} pitchMm={0.5} system="ISO metric" />],
    ["spin", <SpinDrawing key="spin" {...cardPx} marks={2} lineMm={45} />],
    ["gearing", <GearDrawing key="gearing" {...cardPx} ratio={3} gear={45} pinion={15} />],
    ["line", <LineDrawing key="line" {...cardPx} arborMm={24} fullMm={45} widthMm={34} lineMm={0.35} />],
  ];
  return (
    <ul className="grid grid-cols-2 gap-3 lg:grid-cols-4">
      {cards.map(([id, drawing]) => (
        <li key={id}>
          <Link href={`/gauges/${id}${job ? `?job=${job.tag}` : ""}`} className="flex flex-col items-center border-2 border-brass p-2">
            {drawing}
            <span className="font-semibold text-brass">{gaugeNames[id]}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function PullGauge() {
  const [force, setForce] = useState("40");
  const [unit, setUnit] = useState<UnitOf<"force">>("N");
  const [from, setFrom] = useState("24");
  const [to, setTo] = useState("16");
  // A length with its unit, a pull with another than the one chosen: each as it is typed.
  const finite = (value: number) => (Number.isFinite(value) ? value : null);
  const [forceValue, fromValue, toValue] = [finite(readMeasure(force, "N", unit)), finite(typedMm(from)), finite(typedMm(to))];
  const ready = forceValue !== null && fromValue !== null && toValue !== null && fromValue > 0 && toValue > 0;
  const newtons = ready ? forceValue : 0;
  return (
    <section className="flex flex-col gap-3">
      <h1>Drag pull as the spool empties</h1>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Pull on the scale" error={mend(force, forceValue)}>
          {(field) => <input {...field} inputMode="decimal" value={force} onChange={(event) => setForce(event.target.value)} />}
        </Field>
        <Field label="Unit">
          {(field) => (
            <select {...field} value={unit} onChange={(event) => setUnit(event.target.value as UnitOf<"force">)}>
              {Object.keys(unitFactors.force).map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Line radius when it was pulled, mm" error={fromValue === 0 ? "A radius is above 0 mm." : mend(from, fromValue)}>
          {(field) => <input {...field} inputMode="decimal" value={from} onChange={(event) => setFrom(event.target.value)} />}
        </Field>
        <Field label="Line radius to convert to, mm" error={toValue === 0 ? "A radius is above 0 mm." : mend(to, toValue)}>
          {(field) => <input {...field} inputMode="decimal" value={to} onChange={(event) => setTo(event.target.value)} />}
        </Field>
      </div>
      {ready && (
        <>
          <p className="num text-measure" role="status">
            {show(convert("force", pullAtRadius(newtons, fromValue, toValue), "N", unit))} {unit}
          </p>
          <p>
            Torque at the spool <span className="num">{show(torqueAtSpoolNmm(newtons, fromValue) / 1000)}</span> N·m, the same at both
            radii. Method: torque = force × radius; exact, the line leaving square to the radius.
          </p>
        </>
      )}
    </section>
  );
}

function UnitGauge() {
  const [quantity, setQuantity] = useState<Quantity>("length");
  const [value, setValue] = useState("1");
  const units = Object.keys(unitFactors[quantity]);
  const [from, setFrom] = useState("in");
  const number = read(value);
  return (
    <section className="flex flex-col gap-3">
      <h1>Units, exactly</h1>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Quantity">
          {(field) => (
            <select
              {...field}
              value={quantity}
              onChange={(event) => {
                const next = event.target.value as Quantity;
                setQuantity(next);
                setFrom(Object.keys(unitFactors[next])[0]!);
              }}
            >
              {Object.keys(unitFactors).map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Value" error={mend(value, number)}>
          {(field) => <input {...field} inputMode="decimal" value={value} onChange={(event) => setValue(event.target.value)} />}
        </Field>
        <Field label="Unit">
          {(field) => (
            <select {...field} value={from} onChange={(event) => setFrom(event.target.value)}>
              {units.map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          )}
        </Field>
      </div>
      {number !== null && (
        <table className="plain-table">
          <tbody>
            {units.map((unit) => (
              <tr key={unit}>
                <td className="num text-right text-head">{show(convert(quantity, number, from as never, unit as never))}</td>
                <td>{unit}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-note">Factors: NIST SP 811 (2008) appendix B; international yard and pound agreement 1959.</p>
    </section>
  );
}
