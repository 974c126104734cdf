"use client";
import { Chart, LinearScale, LineController, LineElement, PointElement } from "chart.js";
import { useEffect, useRef } from "react";
import type { TraceSample } from "@/core/proving/trace";
import { inkAndPaper } from "./ink";

Chart.register(LineController, LineElement, PointElement, LinearScale);

const font = { family: '"Spline Sans Mono", monospace', size: 14 };

interface Props {
  readonly samples: readonly TraceSample[];
  readonly unit: string;
  /** What no real instrument measured is drawn dashed. */
  readonly simulated: boolean;
  readonly heightPx: number;
}

/** A reading over time in seconds, in the line grammar of the drawings: ink, square, no fill, no grid but the axes. */
export function TraceChart({ samples, unit, simulated, heightPx }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<"line", { x: number; y: number }[]> | null>(null);

  useEffect(() => {
    if (!canvas.current) return;
    const { ink } = inkAndPaper();
    const made = new Chart(canvas.current, {
      type: "line",
      data: {
        datasets: [
          {
            data: [] as { x: number; y: number }[],
            borderColor: ink,
            borderWidth: 2,
            borderDash: simulated ? [6, 4] : [],
            pointRadius: 0,
            tension: 0,
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: {
            type: "linear",
            min: 0,
            title: { display: true, text: "s", font, color: ink },
            ticks: { font, color: ink },
            grid: { display: false },
            border: { color: ink, width: 1 },
          },
          y: {
            type: "linear",
            // A level below full scale has no zero to stand on.
            ...(unit.startsWith("dB") ? {} : { min: 0 }),
            title: { display: true, text: unit, font, color: ink },
            ticks: { font, color: ink, maxTicksLimit: 5 },
            grid: { display: false },
            border: { color: ink, width: 1 },
          },
        },
      },
    });
    chart.current = made;
    return () => made.destroy();
  }, [simulated, unit]);

  useEffect(() => {
    if (!chart.current) return;
    chart.current.data.datasets[0]!.data = samples.map((sample) => ({ x: sample.tMs / 1000, y: sample.value }));
    chart.current.update("none");
  }, [samples]);

  return (
    <div style={{ height: heightPx }}>
      <canvas ref={canvas} role="img" aria-label={`Reading over time${simulated ? ", simulated" : ""}`} />
    </div>
  );
}
