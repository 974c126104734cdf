"use client";
import { Fragment } from "react";
import { Drawn } from "./drawn";
import { grip, type Setter, type Sized } from "./grip";

/** A bearing cut open: both rings hatched, the ball between them. */
export function BearingDrawing({
  boreMm,
  outsideMm,
  widthMm,
  set,
  ...size
}: Sized & { boreMm: number; outsideMm: number; widthMm: number; set?: Setter<"boreMm" | "outsideMm" | "widthMm"> }) {
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
