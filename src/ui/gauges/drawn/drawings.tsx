"use client";
import { Fragment } from "react";
import type { DragElement, Gap } from "@/core/drag/capacity";
import { flankDegrees, type ThreadSize } from "@/core/threads/thread-table";
import { Drawn, type Grip } from "./drawn";

/** Size of a drawing on the page. */
interface Sized {
  readonly widthPx: number;
  readonly heightPx: number;
}
/** Numbers that are set by pulling at the drawing; without it the drawing only shows. */
type Set<K extends string> = ((change: Partial<Record<K, number>>) => void) | undefined;

const grip = (
  set: ((value: number) => void) | undefined,
  name: string,
  at: readonly [number, number],
  along: "x" | "y",
  perMm: number,
  value: number,
  range: readonly [number, number],
  unit = "mm",
  step = 0.1,
): Grip[] => (set ? [{ name, x: at[0], y: at[1], along, perMm, value, step, least: range[0], most: range[1], unit, onValue: set }] : []);

/** A bearing cut open: both rings hatched, the ball between them. */
export function BearingDrawing({
  boreMm,
  outsideMm,
  widthMm,
  set,
  ...size
}: Sized & { boreMm: number; outsideMm: number; widthMm: number; set?: Set<"boreMm" | "outsideMm" | "widthMm"> }) {
  const [ro, ri] = [outsideMm / 2, boreMm / 2];
  const ring = (ro - ri) * 0.27;
  const ball = Math.min((ro - ri) * 0.29, widthMm * 0.42);
  const middle = (ro + ri) / 2;
  return (
    <Drawn
      name="The bearing, cut open"
      box={[-widthMm, -ro * 1.2, widthMm * 3.6, ro * 2.4]}
      {...size}
      grips={[
        ...grip(set && ((v) => set({ outsideMm: v })), "Outside", [widthMm * 0.5, -ro], "y", -2, outsideMm, [boreMm + 0.5, 80]),
        ...grip(set && ((v) => set({ boreMm: v })), "Bore", [widthMm * 0.5, ri], "y", 2, boreMm, [0.5, outsideMm - 0.5]),
        ...grip(set && ((v) => set({ widthMm: v })), "Width", [widthMm, -middle], "x", 1, widthMm, [0.5, 30]),
      ]}
    >
      {[1, -1].map((side) => (
        <Fragment key={side}>
          {[ro - ring, ri].map((from) => {
            const y = side === 1 ? from : -from - ring;
            return (
              <Fragment key={from}>
                <rect x={0} y={y} width={widthMm} height={ring} className="ln-outline fl-sheet" />
                {Array.from({ length: 6 }, (_, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
                  <line key={i} x1={(widthMm * i) / 6} x2={(widthMm * (i + 1)) / 6} y1={y + ring} y2={y} className="ln-hatch" />
                ))}
              </Fragment>
            );
          })}
          <circle cx={widthMm / 2} cy={side * middle} r={ball} className="ln-outline fl-sheet" />
        </Fragment>
      ))}
      <path d={`M0 ${-ri} V${ri} M${widthMm} ${-ri} V${ri}`} className="ln-outline fl-none" />
      <line x1={-widthMm * 0.6} x2={widthMm * 1.6} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}

/** A thread's flanks between core and crest, over some turns. */
function flanks(crest: number, core: number, pitch: number, turns: number, degrees: number, sign: 1 | -1): string {
  const run = (crest - core) * Math.tan((degrees / 360) * Math.PI);
  const flat = Math.max(0, (pitch - 2 * run) / 2);
  let d = `M0 ${sign * core}`;
  for (let i = 0; i < turns; i++) {
    const x = i * pitch;
    d += ` L${x + flat / 2} ${sign * core} L${x + flat / 2 + run} ${sign * crest} L${x + flat / 2 + run + flat} ${sign * crest} L${x + flat / 2 + 2 * run + flat} ${sign * core} L${x + pitch} ${sign * core}`;
  }
  return d;
}

/** A screw in its hole, the flanks as its system has them. */
export function ThreadDrawing({
  diameterMm,
  pitchMm,
  system,
  set,
  ...size
}: Sized & { diameterMm: number; pitchMm: number; system: ThreadSize["system"]; set?: Set<"diameterMm"> }) {
  const turns = 6;
  const core = diameterMm / 2 - 0.61 * pitchMm;
  const [length, wall] = [turns * pitchMm, diameterMm * 0.9];
  const degrees = flankDegrees[system];
  return (
    <Drawn
      name="The screw in its hole"
      box={[-pitchMm * 2, -wall, length + pitchMm * 4, wall * 2]}
      {...size}
      grips={grip(
        set && ((v) => set({ diameterMm: v })),
        "Diameter",
        [length / 2, -diameterMm / 2],
        "y",
        -2,
        diameterMm,
        [0.5, 30],
        "mm",
        0.01,
      )}
    >
      {[1, -1].map((side) => (
        <Fragment key={side}>
          <path d={flanks(diameterMm / 2, core, pitchMm, turns, degrees, side as 1 | -1)} className="ln-outline fl-none" />
          <path
            d={`${flanks(diameterMm / 2 + 0.06 * pitchMm, core + 0.06 * pitchMm, pitchMm, turns, degrees, side as 1 | -1)} V${side * wall * 0.95} H0 Z`}
            className="ln-leader fl-none"
          />
          {Array.from({ length: 9 }, (_, i) => (
            <line
              // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
              key={i}
              x1={(length * i) / 9}
              x2={(length * (i + 0.7)) / 9}
              y1={side * wall * 0.93}
              y2={side * (diameterMm / 2 + 0.2 * pitchMm)}
              className="ln-hatch"
            />
          ))}
        </Fragment>
      ))}
      <line x1={-pitchMm} x2={length + pitchMm} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}

/** A spool in section with its line in layers. */
export function LineDrawing({
  arborMm,
  fullMm,
  widthMm,
  lineMm,
  set,
  ...size
}: Sized & { arborMm: number; fullMm: number; widthMm: number; lineMm: number; set?: Set<"arborMm" | "fullMm" | "widthMm"> }) {
  const [inner, outer, half] = [arborMm / 2, fullMm / 2, widthMm / 2];
  const layers = Math.max(1, Math.floor((outer - inner) / lineMm));
  // Many layers are drawn as some; how many there are stands beside.
  const drawnLayers = Math.min(layers, 14);
  const flange = Math.max(1, widthMm * 0.06);
  return (
    <Drawn
      name={`The spool in section, ${layers} layers of line`}
      box={[-half - flange * 4, -outer * 1.3, widthMm + flange * 12, outer * 1.45]}
      {...size}
      grips={[
        ...grip(set && ((v) => set({ fullMm: v })), "Over the line", [half * 0.3, -outer], "y", -2, fullMm, [arborMm + 1, 300], "mm", 0.5),
        ...grip(set && ((v) => set({ arborMm: v })), "Arbor", [-half * 0.6, -inner], "y", -2, arborMm, [2, fullMm - 1], "mm", 0.5),
        ...grip(
          set && ((v) => set({ widthMm: v })),
          "Between the flanges",
          [half, -(inner + outer) / 2],
          "x",
          2,
          widthMm,
          [2, 150],
          "mm",
          0.5,
        ),
      ]}
    >
      <path d={`M${-half - flange} 0 V${-outer * 1.1} H${-half} V0`} className="ln-outline fl-sheet" />
      <path d={`M${half} 0 V${-outer * 1.1} H${half + flange} V0`} className="ln-outline fl-sheet" />
      <path d={`M${-half} 0 V${-inner} H${half} V0`} className="ln-outline fl-none" />
      {Array.from({ length: 7 }, (_, i) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
          key={i}
          x1={-half + (widthMm * i) / 7}
          x2={-half + (widthMm * (i + 1)) / 7}
          y1={0}
          y2={-inner}
          className="ln-hatch"
        />
      ))}
      {Array.from({ length: drawnLayers }, (_, i) => {
        const y = -inner - ((outer - inner) * (i + 0.5)) / drawnLayers;
        const dot = ((outer - inner) / drawnLayers) * 0.42;
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: layers never change order
            key={i}
            x1={-half + dot}
            x2={half - dot}
            y1={y}
            y2={y}
            stroke="currentColor"
            strokeWidth={dot * 1.6}
            strokeLinecap="round"
            strokeDasharray={`0 ${dot * 2.4}`}
          />
        );
      })}
      <line x1={-half - flange * 3} x2={half + flange * 3} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}

/** A toothed circle, seen along its shaft. */
function toothed(cx: number, cy: number, radius: number, teeth: number, meets?: number): string {
  const count = Math.max(4, Math.min(90, teeth));
  const depth = (radius * 2) / (count + 4);
  const at = (r: number, share: number) => {
    // A tooth stands where the other circle is met, in its gap.
    const angle = (2 * Math.PI * (meets === undefined ? share : share - 0.5)) / count + (meets ?? 0);
    return `${(cx + r * Math.cos(angle)).toFixed(3)} ${(cy + r * Math.sin(angle)).toFixed(3)}`;
  };
  return `M${Array.from({ length: count }, (_, i) => [at(radius - depth, i), at(radius - depth, i + 0.25), at(radius + depth, i + 0.37), at(radius + depth, i + 0.63), at(radius - depth, i + 0.75)].join(" L")).join(" L")} Z`;
}

/** Gear and pinion in mesh, as big as their ratio makes them. */
export function GearDrawing({
  ratio,
  gear,
  pinion,
  set,
  ...size
}: Sized & { ratio: number; gear: number; pinion: number; set?: (ratio: number) => void }) {
  const big = 20;
  const small = big / Math.max(0.2, Math.min(12, ratio));
  return (
    <Drawn
      name={`Gear and pinion, ${gear} and ${pinion} teeth`}
      box={[-big * 1.2, -big * 1.2, big * 2.4 + small * 2.8, big * 2.4]}
      {...size}
      grips={grip(
        set,
        "Turns of the spool",
        [big + small * 2, 0],
        "x",
        -ratio / (small * 2),
        ratio,
        [0.2, 12],
        "a turn of the handle",
        0.05,
      )}
    >
      <path d={toothed(0, 0, big, gear)} className="ln-outline fl-sheet" />
      <path d={toothed(big + small, 0, small, pinion, Math.PI)} className="ln-outline fl-sheet" />
      <circle cx={0} cy={0} r={big * 0.16} className="ln-outline fl-none" />
      <circle cx={big + small} cy={0} r={small * 0.3} className="ln-outline fl-none" />
      <line x1={-big * 1.1} x2={big + small * 2.3} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}

/** A spool seen along its shaft, with the marks a pickup counts. */
export function SpinDrawing({ marks, lineMm, set, ...size }: Sized & { marks: number; lineMm: number; set?: (marks: number) => void }) {
  const radius = Math.max(4, lineMm / 2 || 20);
  const shownMarks = Math.max(1, Math.min(24, Math.round(marks)));
  return (
    <Drawn
      name={`The spool with ${shownMarks} mark${shownMarks === 1 ? "" : "s"}`}
      box={[-radius * 1.6, -radius * 1.5, radius * 3.2, radius * 3]}
      {...size}
      grips={grip(set, "Marks on the spool", [radius * 1.25, 0], "y", -4 / radius, shownMarks, [1, 24], "a turn", 1)}
    >
      <circle cx={0} cy={0} r={radius * 1.15} className="ln-outline fl-sheet" />
      <circle cx={0} cy={0} r={radius} className="ln-leader fl-none" />
      <circle cx={0} cy={0} r={radius * 0.2} className="ln-outline fl-none" />
      {Array.from({ length: shownMarks }, (_, i) => {
        const angle = (2 * Math.PI * i) / shownMarks - Math.PI / 2;
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: marks never change order
            key={i}
            x1={radius * 1.02 * c}
            y1={radius * 1.02 * s}
            x2={radius * 1.14 * c}
            y2={radius * 1.14 * s}
            stroke="currentColor"
            strokeWidth={radius * 0.09}
          />
        );
      })}
      <path
        d={`M${-radius * 0.5} ${-radius * 0.6} A${radius * 0.8} ${radius * 0.8} 0 0 1 ${radius * 0.5} ${-radius * 0.6}`}
        className="ln-leader fl-none"
      />
      <path
        d={`M${radius * 0.5} ${-radius * 0.6} l${-radius * 0.16} ${-radius * 0.02} M${radius * 0.5} ${-radius * 0.6} l${-radius * 0.04} ${-radius * 0.16}`}
        className="ln-leader fl-none"
      />
    </Drawn>
  );
}

export interface DrawnCone {
  readonly outsideMm: number;
  readonly insideMm: number;
  readonly thicknessMm: number;
  readonly coneHeightMm: number;
  readonly up: boolean;
}

/** Tension washers as they lie, pressed so far. A press turns one over. */
export function ConesDrawing({
  cones,
  share,
  set,
  turn,
  ...size
}: Sized & { cones: readonly DrawnCone[]; share: number; set?: (share: number) => void; turn?: (at: number) => void }) {
  // Heights are drawn three times as high, so that a cone of half a millimetre is seen.
  const high = 3;
  let y = 0;
  const laid = cones.map((cone, i) => {
    const before = cones[i - 1];
    const rise = cone.coneHeightMm * (1 - share) * high;
    const nested = before && before.up === cone.up && before.coneHeightMm > 0 && cone.coneHeightMm > 0;
    // Nested ones lie in one another; opposed ones touch at their edges.
    const base = nested ? y - before.coneHeightMm * (1 - share) * high + 0 : y;
    const thick = cone.thicknessMm * high;
    y = base + rise + thick;
    return { cone, base, rise, thick };
  });
  const width = Math.max(...cones.map(({ outsideMm }) => outsideMm), 1);
  const height = Math.max(y, 1);
  return (
    <Drawn
      name="The washers as they lie, heights three times"
      box={[-width * 0.75, -height * 1.35 - 2, width * 1.5, height * 1.6 + 4]}
      {...size}
      grips={
        set
          ? [
              {
                name: "Pressed",
                x: 0,
                y: -height - 1,
                along: "y",
                perMm: 100 / (height / Math.max(0.15, 1)),
                value: Math.round(share * 100),
                step: 1,
                least: 0,
                most: 100,
                unit: "% of the stroke",
                onValue: (v) => set(v / 100),
              },
            ]
          : []
      }
    >
      {laid.map(({ cone, base, rise, thick }, i) => {
        const [ri, ro] = [cone.insideMm / 2, cone.outsideMm / 2];
        // Cup up: the outer edge stands higher.
        const [yi, yo] = cone.up ? [base, base + rise] : [base + rise, base];
        const side = (s: 1 | -1) => `M${s * ri} ${-yi} L${s * ro} ${-yo} V${-yo - thick} L${s * ri} ${-yi - thick} Z`;
        const paths = (
          <>
            <path d={side(1)} className="ln-outline fl-sheet" />
            <path d={side(-1)} className="ln-outline fl-sheet" />
            <rect x={-ri} y={-base - rise - thick} width={2 * ri} height={rise + thick} className="fl-none" pointerEvents="all" />
            <line x1={-ri} x2={ri} y1={-yi - thick / 2} y2={-yi - thick / 2} className="ln-hidden" />
          </>
        );
        return turn ? (
          <g
            // biome-ignore lint/suspicious/noArrayIndexKey: a washer is its place in the stack
            key={i}
            role="button"
            tabIndex={0}
            aria-label={`Washer ${i + 1}, cup ${cone.up ? "up" : "down"}: turn it over`}
            className="cursor-pointer"
            onClick={() => turn(i)}
            onKeyDown={(event) => {
              if (event.key !== "Enter" && event.key !== " ") return;
              event.preventDefault();
              event.stopPropagation();
              turn(i);
            }}
          >
            {paths}
          </g>
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: a washer is its place in the stack
          <Fragment key={i}>{paths}</Fragment>
        );
      })}
    </Drawn>
  );
}

/** A drag stack cut open on one side, from the base up, with the places where it slips. */
export function StackDrawing({
  elements,
  gaps,
  set,
  ...size
}: Sized & { elements: readonly DragElement[]; gaps: readonly Gap[]; set?: (at: number, outsideMm: number) => void }) {
  const thick = 3;
  const width = Math.max(...elements.map(({ outsideMm }) => outsideMm / 2), 1);
  const height = elements.length * thick;
  const slips = new globalThis.Set(gaps.map(({ slipsAbove }) => slipsAbove));
  return (
    <Drawn
      name={`The stack cut open; it slips in ${gaps.length} place${gaps.length === 1 ? "" : "s"}`}
      box={[-2, -height - 3, width * 1.75, height + 6]}
      {...size}
      grips={elements.flatMap((element, i) =>
        grip(
          set && ((v) => set(i, v)),
          `Outside of ring ${i + 1}`,
          [element.outsideMm / 2, -(i + 0.5) * thick],
          "x",
          2,
          element.outsideMm,
          [element.insideMm + 0.5, 200],
          "mm",
          0.5,
        ),
      )}
    >
      {elements.map((element, i) => {
        const [x, w] = [element.insideMm / 2, (element.outsideMm - element.insideMm) / 2];
        const y = -(i + 1) * thick;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a ring is its place in the stack
          <Fragment key={i}>
            <rect x={x} y={y + 0.15} width={w} height={thick - 0.3} className="ln-outline fl-sheet" />
            {element.mu !== null &&
              Array.from({ length: Math.max(1, Math.floor(w / 1.5)) }, (_, k) => (
                <line
                  // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
                  key={k}
                  x1={x + k * 1.5}
                  x2={Math.min(x + w, x + k * 1.5 + 1.5)}
                  y1={y + thick - 0.15}
                  y2={y + 0.15}
                  className="ln-hatch"
                />
              ))}
            {slips.has(i) && (
              <path
                d={`M${x} ${y} H${x + w} M0.5 ${y} H${x - 1} m-1 -0.7 l1 0.7 l-1 0.7`}
                className="fl-none"
                stroke="var(--color-brass)"
                strokeWidth={0.5}
              />
            )}
          </Fragment>
        );
      })}
      <line x1={0} x2={0} y1={2} y2={-height - 2} className="ln-axis" />
    </Drawn>
  );
}
