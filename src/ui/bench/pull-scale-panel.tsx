"use client";
import { useEffect, useRef, useState } from "react";
import { type PullSample, readPullTrace } from "@/core/drag/pull-trace";
import { TraceChart } from "@/ui/charts/trace-chart";
import { Key } from "@/ui/controls/keys";

export interface ScaleReading {
  readonly value: number;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly PullSample[];
}

interface Props {
  readonly jobId: number;
  readonly phase: "before" | "after";
  readonly testId: string;
  readonly onReading: (reading: ScaleReading | null) => void;
}

/** Streams a pull from the scale, draws it as it comes, and reads start peak and running mean off it. Stopping keeps what came. */
export function PullScalePanel({ jobId, phase, testId, onReading }: Props) {
  const [samples, setSamples] = useState<readonly PullSample[]>([]);
  const [state, setState] = useState<"idle" | "pulling" | "done">("idle");
  const [words, setWords] = useState("");
  const source = useRef<EventSource | null>(null);
  const kept = useRef<PullSample[]>([]);

  useEffect(() => () => source.current?.close(), []);

  const finish = (lost: boolean) => {
    source.current?.close();
    source.current = null;
    setState("done");
    const read = readPullTrace(kept.current);
    if (!read.ok) {
      setWords(read.message);
      onReading(null);
      return;
    }
    const { startPeakN, runningMeanN, startRatio } = read.value;
    setWords(
      `${lost ? "The scale stopped answering; what came is kept. " : ""}Start peak ${startPeakN.toFixed(1)} N, running mean ${runningMeanN.toFixed(1)} N, start ÷ running ${startRatio.toFixed(2)}${startRatio > 1.3 ? ": it jerks at the start" : ""}.`,
    );
    onReading({ value: runningMeanN, instrument: "pull scale", simulated: true, trace: kept.current });
  };

  const pull = () => {
    kept.current = [];
    setSamples([]);
    setWords("");
    setState("pulling");
    const stream = new EventSource(`/api/devices/scale?job=${jobId}&phase=${phase}&test=${testId}`);
    source.current = stream;
    stream.onmessage = (event) => {
      kept.current = [...kept.current, JSON.parse(event.data as string) as PullSample];
      setSamples(kept.current);
    };
    stream.addEventListener("end", () => finish(false));
    stream.onerror = () => finish(true);
  };

  return (
    <div className="mt-2">
      <div className="flex items-center gap-3">
        {state === "pulling" ? (
          <Key shortcut="p" words="Stop the scale" onPress={() => finish(false)}>
            Stop the scale
          </Key>
        ) : (
          <Key shortcut="p" words="Pull with the scale" onPress={pull}>
            {state === "done" ? "Pull again" : "Pull with the scale"}
          </Key>
        )}
        <span className="simulated">pull scale, simulated</span>
      </div>
      {samples.length > 0 && <TraceChart samples={samples} simulated heightPx={150} />}
      <p role="status" className="num text-note">
        {words}
      </p>
    </div>
  );
}
