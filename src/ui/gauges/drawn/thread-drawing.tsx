"use client";
import { Fragment } from "react";
import { flankDegrees, type ThreadSize } from "@/core/threads/thread-table";
import { Drawn } from "./drawn";
import { grip, type Setter, type Sized } from "./grip";

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
}: Sized & { diameterMm: number; pitchMm: number; system: ThreadSize["system"]; set?: Setter<"diameterMm"> }) {
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
