"use client";
import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement } from "chart.js";
import { useEffect, useRef, useState } from "react";
import { TabRail } from "@/ui/controls/tab-rail";
import { inkAndPaper } from "./ink";

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale);

const font = { family: '"Spline Sans Mono", monospace', size: 14 };

export interface Series {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly before: readonly (number | null)[];
  readonly after: readonly (number | null)[];
  /** Between what two thirds of such reels read when they leave; null where too few did. */
  readonly usual?: { readonly low: number; readonly high: number; readonly jobs: number } | null;
}

/** The series that changed most for its size: what the eye should fall on first. */
function mostMoved(series: readonly Series[]): Series | undefined {
  const moved = ({ before, after }: Series) => {
    const values = [...before, ...after].filter((value) => value !== null);
    const most = Math.max(...values);
    return most > 0 ? (most - Math.min(...values)) / most : 0;
  };
  return [...series].sort((a, b) => moved(b) - moved(a))[0];
}

/** What was measured at every visit: before thin with open squares, after thick with full ones. */
export function HistoryChart({ visits, series }: { visits: readonly string[]; series: readonly Series[] }) {
  const [chosen, setChosen] = useState(() => mostMoved(series)?.id ?? "");
  const canvas = useRef<HTMLCanvasElement>(null);
  const shown = series.find((one) => one.id === chosen);
  useEffect(() => {
    if (!canvas.current || !shown) return;
    const { ink, paper } = inkAndPaper();
    const line = { borderColor: ink, tension: 0, spanGaps: true, pointStyle: "rect" as const, pointBorderColor: ink };
    const chart = new Chart(canvas.current, {
      type: "line",
      data: {
        labels: [...visits],
        datasets: [
          {
            ...line,
            label: "before",
            data: [...shown.before],
            borderWidth: 1,
            borderDash: [2, 3],
            pointRadius: 5,
            pointBackgroundColor: paper,
          },
          // Where such reels lie when they leave: two lines across all visits.
          ...(shown.usual
            ? [shown.usual.low, shown.usual.high].map((at) => ({
                label: "such reels",
                data: visits.map(() => at),
                borderColor: ink,
                borderWidth: 1,
                borderDash: [8, 4],
                pointRadius: 0,
                tension: 0,
              }))
            : []),
          { ...line, label: "after", data: [...shown.after], borderWidth: 2, pointRadius: 5, pointBackgroundColor: ink },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: { ticks: { font, color: ink }, grid: { display: false }, border: { color: ink } },
          y: {
            beginAtZero: true,
            title: { display: true, text: shown.unit, font, color: ink },
            ticks: { font, color: ink, maxTicksLimit: 5 },
            grid: { display: false },
            border: { color: ink },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [visits, shown]);
  if (!shown) return null;
  return (
    <div>
      <TabRail label="Readings" tabs={series} chosen={shown.id} onChoose={setChosen}>
        <div className="mt-2 h-56">
          <canvas
            ref={canvas}
            role="img"
            aria-label={`${shown.name} over the visits, in ${shown.unit}: ${visits.map((visit, i) => `${visit} before ${shown.before[i] ?? "none"} after ${shown.after[i] ?? "none"}`).join("; ")}`}
          />
        </div>
      </TabRail>
      <p className="text-note">
        Open squares, thin: before the work. Full squares: after it. Pulls at the line radius they were taken at.
        {shown.usual && ` Dashed: two thirds of ${shown.usual.jobs} reels like it are between these when they leave.`}
      </p>
    </div>
  );
}
