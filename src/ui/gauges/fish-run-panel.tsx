"use client";
import { useEffect, useRef, useState } from "react";
import { type FishRun, type RunPoint, runFault } from "@/core/drag/fish-run";
import { CurveChart } from "@/ui/charts/curve-chart";
import { Key } from "@/ui/controls/keys";
import { TextField } from "@/ui/controls/text-field";
import { shown, typedNumber } from "./figures/typed";

interface Props {
  readonly spoolTorqueNmm: number;
  readonly arborRadiusMm: number;
  readonly fullRadiusMm: number;
}

/** "6 s at 7, then 10 s at 2" as pieces; what cannot be read is NaN, and the run's own check says so at the field. */
const piecesOf = (text: string): FishRun["pieces"] =>
  text
    .split(/[;\n]+/)
    .map((piece) => piece.trim())
    .filter(Boolean)
    .map((piece) => {
      const [seconds, speed] = piece.split(/\s*(?:s|sec)?\s*(?:at|@|,\s)\s*/);
      return { seconds: typedNumber(seconds ?? ""), metresPerSecond: typedNumber((speed ?? "").replace(/\s*m\/s$/, "")) };
    });

/** How hot the washers get on a run: walked in a worker of its own, and stopped by a press. */
export function FishRunPanel({ spoolTorqueNmm, arborRadiusMm, fullRadiusMm }: Props) {
  const [pieces, setPieces] = useState("6 at 7; 10 at 2; 20 at 4");
  const [capacity, setCapacity] = useState("300");
  const [heat, setHeat] = useState("25");
  const [loss, setLoss] = useState("0.8");
  const [share, setShare] = useState<number | null>(null);
  const [points, setPoints] = useState<readonly RunPoint[]>([]);
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const run: FishRun = {
    pieces: piecesOf(pieces),
    spoolTorqueNmm,
    arborRadiusMm,
    fullRadiusMm,
    capacityM: typedNumber(capacity),
    outM: 0,
    heatCapacityJPerK: typedNumber(heat),
    lossWPerK: typedNumber(loss),
    ambientC: 18,
  };
  const fault = runFault(run);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  };
  const start = () => {
    stop();
    setPoints([]);
    setShare(0);
    const made = new Worker(new URL("./run-worker.ts", import.meta.url), { type: "module" });
    worker.current = made;
    made.onmessage = (event: MessageEvent<{ share?: number; points?: RunPoint[] }>) => {
      if (event.data.share !== undefined) setShare(event.data.share);
      if (event.data.points) {
        setPoints(event.data.points);
        stop();
      }
    };
    made.onerror = stop;
    made.postMessage(run);
  };
  const hottest = Math.max(0, ...points.map(({ washerC }) => washerC));
  const last = points.at(-1);
  return (
    <details className="border-t border-ink pt-2">
      <summary className="act-link min-h-10">The heat of a run</summary>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Run: seconds at m/s; piece by piece"
          value={pieces}
          error={fault?.field === "pieces" ? fault.message : undefined}
          onType={setPieces}
        />
        <TextField
          label="Line on the full spool, m"
          value={capacity}
          error={fault?.field === "capacityM" ? fault.message : undefined}
          onType={setCapacity}
        />
        <TextField
          label="Washers heat capacity, J/K (weight in g × about 0.5)"
          value={heat}
          error={fault?.field === "heatCapacityJPerK" ? fault.message : undefined}
          onType={setHeat}
        />
        <TextField label="Heat loss, W/K" value={loss} error={fault?.field === "lossWPerK" ? fault.message : undefined} onType={setLoss} />
      </div>
      <div className="mt-2 flex items-center gap-3">
        {share === null ? (
          <Key className="key-small" disabled={Boolean(fault)} onPress={start}>
            Compute
          </Key>
        ) : (
          <Key className="key-small" onPress={stop}>
            Stop at {Math.round(share * 100)} %
          </Key>
        )}
        {last && (
          <p role="status">
            Hottest <strong className="num">{shown(hottest, 3)}</strong> °C; <span className="num">{shown(last.outM, 3)}</span> m out, pull
            then <span className="num">{shown(last.pullN, 3)}</span> N.
          </p>
        )}
      </div>
      {points.length > 1 && (
        <CurveChart
          curves={[{ name: "washers", points: points.map(({ seconds, washerC }) => ({ x: seconds, y: washerC })), line: "solid" }]}
          xName="s"
          yName="washers, °C"
          heightPx={160}
          summary={`Washers from 18 °C to ${shown(hottest, 3)} °C; one lump of metal with the losses typed, an estimate.`}
        />
      )}
    </details>
  );
}
