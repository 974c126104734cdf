"use client";
import { Chart, LinearScale, LineController, LineElement, PointElement } from "chart.js";
import { useEffect, useRef } from "react";
import { inkAndPaper } from "./ink";

Chart.register(LineController, LineElement, PointElement, LinearScale);

const font = { family: '"Spline Sans Mono", monospace', size: 14 };

export interface Curve {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** Solid is what is; dashed what should be or is guessed; thin what it lies between. */
  readonly line: "solid" | "dashed" | "thin";
}

interface Props {
  readonly curves: readonly Curve[];
  readonly xName: string;
  readonly yName: string;
  /** What the curves say, for those who cannot see them. */
  readonly summary: string;
  /** Where a reading is taken: drawn as a line across. */
  readonly atX?: number | null;
  readonly heightPx?: number;
}

const widthOf: Record<Curve["line"], number> = { solid: 2, dashed: 2, thin: 1 };
const dashOf: Record<Curve["line"], number[]> = { solid: [], dashed: [6, 4], thin: [] };

/** Computed curves in the line grammar of the drawings: ink, square, axes only. */
export function CurveChart({ curves, xName, yName, summary, atX = null, heightPx = 260 }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const { ink } = inkAndPaper();
    const axis = (name: string) => ({
      type: "linear" as const,
      min: 0,
      title: { display: true, text: name, font, color: ink },
      ticks: { font, color: ink, maxTicksLimit: 6 },
      grid: { display: false },
      border: { color: ink, width: 1 },
    });
    const top = Math.max(0, ...curves.flatMap(({ points }) => points.map(({ y }) => y)));
    const chart = new Chart(canvas.current, {
      type: "line",
      data: {
        datasets: [
          ...curves.map(({ points, line }) => ({
            data: [...points],
            borderColor: ink,
            borderWidth: widthOf[line],
            borderDash: dashOf[line],
            pointRadius: 0,
            tension: 0,
          })),
          ...(atX === null
            ? []
            : [
                {
                  data: [
                    { x: atX, y: 0 },
                    { x: atX, y: top },
                  ],
                  borderColor: ink,
                  borderWidth: 1,
                  borderDash: [2, 3],
                  pointRadius: 0,
                },
              ]),
        ],
      },
      options: { animation: false, responsive: true, maintainAspectRatio: false, events: [], scales: { x: axis(xName), y: axis(yName) } },
    });
    return () => chart.destroy();
  }, [curves, xName, yName, atX]);
  return (
    <figure>
      <div style={{ height: heightPx }}>
        <canvas ref={canvas} role="img" aria-label={summary} />
      </div>
      <figcaption className="text-note">{summary}</figcaption>
    </figure>
  );
}
