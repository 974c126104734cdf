"use client";
import { Fragment } from "react";
import { Drawn } from "./drawn";
import type { Sized } from "./grip";

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
