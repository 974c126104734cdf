"use client";
import { useEffect, useId, useRef, useState } from "react";
import { clickFromSound } from "@/core/listen/click-sound";
import { type InstrumentSpec, readTrace } from "@/core/proving/read-trace";
import { levelsOfSound } from "@/core/proving/sound";
import { mostSamples, type TraceSample } from "@/core/proving/trace";
import { readTraceCsv } from "@/core/proving/trace-csv";
import type { TestId } from "@/core/vocabulary/tests";
import { TraceChart } from "@/ui/charts/trace-chart";
import { Key } from "@/ui/controls/keys";

export interface InstrumentReading {
  readonly value: number;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly TraceSample[];
}

interface Props {
  readonly jobId: number;
  readonly phase: "before" | "after";
  readonly testId: TestId;
  readonly instrument: InstrumentSpec;
  readonly onReading: (reading: InstrumentReading | null) => void;
}

const pretences = { told: "as told", sound: "a sound reel", worn: "a worn reel" } as const;

/** The levels of a sound file, decoded by the browser itself, and what its click says band by band. */
async function levelsOfFile(file: File): Promise<{ levels: TraceSample[]; bands: string }> {
  const audio = new AudioContext();
  try {
    const sound = await audio.decodeAudioData(await file.arrayBuffer());
    const taken = { sound: sound.getChannelData(0), rate: sound.sampleRate };
    const heard = clickFromSound(taken);
    const bands = heard.ok
      ? `By octave, above the room: ${heard.value.bands
          .flatMap(({ hz, clickDb, roomDb }) => (clickDb === null ? [] : [`${hz} Hz ${(clickDb - roomDb).toFixed(0)} dB`]))
          .join(", ")}.`
      : heard.message;
    return { levels: levelsOfSound(taken.sound, taken.rate).slice(0, mostSamples), bands };
  } finally {
    await audio.close();
  }
}

/**
 * Streams a measuring from its instrument, or takes it from a file; draws it as it comes and reads the test's number off it. Stopping, and a lost
 * instrument, keep what came.
 */
export function InstrumentPanel({ jobId, phase, testId, instrument, onReading }: Props) {
  const [samples, setSamples] = useState<readonly TraceSample[]>([]);
  const [state, setState] = useState<"idle" | "running" | "done">("idle");
  const [words, setWords] = useState("");
  const [pretend, setPretend] = useState<keyof typeof pretences>("told");
  const [fromFile, setFromFile] = useState(false);
  const source = useRef<EventSource | null>(null);
  const kept = useRef<TraceSample[]>([]);
  const fileId = useId();

  useEffect(() => () => source.current?.close(), []);

  const settle = (trace: TraceSample[], before: string, of: { instrument: string; simulated: boolean }) => {
    setState("done");
    const read = readTrace(testId, trace);
    setWords(read.ok ? `${before}${read.value.words}` : read.message);
    onReading(read.ok ? { value: read.value.value, ...of, trace } : null);
  };
  const finish = (lost: boolean) => {
    source.current?.close();
    source.current = null;
    settle(kept.current, lost ? `The ${instrument.name} stopped answering; the reading so far is kept. ` : "", {
      instrument: instrument.name,
      simulated: true,
    });
  };
  const begin = () => {
    kept.current = [];
    setSamples([]);
    setWords("");
    setFromFile(false);
  };
  const start = () => {
    begin();
    setState("running");
    const stream = new EventSource(`/api/devices/${testId}?job=${jobId}&phase=${phase}&pretend=${pretend}`);
    source.current = stream;
    stream.onmessage = (event) => {
      kept.current = [...kept.current, JSON.parse(event.data as string) as TraceSample];
      setSamples(kept.current);
    };
    stream.addEventListener("end", () => finish(false));
    stream.onerror = () => finish(true);
  };
  const take = async (file: File) => {
    begin();
    setFromFile(true);
    const refused = (message: string) => {
      setState("done");
      setWords(message);
      onReading(null);
    };
    if (file.size > 30 * 1024 * 1024) return refused("This file has more than 30 MB: cut it to the measuring itself.");
    let trace: TraceSample[];
    let bands = "";
    if (instrument.files.includes("wav") && (/\.wav$/i.test(file.name) || file.type.startsWith("audio/"))) {
      const levels = await levelsOfFile(file).catch(() => null);
      if (!levels) return refused("This sound cannot be read. Save it as an ordinary WAV and choose that.");
      trace = levels.levels;
      bands = levels.bands;
    } else {
      const read = readTraceCsv(await file.text());
      if (!read.ok) return refused(read.message);
      trace = read.value;
    }
    kept.current = trace;
    setSamples(trace);
    settle(trace, bands && `${bands} `, { instrument: `file ${file.name}`.slice(0, 60), simulated: false });
  };

  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-center gap-3">
        {state === "running" ? (
          <Key shortcut="p" words={instrument.stop} onPress={() => finish(false)}>
            {instrument.stop}
          </Key>
        ) : (
          <Key shortcut="p" words={instrument.start} onPress={start}>
            {state === "done" ? instrument.again : instrument.start}
          </Key>
        )}
        <label className="simulated flex items-center gap-2">
          {instrument.name}, simulated
          <select
            aria-label="What the simulated instrument shows"
            className="h-8 min-h-0 w-auto py-0"
            value={pretend}
            onChange={(event) => setPretend(event.target.value as keyof typeof pretences)}
          >
            {Object.entries(pretences).map(([id, said]) => (
              <option key={id} value={id}>
                {said}
              </option>
            ))}
          </select>
        </label>
        <label htmlFor={fileId} className="act-link cursor-pointer">
          or from a file ({instrument.files.join(", ")})
        </label>
        <input
          id={fileId}
          type="file"
          className="sr-only"
          accept={instrument.files.map((kind) => (kind === "wav" ? ".wav,audio/wav" : ".csv,.txt,text/csv")).join(",")}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) void take(file);
          }}
        />
      </div>
      {samples.length > 0 && <TraceChart samples={samples} unit={instrument.traceUnit} simulated={!fromFile} heightPx={150} />}
      <p role="status" className="num text-note">
        {words}
      </p>
      <p className="text-note">One reading: {instrument.uncertainty}.</p>
    </div>
  );
}
